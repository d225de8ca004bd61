package hightally.app.platform;

import com.fasterxml.jackson.core.JacksonException;
import hightally.app.words.ReaderWords;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import java.nio.file.Path;
import java.sql.SQLException;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.dao.UncategorizedDataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** Every failure as problem details (RFC 9457); a broken contract lists its violations. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
  private static final Resource PAGE = new ClassPathResource("static/index.html");

  private final Connections connections;
  private final ReaderWords words;
  private final HighTallyProperties properties;

  Problems(Connections connections, ReaderWords words, HighTallyProperties properties) {
    this.properties = properties;
    this.connections = connections;
    this.words = words;
  }

  @ExceptionHandler(InvalidInputException.class)
  ProblemDetail invalid(InvalidInputException e) {
    ProblemDetail problem = problem(HttpStatus.UNPROCESSABLE_ENTITY, "Invalid input", words.say(e));
    problem.setProperty("violations", e.violations());
    return problem;
  }

  @ExceptionHandler(NotFoundException.class)
  ProblemDetail missing(NotFoundException e) {
    return problem(HttpStatus.NOT_FOUND, "Not found", e.getMessage());
  }

  @ExceptionHandler(ConflictException.class)
  ProblemDetail conflict(ConflictException e) {
    return problem(HttpStatus.CONFLICT, "Changed by another page", e.getMessage());
  }

  @ExceptionHandler({
    OptimisticLockingFailureException.class,
    PessimisticLockingFailureException.class
  })
  ProblemDetail race(RuntimeException e) {
    return problem(
        HttpStatus.CONFLICT,
        "Changed by another page",
        "Another page saved at the same moment. Nothing of this change was stored; look at the newest"
            + " state and save again.");
  }

  /** A constraint of the database: something too long for its place, or there already. */
  @ExceptionHandler(DataIntegrityViolationException.class)
  ProblemDetail refusedByTheDatabase(DataIntegrityViolationException e) {
    String state = NestedSql.state(e);
    if (NestedSql.UNIQUE.equals(state)) {
      return race(e);
    }
    if (NestedSql.TOO_LONG.equals(state)) {
      return problem(
          HttpStatus.UNPROCESSABLE_ENTITY,
          "Too long",
          "Something in this request is longer than what there is room for. Nothing was stored.");
    }
    return unforeseen(e);
  }

  /** The database cannot be reached or written: a full or missing disk, most likely. */
  @ExceptionHandler({
    DataAccessResourceFailureException.class,
    CannotCreateTransactionException.class,
    TransactionSystemException.class,
    UncategorizedDataAccessException.class,
    SQLException.class
  })
  ProblemDetail noRoom(Exception e) {
    if (NestedSql.allConnectionsTaken(e)) {
      return busy();
    }
    logger.error("The data cannot be written", e);
    connections.renew();
    return problem(
        HttpStatus.SERVICE_UNAVAILABLE,
        "The data cannot be written",
        DataTrouble.notWritten(Path.of(properties.data())));
  }

  /** Everything that can be done at once is being done. */
  @ExceptionHandler(BusyException.class)
  ProblemDetail busy() {
    return problem(
        HttpStatus.SERVICE_UNAVAILABLE,
        "Busy",
        "High Tally is busy with other work. Nothing of this was stored; try again in a moment.");
  }

  @ExceptionHandler(RuntimeException.class)
  ProblemDetail unforeseen(RuntimeException e) {
    logger.error("A request failed in a way nobody foresaw", e);
    return problem(
        HttpStatus.INTERNAL_SERVER_ERROR,
        "Fault in the program",
        "This is a fault in High Tally, not in what was sent. Nothing was stored. The file"
            + " high-tally.log in the folder of the data tells more.");
  }

  /** An address that leads nowhere: a browser gets the page, which says so and shows a way on. */
  @Override
  protected ResponseEntity<Object> handleNoResourceFoundException(
      NoResourceFoundException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
    String accepts = request.getHeader(HttpHeaders.ACCEPT);
    boolean reads = accepts != null && accepts.contains(MediaType.TEXT_HTML_VALUE);
    if (reads && !e.getResourcePath().startsWith("api/") && PAGE.exists()) {
      return ResponseEntity.status(status).contentType(MediaType.TEXT_HTML).body(PAGE);
    }
    return super.handleNoResourceFoundException(e, headers, status, request);
  }

  @Override
  protected ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    InvalidInputException explained =
        e.getCause() instanceof JacksonException cause
            ? JsonProblems.explained(cause)
            : InvalidInputException.of("body", Said.of("given.missing"), Said.of("demand.json"));
    return handleExceptionInternal(
        e, invalid(explained), headers, HttpStatus.UNPROCESSABLE_ENTITY, request);
  }

  private static ProblemDetail problem(HttpStatus status, String title, String detail) {
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
    problem.setTitle(title);
    return problem;
  }
}
