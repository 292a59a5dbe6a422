package shim.app.http;

import com.github.benmanes.caffeine.cache.AsyncCache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.regex.Pattern;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.ContentCachingResponseWrapper;

/**
 * What is computed from the records is computed once for all who ask, until the records change. A
 * device that has the answer already is told so, and nothing is computed or sent.
 */
@Component
@Order(Ordered.LOWEST_PRECEDENCE)
class KeptAnswers extends OncePerRequestFilter {
  private static final long MOST_BYTES = 32L << 20;
  private static final Duration UNUSED = Duration.ofMinutes(5);

  /** Gzip is taken, unless it is named with a weight of nought. */
  private static final Pattern PACKED =
      Pattern.compile("(?i)\\b(gzip|x-gzip)\\b(?!\\s*;\\s*q\\s*=\\s*0(\\.0*)?\\s*(,|$))");

  /** Made of the records alone: no instrument, no other thread and no second hand is in them. */
  private static final List<Pattern> OF_THE_RECORDS =
      List.of(
          Pattern.compile(
              "/api/engines(/[\\w-]+(/(springs|lifters|lash-drift|lash-history|lash-targets|readiness"
                  + "|seen-in-rounds|hours|events|rounds|runs|jobs|cam|cam/(side-by-side|lash|float)"
                  + "|valves/\\w+/story))?)?"),
          Pattern.compile("/api/rounds/[\\w-]+(/(looks|spring-test))?"),
          Pattern.compile("/api/springs/[\\w-]+/life"),
          Pattern.compile("/api/heads(/[\\w-]+)?"));

  /** As it goes over the line: packed once, not for each who asks. */
  private record Kept(String type, byte[] packed) {
    static Kept of(String type, byte[] body) throws IOException {
      ByteArrayOutputStream packed = new ByteArrayOutputStream();
      try (GZIPOutputStream out = new GZIPOutputStream(packed)) {
        out.write(body);
      }
      return new Kept(type, packed.toByteArray());
    }

    byte[] body() throws IOException {
      try (GZIPInputStream in = new GZIPInputStream(new ByteArrayInputStream(packed))) {
        return in.readAllBytes();
      }
    }
  }

  private final Changes changes;
  private final AsyncCache<String, Kept> kept =
      Caffeine.newBuilder()
          .maximumWeight(MOST_BYTES)
          .weigher((String key, Kept k) -> key.length() + k.packed().length)
          .expireAfterAccess(UNUSED)
          .buildAsync();

  KeptAnswers(Changes changes) {
    this.changes = changes;
  }

  /** Whoever asks with {@code Cache-Control: no-store} wants it computed. */
  @Override
  protected boolean shouldNotFilter(HttpServletRequest request) {
    return "no-store".equals(request.getHeader(HttpHeaders.CACHE_CONTROL))
        || !request.getMethod().equals("GET")
        || OF_THE_RECORDS.stream().noneMatch(p -> p.matcher(request.getRequestURI()).matches());
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    String state = changes.state();
    String mark = "W/\"" + state + "\"";
    response.setHeader(HttpHeaders.CACHE_CONTROL, "private, no-cache");
    response.addHeader(HttpHeaders.VARY, HttpHeaders.ACCEPT_ENCODING);
    if (mark.equals(request.getHeader(HttpHeaders.IF_NONE_MATCH))) {
      response.setHeader(HttpHeaders.ETAG, mark);
      response.setStatus(HttpServletResponse.SC_NOT_MODIFIED);
      return;
    }
    String key =
        state
            + request.getRequestURI()
            + "?"
            + Objects.requireNonNullElse(request.getQueryString(), "");
    CompletableFuture<Kept> mine = new CompletableFuture<>();
    CompletableFuture<Kept> before = kept.asMap().putIfAbsent(key, mine);
    if (before == null) {
      compute(key, mark, mine, request, response, chain);
    } else {
      wait(before, mark, request, response, chain);
    }
  }

  private void compute(
      String key,
      String mark,
      CompletableFuture<Kept> mine,
      HttpServletRequest request,
      HttpServletResponse response,
      FilterChain chain)
      throws ServletException, IOException {
    ContentCachingResponseWrapper copy = new ContentCachingResponseWrapper(response);
    try {
      chain.doFilter(request, copy);
      if (copy.getStatus() == HttpServletResponse.SC_OK && copy.getContentType() != null) {
        mine.complete(Kept.of(copy.getContentType(), copy.getContentAsByteArray()));
      }
    } finally {
      // A refusal or a fault is nobody else's answer.
      if (!mine.isDone()) {
        mine.completeExceptionally(new IllegalStateException("no answer to keep"));
        kept.asMap().remove(key, mine);
      }
    }
    if (mine.isCompletedExceptionally()) {
      copy.copyBodyToResponse();
    } else {
      send(mine.join(), mark, request, response);
    }
  }

  private static void wait(
      CompletableFuture<Kept> before,
      String mark,
      HttpServletRequest request,
      HttpServletResponse response,
      FilterChain chain)
      throws ServletException, IOException {
    Kept answer;
    try {
      answer = before.join();
    } catch (CompletionException e) {
      chain.doFilter(request, response);
      return;
    }
    send(answer, mark, request, response);
  }

  private static void send(
      Kept answer, String mark, HttpServletRequest request, HttpServletResponse response)
      throws IOException {
    response.setHeader(HttpHeaders.ETAG, mark);
    response.setContentType(answer.type());
    byte[] body;
    if (takesPacked(request)) {
      response.setHeader(HttpHeaders.CONTENT_ENCODING, "gzip");
      body = answer.packed();
    } else {
      body = answer.body();
    }
    response.setContentLength(body.length);
    response.getOutputStream().write(body);
  }

  private static boolean takesPacked(HttpServletRequest request) {
    String takes = request.getHeader(HttpHeaders.ACCEPT_ENCODING);
    return takes != null && PACKED.matcher(takes).find();
  }
}
