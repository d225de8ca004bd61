package hightally.app.platform;

import com.fasterxml.jackson.databind.ObjectMapper;
import hightally.app.words.ReaderWords;
import hightally.core.quantity.Said;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;

/** What is refused before any of the program's work begins, said as every other problem is. */
@Component
public class Refusals {
  private final ObjectMapper mapper;
  private final ReaderWords words;

  Refusals(ObjectMapper mapper, ReaderWords words) {
    this.mapper = mapper;
    this.words = words;
  }

  /** What is refused, and why, told to who is asking. */
  public ProblemDetail problem(HttpStatus status, Said why) {
    return problem(status, words.say(why), words.say(Said.of("problem.refused")));
  }

  private static ProblemDetail problem(HttpStatus status, String why, String title) {
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, why);
    problem.setTitle(title);
    return problem;
  }

  /** Answers with a refusal. */
  public void write(
      HttpServletRequest request, HttpServletResponse response, HttpStatus status, Said why)
      throws IOException {
    response.setStatus(status.value());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response.setCharacterEncoding(StandardCharsets.UTF_8.name());
    response
        .getWriter()
        .write(
            mapper.writeValueAsString(
                problem(
                    status,
                    words.say(why, request),
                    words.say(Said.of("problem.refused"), request))));
  }
}
