package shim.app.http;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What kind of Shim this is. */
@RestController
class AboutController {
  private final ShimSettings settings;

  AboutController(ShimSettings settings) {
    this.settings = settings;
  }

  /**
   * @param demo sample data, made anew at each start
   */
  record About(boolean demo) {}

  @GetMapping("/api/about")
  About about() {
    return new About(settings.demo());
  }
}
