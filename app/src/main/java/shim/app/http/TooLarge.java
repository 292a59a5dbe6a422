package shim.app.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import shim.app.http.Refusal.FieldError;
import tools.jackson.databind.json.JsonMapper;

/**
 * How much is taken in one piece, looked at before anything is read: by the length a request gives,
 * or, where it gives none, by counting while it is read.
 */
@Component
@Order(Ordered.LOWEST_PRECEDENCE - 10)
class TooLarge extends OncePerRequestFilter {
  static final String WORDS = "that is more than Shim takes in one piece";
  private static final long USUAL_BYTES = 2_000_000;

  /** What may be larger, by the end or the beginning of its address. */
  private static final Map<String, Long> LARGER =
      Map.of(
          "/photo", 12_000_000L,
          "/spring-readings", 16_000_000L,
          "/api/engine-files", 64_000_000L,
          "/api/calc/logger", 512_000_000L,
          "/api/restore-check", Long.MAX_VALUE);

  private final JsonMapper json;

  TooLarge(JsonMapper json) {
    this.json = json;
  }

  /** Thrown while reading goes on past the limit. */
  private static final class Exceeded extends IOException {
    private static final long serialVersionUID = 1L;

    Exceeded() {
      super(WORDS);
    }
  }

  /** Whether an error came from reading past the limit. */
  static boolean in(@Nullable Throwable e) {
    for (Throwable t = e; t != null; t = t.getCause()) {
      if (t instanceof Exceeded) {
        return true;
      }
    }
    return false;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    long most = most(request.getRequestURI());
    if (request.getContentLengthLong() > most) {
      refuse(response, most);
    } else if (request.getContentLengthLong() >= 0) {
      chain.doFilter(request, response);
    } else {
      chain.doFilter(new CountedBody(request, come -> refuseMoreThan(most, come)), response);
    }
  }

  private static void refuseMoreThan(long most, long come) throws Exceeded {
    if (come > most) {
      throw new Exceeded();
    }
  }

  private static long most(String path) {
    return LARGER.entrySet().stream()
        .filter(l -> path.endsWith(l.getKey()))
        .mapToLong(Map.Entry::getValue)
        .findFirst()
        .orElse(USUAL_BYTES);
  }

  private void refuse(HttpServletResponse response, long most) throws IOException {
    String words = WORDS + ": " + most / 1_000_000 + " MB at most";
    ProblemDetail problem =
        ProblemAdvice.problem(
            HttpStatus.CONTENT_TOO_LARGE,
            "too-large",
            words,
            List.of(new FieldError("body", words)));
    response.setStatus(problem.getStatus());
    response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
    response.getOutputStream().write(json.writeValueAsBytes(problem));
  }
}
