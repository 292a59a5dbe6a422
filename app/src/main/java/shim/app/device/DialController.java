package shim.app.device;

import jakarta.validation.constraints.NotBlank;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The connected dial indicator. */
@RestController
class DialController {
  private final Dial dial;

  DialController(Dial dial) {
    this.dial = dial;
  }

  /** The valve it stands on, such as 3E. */
  record DialAt(@NotBlank String place) {}

  @GetMapping("/api/dial")
  Dial.DialNow dial() {
    return dial.now();
  }

  @PutMapping("/api/dial")
  Dial.DialNow connectDial(@RequestBody TesterController.Connection c) {
    dial.connect(c.wire(), c.address());
    return dial.now();
  }

  @PutMapping("/api/dial/place")
  Dial.DialNow standDial(@RequestBody DialAt at) {
    dial.standAt(at.place());
    return dial.now();
  }

  @DeleteMapping("/api/dial")
  Dial.DialNow letDialGo() {
    dial.disconnect();
    return dial.now();
  }
}
