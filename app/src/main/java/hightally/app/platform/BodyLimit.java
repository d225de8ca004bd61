package hightally.app.platform;

import hightally.core.quantity.Said;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * No request brings more than its place takes, whoever sends it: one that says so is refused before
 * a byte of it is read and before anyone is let in, one that does not is cut off where it goes
 * beyond.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class BodyLimit extends OncePerRequestFilter {
  private static final long MEGA = 1_000_000;

  /** A draft, what is saved and more than any log of flights. */
  private static final long USUAL = 8 * MEGA;

  /** An archive, packed; it goes to the disk and not into memory. */
  private static final long ARCHIVE = 300 * MEGA;

  /** What a device says that nobody has let in yet. */
  private static final long STRANGER = 4_000;

  private final Refusals refusals;

  BodyLimit(Refusals refusals) {
    this.refusals = refusals;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    long most = most(request.getRequestURI());
    if (request.getContentLengthLong() > most) {
      // What is still on its way is not waited for.
      response.setHeader(HttpHeaders.CONNECTION, "close");
      Said why = Said.of("refused.tooLarge", "most", most);
      refusals.write(request, response, HttpStatus.PAYLOAD_TOO_LARGE, why);
    } else {
      chain.doFilter(new Limited(request, most), response);
    }
  }

  private static long most(String path) {
    if (path.startsWith("/api/archive/")) {
      return ARCHIVE;
    }
    return path.equals("/api/devices/let-in") ? STRANGER : USUAL;
  }

  /** More was sent than is taken. */
  static final class TooLarge extends IOException {
    private static final long serialVersionUID = 1;
    private final long most;

    TooLarge(long most) {
      super("A request brings more than " + most + " bytes");
      this.most = most;
    }

    long most() {
      return most;
    }
  }

  /** A request of which no more than so much is read. */
  private static final class Limited extends HttpServletRequestWrapper {
    private final long most;
    private ServletInputStream body;

    Limited(HttpServletRequest request, long most) {
      super(request);
      this.most = most;
    }

    @Override
    public ServletInputStream getInputStream() throws IOException {
      if (body == null) {
        body = new Counted(super.getInputStream(), most);
      }
      return body;
    }

    @Override
    public BufferedReader getReader() throws IOException {
      return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
    }
  }

  private static final class Counted extends ServletInputStream {
    private final ServletInputStream in;
    private final long most;
    private long read;

    Counted(ServletInputStream in, long most) {
      this.in = in;
      this.most = most;
    }

    private int counted(int more) throws TooLarge {
      read += Math.max(0, more);
      if (read > most) {
        throw new TooLarge(most);
      }
      return more;
    }

    @Override
    public int read() throws IOException {
      int found = in.read();
      counted(found < 0 ? 0 : 1);
      return found;
    }

    @Override
    public int read(byte[] into, int from, int length) throws IOException {
      return counted(in.read(into, from, length));
    }

    @Override
    public boolean isFinished() {
      return in.isFinished();
    }

    @Override
    public boolean isReady() {
      return in.isReady();
    }

    @Override
    public void setReadListener(ReadListener listener) {
      in.setReadListener(listener);
    }
  }
}
