package hightally.app.platform;

import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;

/** What is refused before any of the program's work begins, said as every other problem is. */
public final class Refusals {
  private Refusals() {}

  /** What is refused, and why. */
  public static ProblemDetail problem(HttpStatus status, String why) {
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, why);
    problem.setTitle("Refused");
    return problem;
  }

  /** Answers with a refusal. */
  public static void write(
      ObjectMapper mapper, HttpServletResponse response, HttpStatus status, String why)
      throws IOException {
    response.setStatus(status.value());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response.setCharacterEncoding(StandardCharsets.UTF_8.name());
    response.getWriter().write(mapper.writeValueAsString(problem(status, why)));
  }
}
