package shim.app.http;

import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** How far long work is, and an end to it. */
@RestController
class UnderWayController {
  private final UnderWay works;

  UnderWayController(UnderWay works) {
    this.works = works;
  }

  /**
   * Tells how far a call is that was sent with this id in its header {@code Shim-Work}: an import,
   * a backup, a restore. One that has not come yet or is over is waiting.
   */
  @GetMapping("/api/under-way/{id}")
  UnderWay.HowFar howFar(@PathVariable UUID id) {
    return works.of(id);
  }

  /**
   * Stops a call that is under way; it answers that it was stopped and has changed nothing. Tells
   * how far it was.
   */
  @DeleteMapping("/api/under-way/{id}")
  UnderWay.HowFar stop(@PathVariable UUID id) {
    return works
        .stop(id)
        .orElseThrow(() -> Refusal.conflict("it is over, or so far that it goes through"));
  }
}
