package hightally.app.device;

import hightally.app.platform.Refusals;
import hightally.core.quantity.Said;
import jakarta.servlet.DispatcherType;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;

/**
 * Who may do what. The page itself is nobody's secret; everything the pilot has entered is only for
 * this machine and the devices it let in, and letting in, sending away and whole archives are only
 * for this machine. Against other sites no token is needed beside the cookie: it is never sent for
 * them, every request must name this machine as host and origin, and the desk has no cookie at all.
 */
@Configuration
class DeviceAccess {
  @Bean
  SecurityFilterChain doorsOf(HttpSecurity http, Devices devices, Refusals refusals)
      throws Exception {
    return http.csrf(AbstractHttpConfigurer::disable)
        .headers(AbstractHttpConfigurer::disable)
        .logout(AbstractHttpConfigurer::disable)
        .requestCache(AbstractHttpConfigurer::disable)
        .sessionManagement(one -> one.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
        .addFilterBefore(new DeviceAccessFilter(devices), AnonymousAuthenticationFilter.class)
        .authorizeHttpRequests(
            who ->
                who.dispatcherTypeMatchers(DispatcherType.FORWARD, DispatcherType.ERROR)
                    .permitAll()
                    .requestMatchers(HttpMethod.POST, "/api/devices/let-in")
                    .permitAll()
                    .requestMatchers(HttpMethod.GET, "/api/devices/here")
                    .permitAll()
                    .requestMatchers("/api/devices/**", "/api/archive/**")
                    .hasRole(Requester.DESK)
                    .requestMatchers("/api/**")
                    .hasAnyRole(Requester.DESK, Requester.DEVICE)
                    .anyRequest()
                    .permitAll())
        .exceptionHandling(
            refused ->
                refused
                    .authenticationEntryPoint(
                        (request, response, why) ->
                            refusals.write(
                                request,
                                response,
                                HttpStatus.UNAUTHORIZED,
                                Said.of("refused.noAccess")))
                    .accessDeniedHandler(
                        (request, response, why) ->
                            refusals.write(
                                request,
                                response,
                                HttpStatus.FORBIDDEN,
                                Said.of("refused.onThisComputerOnly"))))
        .build();
  }
}
