package shim.app.http;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import shim.app.http.Refusal.FieldError;

/** What was refused before any of Shim's own code saw it, in the same form as all else. */
@Hidden
@RestController
class Nowhere implements ErrorController {
  @RequestMapping("/error")
  ResponseEntity<ProblemDetail> error(HttpServletRequest request) {
    Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
    HttpStatus known = code instanceof Integer i ? HttpStatus.resolve(i) : null;
    HttpStatus status = known == null ? HttpStatus.NOT_FOUND : known;
    String words =
        status == HttpStatus.NOT_FOUND
            ? "there is nothing at this address"
            : "this request cannot be read: " + status.getReasonPhrase().toLowerCase();
    return ResponseEntity.status(status)
        .body(
            ProblemAdvice.problem(
                status, "refused", words, List.of(new FieldError("request", words))));
  }
}
