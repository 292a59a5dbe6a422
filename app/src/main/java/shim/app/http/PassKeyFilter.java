package shim.app.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets this machine in, and with {@code --lan} those who bring the key that the launcher printed. A
 * page of another site cannot reach Shim through the user's browser: on the loopback address only
 * loopback names are answered.
 */
@Component
@Order(Ordered.LOWEST_PRECEDENCE - 1)
class PassKeyFilter extends OncePerRequestFilter {
  private static final String COOKIE = "shim-key";
  private static final String CALENDAR = "/api/turnaround/calendar.ics";
  private static final Set<String> LOOPBACK = Set.of("127.0.0.1", "localhost", "[::1]", "::1");
  private final ShimSettings settings;

  PassKeyFilter(ShimSettings settings) {
    this.settings = settings;
  }

  @Override
  protected void doFilterInternal(
      HttpServletRequest request, HttpServletResponse response, FilterChain chain)
      throws ServletException, IOException {
    boolean local = InetAddress.getByName(request.getRemoteAddr()).isLoopbackAddress();
    if (local && LOOPBACK.contains(request.getServerName()) || bringsCookie(request)) {
      chain.doFilter(request, response);
    } else if (settings.lan() && matches(request.getParameter("key"))) {
      if (request.getRequestURI().equals(CALENDAR)) {
        // Who subscribes to a calendar keeps no cookies.
        chain.doFilter(request, response);
        return;
      }
      Cookie cookie = new Cookie(COOKIE, request.getParameter("key"));
      cookie.setHttpOnly(true);
      cookie.setPath("/");
      cookie.setAttribute("SameSite", "Strict");
      response.addCookie(cookie);
      response.sendRedirect("/");
    } else {
      response.setStatus(HttpServletResponse.SC_FORBIDDEN);
      response.setContentType("text/plain;charset=UTF-8");
      response
          .getWriter()
          .println("Open Shim with the address the launcher printed, key included.");
    }
  }

  private boolean bringsCookie(HttpServletRequest request) {
    return settings.lan()
        && request.getCookies() != null
        && Arrays.stream(request.getCookies())
            .anyMatch(c -> c.getName().equals(COOKIE) && matches(c.getValue()));
  }

  private boolean matches(@Nullable String offered) {
    String key = settings.key();
    return key != null
        && !key.isEmpty()
        && offered != null
        && MessageDigest.isEqual(
            key.getBytes(StandardCharsets.UTF_8), offered.getBytes(StandardCharsets.UTF_8));
  }
}
