package hightally.app.platform;

import hightally.core.quantity.Said;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.InvalidMediaTypeException;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Only the program's own page, and scripts on this machine, may speak to it: every request, the
 * WebSocket's first one included, must name this machine as its host and come from no other page.
 * On the local network the host must be a bare address of this machine, since a name could be made
 * to lead here by somebody else. What writes must say what it brings. A page elsewhere that a
 * browser shows can neither read nor write, not even by giving its own name the address of this
 * machine.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class OwnPageOnly extends OncePerRequestFilter {
  private static final Set<String> BRING = Set.of("POST", "PUT", "PATCH");

  /** The page loads nothing from elsewhere; drawings and dialogs set styles of their own. */
  private static final String POLICY =
      "default-src 'self'; img-src 'self' data:; style-src 'self' 'unsafe-inline';"
          + " object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

  private final Refusals refusals;
  private final LocalNetwork network;

  OwnPageOnly(Refusals refusals, LocalNetwork network) {
    this.refusals = refusals;
    this.network = network;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    response.setHeader("Content-Security-Policy", POLICY);
    response.setHeader("X-Content-Type-Options", "nosniff");
    response.setHeader("X-Frame-Options", "DENY");
    response.setHeader("Referrer-Policy", "no-referrer");
    response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
    response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
    if (request.getRequestURI().startsWith("/api/")) {
      // Asked for anew each time; what a browser keeps of it comes back where it cannot ask.
      response.setHeader(HttpHeaders.CACHE_CONTROL, "private, no-cache");
    }
    String host = host(request);
    if (!network.isThisMachine(name(host))) {
      refusals.write(request, response, HttpStatus.FORBIDDEN, network.answersAs());
    } else if (!ownOrigin(request, host)) {
      refusals.write(request, response, HttpStatus.FORBIDDEN, Said.of("refused.anotherPage"));
    } else if (BRING.contains(request.getMethod()) && !saysWhatItBrings(request)) {
      refusals.write(
          request, response, HttpStatus.UNSUPPORTED_MEDIA_TYPE, Said.of("refused.noContentType"));
    } else {
      chain.doFilter(request, response);
    }
  }

  private static String host(HttpServletRequest request) {
    String sent = request.getHeader(HttpHeaders.HOST);
    return (sent == null ? request.getServerName() : sent).toLowerCase(Locale.ROOT);
  }

  /** The host without its port. */
  private static String name(String host) {
    int colon = host.lastIndexOf(':');
    return colon > host.lastIndexOf(']') ? host.substring(0, colon) : host;
  }

  private static boolean ownOrigin(HttpServletRequest request, String host) {
    String origin = request.getHeader(HttpHeaders.ORIGIN);
    if (origin != null && !origin.toLowerCase(Locale.ROOT).equals("http://" + host)) {
      return false;
    }
    // Following a link from elsewhere to a page is fine; being read into another page is not.
    boolean crossSite = "cross-site".equals(request.getHeader("Sec-Fetch-Site"));
    return !crossSite || "navigate".equals(request.getHeader("Sec-Fetch-Mode"));
  }

  private static boolean saysWhatItBrings(HttpServletRequest request) {
    try {
      String sent = request.getContentType();
      return sent != null && MediaType.parseMediaType(sent).isConcrete();
    } catch (InvalidMediaTypeException e) {
      return false;
    }
  }
}
