package shim.app.readiness;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;
import shim.core.engine.Position;
import shim.core.readiness.Readiness;

/** Is this engine ready for its next event? */
@RestController
class ReadinessController {
  private final ReadinessReader reader;

  ReadinessController(ReadinessReader reader) {
    this.reader = reader;
  }

  /**
   * One reason.
   *
   * @param reference the job or round it links to
   */
  record ReadinessReason(
      Readiness.Area area,
      Readiness.State asks,
      String words,
      @Nullable Position position,
      @Nullable String reference) {}

  /** One area in the picture: its worst state and how many reasons. */
  record ReadinessArea(Readiness.Area area, Readiness.State state, int reasons) {}

  /** Ready, ready but, or not ready, with each reason; worst first. */
  record EngineReadiness(
      Readiness.State state,
      String sentence,
      String eventName,
      double plannedHours,
      double engineHours,
      List<ReadinessArea> areas,
      List<ReadinessReason> reasons) {}

  @GetMapping("/api/engines/{id}/readiness")
  EngineReadiness readiness(@PathVariable UUID id) {
    ReadinessReader.Answer a = reader.of(id);
    List<Readiness.Item> items = a.readiness().items();
    return new EngineReadiness(
        a.readiness().state(),
        a.readiness().sentence(),
        a.next().name(),
        a.next().plannedHours(),
        a.engineHours(),
        List.of(Readiness.Area.values()).stream().map(area -> area(area, items)).toList(),
        items.stream()
            .map(
                i ->
                    new ReadinessReason(i.area(), i.asks(), i.words(), i.position(), i.reference()))
            .toList());
  }

  private static ReadinessArea area(Readiness.Area area, List<Readiness.Item> items) {
    List<Readiness.Item> own = items.stream().filter(i -> i.area() == area).toList();
    return new ReadinessArea(
        area,
        own.stream()
            .map(Readiness.Item::asks)
            .max(java.util.Comparator.naturalOrder())
            .orElse(Readiness.State.READY),
        own.size());
  }
}
