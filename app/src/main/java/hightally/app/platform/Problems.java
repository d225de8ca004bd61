package hightally.app.platform;

import com.fasterxml.jackson.core.JacksonException;
import hightally.app.words.ReaderWords;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.quantity.Violation;
import jakarta.servlet.http.HttpServletRequest;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.beans.factory.ObjectProvider;
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

  private static final Pattern OF_MODEL = Pattern.compile("/api/aircraft/([0-9]{1,15})(/|$)");

  private final Connections connections;
  private final ReaderWords words;
  private final HighTallyProperties properties;
  private final ObjectProvider<ModelFaults> faults;

  Problems(
      Connections connections,
      ReaderWords words,
      HighTallyProperties properties,
      ObjectProvider<ModelFaults> faults) {
    this.faults = faults;
    this.properties = properties;
    this.connections = connections;
    this.words = words;
  }

  /** What is asked for and not sent can only be wrong in what is stored. */
  @ExceptionHandler(InvalidInputException.class)
  ProblemDetail refused(InvalidInputException e, HttpServletRequest request) {
    boolean sent =
        e.violations().stream().anyMatch(one -> request.getParameterMap().containsKey(one.field()));
    Optional<ProblemDetail> stored =
        request.getMethod().equals("GET") && !sent ? unreadable(request) : Optional.empty();
    return stored.orElseGet(() -> invalid(e));
  }

  private ProblemDetail invalid(InvalidInputException e) {
    ProblemDetail problem =
        problem(HttpStatus.UNPROCESSABLE_ENTITY, Said.of("problem.invalid"), words.say(e));
    problem.setProperty("violations", e.violations());
    return problem;
  }

  @ExceptionHandler(NotFoundException.class)
  ProblemDetail missing(NotFoundException e) {
    return problem(HttpStatus.NOT_FOUND, Said.of("problem.notFound"), words.say(e.said()));
  }

  @ExceptionHandler(ConflictException.class)
  ProblemDetail conflict(ConflictException e) {
    return problem(HttpStatus.CONFLICT, Said.of("problem.conflict"), words.say(e.said()));
  }

  @ExceptionHandler({
    OptimisticLockingFailureException.class,
    PessimisticLockingFailureException.class
  })
  ProblemDetail race(RuntimeException e) {
    return problem(
        HttpStatus.CONFLICT, Said.of("problem.conflict"), words.say(Said.of("problem.race")));
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
          Said.of("problem.tooLong"),
          words.say(Said.of("problem.noRoom")));
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
  ProblemDetail notStored(Exception e, HttpServletRequest request) {
    boolean sql = !NestedSql.state(e).isEmpty();
    return sql || !(e instanceof UncategorizedDataAccessException told)
        ? noRoom(e)
        : failed(told, request);
  }

  ProblemDetail noRoom(Exception e) {
    if (NestedSql.allConnectionsTaken(e)) {
      return busy();
    }
    logger.error("The data cannot be written", e);
    connections.renew();
    return problem(
        HttpStatus.SERVICE_UNAVAILABLE,
        Said.of("problem.notWritten"),
        words.say(DataTrouble.notWritten(Path.of(properties.data()))));
  }

  /** Everything that can be done at once is being done. */
  @ExceptionHandler(BusyException.class)
  ProblemDetail busy() {
    return problem(
        HttpStatus.SERVICE_UNAVAILABLE,
        Said.of("problem.busy"),
        words.say(Said.of("problem.tryAgain")));
  }

  /** Where a model is asked for that cannot be read, this is why; else a fault of the program. */
  @ExceptionHandler(RuntimeException.class)
  ProblemDetail failed(RuntimeException e, HttpServletRequest request) {
    return unreadable(request).orElseGet(() -> unforeseen(e));
  }

  private Optional<ProblemDetail> unreadable(HttpServletRequest request) {
    Matcher model = OF_MODEL.matcher(request.getRequestURI());
    if (!model.find()) {
      return Optional.empty();
    }
    List<Violation> why = faults.getObject().of(Long.parseLong(model.group(1)));
    if (why.isEmpty()) {
      return Optional.empty();
    }
    ProblemDetail problem =
        problem(
            HttpStatus.UNPROCESSABLE_ENTITY,
            Said.of("problem.unreadable"),
            words.say(new InvalidInputException(why)));
    problem.setProperty("violations", why);
    return Optional.of(problem);
  }

  private ProblemDetail unforeseen(RuntimeException e) {
    logger.error("A request failed in a way nobody foresaw", e);
    return problem(
        HttpStatus.INTERNAL_SERVER_ERROR,
        Said.of("problem.fault"),
        words.say(Said.of("problem.seeLog")));
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
    for (Throwable cause = e; cause != null; cause = cause.getCause()) {
      if (cause instanceof BodyLimit.TooLarge beyond) {
        headers.setConnection("close");
        return handleExceptionInternal(
            e, tooLarge(beyond), headers, HttpStatus.PAYLOAD_TOO_LARGE, request);
      }
    }
    InvalidInputException explained =
        e.getCause() instanceof JacksonException cause
            ? JsonProblems.explained(cause)
            : InvalidInputException.of("body", Said.of("given.missing"), Said.of("demand.json"));
    return handleExceptionInternal(
        e, invalid(explained), headers, HttpStatus.UNPROCESSABLE_ENTITY, request);
  }

  @ExceptionHandler(BodyLimit.TooLarge.class)
  ProblemDetail tooLarge(BodyLimit.TooLarge e) {
    return problem(
        HttpStatus.PAYLOAD_TOO_LARGE,
        Said.of("problem.refused"),
        words.say(Said.of("refused.tooLarge", "most", e.most())));
  }

  private ProblemDetail problem(HttpStatus status, Said title, String detail) {
    ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
    problem.setTitle(words.say(title));
    return problem;
  }
}
