package shim.app.http;

import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Every address of the front end is answered with the one page that routes it. */
@Hidden
@Controller
class PagesController {
  @GetMapping({
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
  String page() {
    return "forward:/index.html";
  }
}
