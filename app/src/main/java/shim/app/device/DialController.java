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

  /** Tells how the dial indicator is connected and what it shows. */
  @GetMapping("/api/dial")
  Dial.DialNow dial() {
    return dial.now();
  }

  /** Connects a dial indicator. */
  @PutMapping("/api/dial")
  Dial.DialNow connectDial(@RequestBody TesterController.Connection c) {
    dial.connect(c.wire(), c.address());
    return dial.now();
  }

  /** Says where the dial stands, so that its readings go there. */
  @PutMapping("/api/dial/place")
  Dial.DialNow standDial(@RequestBody DialAt at) {
    dial.standAt(at.place());
    return dial.now();
  }

  /** Lets the dial go. */
  @DeleteMapping("/api/dial")
  Dial.DialNow letDialGo() {
    dial.disconnect();
    return dial.now();
  }
}
