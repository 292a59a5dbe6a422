package shim.app.http;

import jakarta.validation.ConstraintViolationException;
import java.net.URI;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.orm.ObjectOptimisticLockingFailureException;
import org.springframework.validation.method.ParameterValidationResult;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.HandlerMethodValidationException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import shim.app.http.Refusal.FieldError;
import shim.core.lash.LashException;

/** Every error as an RFC 9457 problem: the user's words in it, the log's words in the log. */
@RestControllerAdvice
class ProblemAdvice extends ResponseEntityExceptionHandler {
  private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);
  private static final String CANNOT_BE_USED = "some of what was entered cannot be used";
  private static final String REFUSED = "this cannot be done here";

  /** What Spring refuses by itself, in words. */
  private static final Map<HttpStatus, String> NOT_SO =
      Map.of(
          HttpStatus.NOT_FOUND, "there is nothing at this address",
          HttpStatus.METHOD_NOT_ALLOWED, "this address is not used in this way",
          HttpStatus.UNSUPPORTED_MEDIA_TYPE, "this kind of content is not taken here",
          HttpStatus.NOT_ACCEPTABLE, "Shim cannot answer in the form that is asked for",
          HttpStatus.CONTENT_TOO_LARGE, TooLarge.WORDS);

  private final DiskWatch disk;
  private final StoreWatch store;

  ProblemAdvice(DiskWatch disk, StoreWatch store) {
    this.disk = disk;
    this.store = store;
  }

  @ExceptionHandler
  ProblemDetail refused(Refusal e) {
    String words = e.words();
    return switch (e.kind()) {
      case INVALID ->
          problem(HttpStatus.UNPROCESSABLE_CONTENT, "invalid", words, named(e, "entry"));
      case NOT_FOUND -> problem(HttpStatus.NOT_FOUND, "not-found", words, named(e, "id"));
      case CONFLICT -> problem(HttpStatus.CONFLICT, "conflict", words, named(e, "version"));
      case TOO_LARGE -> problem(HttpStatus.CONTENT_TOO_LARGE, "too-large", words, named(e, "body"));
      case DISK_FULL -> problem(HttpStatus.INSUFFICIENT_STORAGE, "disk-full", words, List.of());
      case BUSY -> problem(HttpStatus.SERVICE_UNAVAILABLE, "busy", words, List.of());
      case STOPPED -> problem(HttpStatus.CONFLICT, "stopped", words, List.of());
    };
  }

  private static List<FieldError> named(Refusal e, String usual) {
    return e.errors().isEmpty()
        ? List.of(new FieldError(usual, String.valueOf(e.getMessage())))
        : e.errors();
  }

  @ExceptionHandler
  ProblemDetail lash(LashException e) {
    return one(HttpStatus.UNPROCESSABLE_CONTENT, "reading", String.valueOf(e.getMessage()));
  }

  @ExceptionHandler
  ProblemDetail argument(IllegalArgumentException e) {
    LOG.info("refused argument", e);
    return one(HttpStatus.UNPROCESSABLE_CONTENT, "entry", String.valueOf(e.getMessage()));
  }

  @ExceptionHandler
  ProblemDetail parameter(ConstraintViolationException e) {
    return problem(
        HttpStatus.UNPROCESSABLE_CONTENT,
        "invalid",
        CANNOT_BE_USED,
        e.getConstraintViolations().stream()
            .map(v -> new FieldError(String.valueOf(v.getPropertyPath()), v.getMessage()))
            .toList());
  }

  @ExceptionHandler
  ProblemDetail overtaken(ObjectOptimisticLockingFailureException e) {
    return problem(
        HttpStatus.CONFLICT,
        "conflict",
        "someone else changed this at the same moment: look at it again, then repeat",
        List.of());
  }

  @ExceptionHandler
  ProblemDetail unexpected(Exception e) {
    store.look(e);
    if (disk.full(e)) {
      return problem(HttpStatus.INSUFFICIENT_STORAGE, "disk-full", DiskWatch.WORDS, List.of());
    }
    if (e instanceof DataIntegrityViolationException) {
      LOG.warn("refused by the store", e);
      return one(
          HttpStatus.CONFLICT, "entry", "this does not go together with what Shim has already");
    }
    LOG.error("unexpected", e);
    return problem(
        HttpStatus.INTERNAL_SERVER_ERROR,
        "unexpected",
        "unexpected error; what was saved before is safe. The log has the details.",
        List.of());
  }

  /** Parameters of the address are checked by the method; bodies by {@link Entries}. */
  @Override
  protected ResponseEntity<Object> handleHandlerMethodValidationException(
      HandlerMethodValidationException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    return invalid(
        e.getParameterValidationResults().stream()
            .flatMap(
                r ->
                    r.getResolvableErrors().stream()
                        .map(x -> new FieldError(place(r), String.valueOf(x.getDefaultMessage()))))
            .toList());
  }

  private static String place(ParameterValidationResult r) {
    return String.valueOf(r.getMethodParameter().getParameterName());
  }

  @Override
  protected ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    LOG.info("unreadable request", e);
    if (TooLarge.in(e)) {
      return answer(one(HttpStatus.CONTENT_TOO_LARGE, "body", TooLarge.WORDS));
    }
    FieldError fault = Unreadable.of(e.getCause());
    return answer(
        problem(
            HttpStatus.BAD_REQUEST,
            "unreadable",
            "this could not be read: " + fault.message(),
            List.of(fault)));
  }

  @Override
  protected ResponseEntity<Object> handleTypeMismatch(
      TypeMismatchException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
    String field = e instanceof MethodArgumentTypeMismatchException m ? m.getName() : "entry";
    Class<?> wanted = e.getRequiredType();
    String words =
        "\""
            + e.getValue()
            + "\" cannot be; expected here: "
            + Unreadable.expected(wanted == null ? String.class : wanted);
    return answer(one(HttpStatus.BAD_REQUEST, field, words));
  }

  @Override
  protected ResponseEntity<Object> handleMissingServletRequestParameter(
      MissingServletRequestParameterException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    return answer(
        one(HttpStatus.BAD_REQUEST, e.getParameterName(), e.getParameterName() + " is missing"));
  }

  /** Whatever Spring refuses by itself: a wrong address, method or kind of content. */
  @Override
  protected @Nullable ResponseEntity<Object> handleExceptionInternal(
      Exception e,
      @Nullable Object body,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    HttpStatus known = HttpStatus.resolve(status.value());
    String words = known == null ? REFUSED : NOT_SO.getOrDefault(known, REFUSED);
    return super.handleExceptionInternal(
        e,
        known == null ? body : problem(known, "refused", words, errors("request", words)),
        headers,
        status,
        request);
  }

  private static ResponseEntity<Object> invalid(List<FieldError> errors) {
    return answer(problem(HttpStatus.UNPROCESSABLE_CONTENT, "invalid", CANNOT_BE_USED, errors));
  }

  private static ResponseEntity<Object> answer(ProblemDetail problem) {
    return ResponseEntity.status(problem.getStatus()).body(problem);
  }

  private static ProblemDetail one(HttpStatus status, String field, String words) {
    return problem(status, "invalid", words, errors(field, words));
  }

  private static List<FieldError> errors(String field, String words) {
    return List.of(new FieldError(field, words));
  }

  static ProblemDetail problem(
      HttpStatus status, String type, String words, List<FieldError> errors) {
    ProblemDetail p = ProblemDetail.forStatusAndDetail(status, words);
    p.setType(URI.create("urn:shim:" + type));
    p.setProperty("errors", errors);
    return p;
  }
}
