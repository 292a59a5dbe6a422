package shim.app.device;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The connected tester. */
@RestController
class TesterController {
  private final Tester tester;

  TesterController(Tester tester) {
    this.tester = tester;
  }

  /** Where to find a tester: host:port, or the name of a serial port. */
  record Connection(
      Tester.@NotNull Wire wire, @NotBlank(message = "write its address") String address) {}

  /** Where it stands: a valve such as 3E, or CHECK; height in inch. */
  record StandingAt(@NotBlank String place, double heightIn) {}

  /** Tells how the spring tester is connected and what it shows. */
  @GetMapping("/api/tester")
  Tester.TesterNow tester() {
    return tester.now();
  }

  /** Connects a spring tester. */
  @PutMapping("/api/tester")
  Tester.TesterNow connect(@RequestBody Connection c) {
    tester.connect(c.wire(), c.address());
    return tester.now();
  }

  /** Says which spring stands on the tester, so that its readings go there. */
  @PutMapping("/api/tester/place")
  Tester.TesterNow standAt(@RequestBody StandingAt at) {
    tester.standAt(at.place(), at.heightIn());
    return tester.now();
  }

  /** Lets the tester go. */
  @DeleteMapping("/api/tester")
  Tester.TesterNow disconnect() {
    tester.disconnect();
    return tester.now();
  }
}
