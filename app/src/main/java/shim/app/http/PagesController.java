package shim.app.http;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Every address of the front end is answered with the one page that routes it. */
@Hidden
@Controller
class PagesController {
  private final FrontPage front;

  PagesController(FrontPage front) {
    this.front = front;
  }

  @GetMapping({
    "/",
    "/engines/**",
    "/rounds/**",
    "/tests/**",
    "/springs/**",
    "/jobs/**",
    "/parts/**",
    "/heads/**",
    "/practice",
    "/waiting",
    "/backup",
    "/keys"
  })
  ResponseEntity<String> page(HttpServletRequest request) {
    return ResponseEntity.ok()
        .contentType(MediaType.TEXT_HTML)
        .cacheControl(CacheControl.noCache())
        .body(front.at(request.getRequestURI()));
  }
}
