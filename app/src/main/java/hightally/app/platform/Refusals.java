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

  /** Answers with a refusal. */
  public static void write(
      ObjectMapper mapper, HttpServletResponse response, HttpStatus status, String why)
      throws IOException {
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, why);
    problem.setTitle("Refused");
    response.setStatus(status.value());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response.setCharacterEncoding(StandardCharsets.UTF_8.name());
    response.getWriter().write(mapper.writeValueAsString(problem));
  }
}
