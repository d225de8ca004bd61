package hightally.app.device;

import hightally.app.platform.OwnPageOnly;
import hightally.app.platform.Refusals;
import hightally.core.quantity.Said;
import jakarta.servlet.DispatcherType;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.annotation.web.configurers.HeadersConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.authentication.AnonymousAuthenticationFilter;
import org.springframework.security.web.header.HeaderWriter;
import org.springframework.security.web.header.HeaderWriterFilter;
import org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy;
import org.springframework.security.web.header.writers.CrossOriginResourcePolicyHeaderWriter.CrossOriginResourcePolicy;
import org.springframework.security.web.header.writers.DelegatingRequestMatcherHeaderWriter;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;
import org.springframework.security.web.header.writers.StaticHeadersWriter;

/**
 * Who may do what. The page itself is nobody's secret; everything the pilot has entered is only for
 * this machine and the devices it let in, and letting in, sending away and whole archives are only
 * for this machine. Against other sites no token is needed beside the cookie: it is never sent for
 * them, every request must name this machine as host and origin, and the host has no cookie at all.
 */
@Configuration
class DeviceAccess {
  /** The page loads nothing from elsewhere; drawings and dialogs set styles of their own. */
  private static final String POLICY =
      "default-src 'self'; img-src 'self' data:; style-src 'self' 'unsafe-inline';"
          + " object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

  @Bean
  SecurityFilterChain doorsOf(
      HttpSecurity http, Devices devices, Refusals refusals, OwnPageOnly ownPageOnly)
      throws Exception {
    return http.csrf(AbstractHttpConfigurer::disable)
        .headers(DeviceAccess::headers)
        .addFilterAfter(ownPageOnly, HeaderWriterFilter.class)
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
                    .hasRole(Requester.HOST)
                    .requestMatchers("/api/**")
                    .hasAnyRole(Requester.HOST, Requester.DEVICE)
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
                                Said.of("refused.hostOnly"))))
        .build();
  }

  private static void headers(HeadersConfigurer<HttpSecurity> headers) {
    // What the interface answers is asked for anew each time; what a browser keeps of it comes back
    // where it cannot ask. The page's own files have their time in their names.
    HeaderWriter anew = new StaticHeadersWriter(HttpHeaders.CACHE_CONTROL, "private, no-cache");
    headers
        .contentSecurityPolicy(one -> one.policyDirectives(POLICY))
        .frameOptions(HeadersConfigurer.FrameOptionsConfig::deny)
        .referrerPolicy(one -> one.policy(ReferrerPolicy.NO_REFERRER))
        .crossOriginOpenerPolicy(one -> one.policy(CrossOriginOpenerPolicy.SAME_ORIGIN))
        .crossOriginResourcePolicy(one -> one.policy(CrossOriginResourcePolicy.SAME_ORIGIN))
        .cacheControl(HeadersConfigurer.CacheControlConfig::disable)
        .addHeaderWriter(
            new DelegatingRequestMatcherHeaderWriter(
                request -> request.getRequestURI().startsWith("/api/"), anew));
  }

  /** It stands in the chain above, not beside it. */
  @Bean
  FilterRegistrationBean<OwnPageOnly> onlyInTheChain(OwnPageOnly ownPageOnly) {
    FilterRegistrationBean<OwnPageOnly> registration = new FilterRegistrationBean<>(ownPageOnly);
    registration.setEnabled(false);
    return registration;
  }
}
