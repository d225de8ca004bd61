package hightally.app.platform;

import hightally.app.words.ReaderWords;
import hightally.core.quantity.Said;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.boot.web.servlet.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is answered to a request that failed before anything here saw it. */
@Hidden
@RestController
class FallbackError implements ErrorController {
  private final ReaderWords words;

  FallbackError(ReaderWords words) {
    this.words = words;
  }

  @RequestMapping("/error")
  ResponseEntity<ProblemDetail> failed(HttpServletRequest request) {
    Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
    HttpStatus status =
        code instanceof Integer number ? HttpStatus.resolve(number) : HttpStatus.NOT_FOUND;
    HttpStatus known = status == null ? HttpStatus.BAD_REQUEST : status;
    ProblemDetail problem =
        ProblemDetail.forStatusAndDetail(known, words.say(Said.of("problem.notAnswered"), request));
    problem.setTitle(words.say(Said.of("problem.refused"), request));
    return ResponseEntity.status(known).body(problem);
  }
}
