package hightally.app.platform;

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
  @RequestMapping("/error")
  ResponseEntity<ProblemDetail> failed(HttpServletRequest request) {
    Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
    HttpStatus status =
        code instanceof Integer number ? HttpStatus.resolve(number) : HttpStatus.NOT_FOUND;
    HttpStatus known = status == null ? HttpStatus.BAD_REQUEST : status;
    ProblemDetail problem =
        ProblemDetail.forStatusAndDetail(known, "The request could not be answered.");
    problem.setTitle(known.getReasonPhrase());
    return ResponseEntity.status(known).body(problem);
  }
}
