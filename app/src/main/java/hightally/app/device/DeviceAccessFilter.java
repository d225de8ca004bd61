package hightally.app.device;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.Optional;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.filter.OncePerRequestFilter;

/** Knows who asks: this machine by where it asks from, a device by its cookie as well. */
final class DeviceAccessFilter extends OncePerRequestFilter {
  static final String COOKIE = "high-tally-device";

  private final Devices devices;

  DeviceAccessFilter(Devices devices) {
    this.devices = devices;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    visitor(request)
        .ifPresent(
            visitor -> {
              SecurityContext context = SecurityContextHolder.createEmptyContext();
              context.setAuthentication(visitor);
              SecurityContextHolder.setContext(context);
            });
    chain.doFilter(request, response);
  }

  private Optional<Requester> visitor(HttpServletRequest request) {
    String address = request.getRemoteAddr();
    if (isThisMachine(address)) {
      return Optional.of(Requester.host());
    }
    Cookie[] cookies = request.getCookies();
    if (cookies != null) {
      for (Cookie cookie : cookies) {
        if (cookie.getName().equals(COOKIE)) {
          return devices.knownBy(cookie.getValue(), address).map(Requester::of);
        }
      }
    }
    return Optional.empty();
  }

  private static boolean isThisMachine(String address) {
    try {
      return InetAddress.getByName(address).isLoopbackAddress();
    } catch (UnknownHostException e) {
      return false;
    }
  }
}
