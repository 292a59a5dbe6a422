package shim.app.http;

import java.net.URI;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.MessageSourceResolvable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.orm.ObjectOptimisticLockingFailureException;
import org.springframework.validation.method.ParameterValidationResult;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.HandlerMethodValidationException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import shim.app.http.Refusal.FieldError;
import shim.core.lash.LashException;

/** Every error as an RFC 9457 problem: the user's words in it, the log's words in the log. */
@RestControllerAdvice
class ProblemAdvice extends ResponseEntityExceptionHandler {
  private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);

  @ExceptionHandler
  ProblemDetail refused(Refusal e) {
    return switch (e.kind()) {
      case INVALID ->
          problem(HttpStatus.UNPROCESSABLE_CONTENT, "invalid", e.getMessage(), e.errors());
      case NOT_FOUND -> problem(HttpStatus.NOT_FOUND, "not-found", e.getMessage(), List.of());
      case CONFLICT -> problem(HttpStatus.CONFLICT, "conflict", e.getMessage(), List.of());
    };
  }

  @ExceptionHandler
  ProblemDetail lash(LashException e) {
    return problem(
        HttpStatus.UNPROCESSABLE_CONTENT,
        "invalid",
        String.valueOf(e.getMessage()),
        List.of(new FieldError("reading", String.valueOf(e.getMessage()))));
  }

  @ExceptionHandler
  ProblemDetail argument(IllegalArgumentException e) {
    LOG.info("refused argument", e);
    return problem(
        HttpStatus.UNPROCESSABLE_CONTENT, "invalid", String.valueOf(e.getMessage()), List.of());
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
    LOG.error("unexpected", e);
    return problem(
        HttpStatus.INTERNAL_SERVER_ERROR,
        "unexpected",
        "Shim stumbled over this; what was saved before is safe. The log has the details.",
        List.of());
  }

  @Override
  protected ResponseEntity<Object> handleMethodArgumentNotValid(
      MethodArgumentNotValidException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    List<FieldError> errors =
        e.getBindingResult().getFieldErrors().stream()
            .map(f -> new FieldError(f.getField(), String.valueOf(f.getDefaultMessage())))
            .toList();
    return ResponseEntity.unprocessableContent()
        .body(
            problem(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "invalid",
                "some of what was entered cannot be used",
                errors));
  }

  /** Lists and single parameters are checked by the method; each fault names its place. */
  @Override
  protected ResponseEntity<Object> handleHandlerMethodValidationException(
      HandlerMethodValidationException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    List<FieldError> errors =
        e.getParameterValidationResults().stream()
            .flatMap(
                r ->
                    r.getResolvableErrors().stream()
                        .map(
                            x ->
                                new FieldError(place(r, x), String.valueOf(x.getDefaultMessage()))))
            .toList();
    return ResponseEntity.unprocessableContent()
        .body(
            problem(
                HttpStatus.UNPROCESSABLE_CONTENT,
                "invalid",
                "some of what was entered cannot be used",
                errors));
  }

  private static String place(ParameterValidationResult r, MessageSourceResolvable error) {
    String row = r.getContainerIndex() == null ? "" : "[" + r.getContainerIndex() + "].";
    return row
        + (error instanceof org.springframework.validation.FieldError f
            ? f.getField()
            : String.valueOf(r.getMethodParameter().getParameterName()));
  }

  @Override
  protected ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    LOG.info("unreadable request", e);
    return ResponseEntity.badRequest()
        .body(
            problem(
                HttpStatus.BAD_REQUEST,
                "unreadable",
                "this could not be read: a word or number is not what was expected here",
                List.of()));
  }

  @Override
  protected @Nullable ResponseEntity<Object> handleExceptionInternal(
      Exception e,
      @Nullable Object body,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    if (body instanceof ProblemDetail p) {
      p.setProperty("errors", List.of());
    }
    return super.handleExceptionInternal(e, body, headers, status, request);
  }

  private static ProblemDetail problem(
      HttpStatus status, String type, String words, List<FieldError> errors) {
    ProblemDetail p = ProblemDetail.forStatusAndDetail(status, words);
    p.setType(URI.create("urn:shim:" + type));
    p.setProperty("errors", errors);
    return p;
  }
}
