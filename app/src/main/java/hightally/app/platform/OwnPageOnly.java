package hightally.app.platform;

import hightally.core.quantity.Said;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Locale;
import java.util.Set;
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
 *
 * <p>It stands in the security chain, behind the headers that every answer has.
 */
@Component
public class OwnPageOnly extends OncePerRequestFilter {
  private static final Set<String> BRING = Set.of("POST", "PUT", "PATCH");

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
