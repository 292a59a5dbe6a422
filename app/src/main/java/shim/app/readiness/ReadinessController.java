package shim.app.readiness;

import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import shim.core.lash.EyeFindings;
import shim.core.readiness.Readiness;

/** Is this engine ready for its next event? */
@RestController
class ReadinessController {
  private final ReadinessReader reader;
  private final SeenInRounds seen;

  ReadinessController(ReadinessReader reader, SeenInRounds seen) {
    this.reader = reader;
    this.seen = seen;
  }

  /** One area in the picture: its worst state and how many reasons. */
  record ReadinessArea(Readiness.Area area, Readiness.State state, int reasons) {}

  /**
   * How the last signed round stands.
   *
   * @param ranHours engine hours since
   * @param stands nothing was run since but a warm-up
   */
  record SinceRound(double ranHours, boolean stands) {}

  /** Ready, ready but, or not ready, with each reason; worst first. */
  record EngineReadiness(
      Readiness.State state,
      String eventName,
      double plannedHours,
      double engineHours,
      @Nullable SinceRound sinceRound,
      List<ReadinessArea> areas,
      List<ReadinessReason> reasons) {}

  /** Says whether an engine is ready for its next event, and if not why. */
  @GetMapping("/api/engines/{id}/readiness")
  EngineReadiness readiness(@PathVariable UUID id) {
    ReadinessReader.Answer a = reader.of(id);
    Readiness readiness = a.readiness();
    OptionalDouble ran = a.standing().ranSinceRound();
    return new EngineReadiness(
        readiness.state(),
        a.next().name(),
        a.next().plannedHours(),
        a.standing().engineHours(),
        ran.isPresent() ? since(ran.getAsDouble()) : null,
        Stream.of(Readiness.Area.values())
            .map(area -> new ReadinessArea(area, readiness.of(area), readiness.count(area)))
            .toList(),
        readiness.reasons().stream().map(ReadinessReason::of).toList());
  }

  /** Springs and rockers that were seen broken, loose or worn in a round, and still are. */
  @GetMapping("/api/engines/{id}/seen-in-rounds")
  List<EyeFindings.Finding> seen(@PathVariable UUID id) {
    return seen.of(id);
  }

  private static SinceRound since(double ranHours) {
    return new SinceRound(ranHours, Readiness.stands(ranHours));
  }
}
