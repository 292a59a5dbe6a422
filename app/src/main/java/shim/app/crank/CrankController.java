package shim.app.crank;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import shim.app.engine.Engines;
import shim.core.crank.CrankSeen;
import shim.core.crank.School;
import shim.core.engine.EngineSheet;

/** The setting order as stateless calls: sheet and school in; stops, slack and barring out. */
@RestController
class CrankController {
  private static final String STOPS = "1 to 64 stops are possible";

  /**
   * @param stops number of stops for the best few
   * @param onMarks keep the best few to the balancer's marks
   */
  record PlanRequest(
      EngineSheet sheet,
      School school,
      @Min(value = 1, message = STOPS) @Max(value = 64, message = STOPS) int stops,
      boolean onMarks,
      @Nullable Double fromDeg) {}

  /** An engine and what is seen of its crank. */
  record StandsRequest(@NotNull EngineSheet sheet, @NotNull CrankSeen seen) {}

  /**
   * @param stops number of stops for the best few
   * @param onMarks keep the best few to the balancer's marks
   */
  record CompareRequest(
      EngineSheet sheet,
      @Min(value = 1, message = STOPS) @Max(value = 64, message = STOPS) int stops,
      boolean onMarks) {}

  /**
   * Lays out one way to set all valves: at which crank positions to stop and which valves to set
   * there.
   */
  @PostMapping("/api/calc/setting-plan")
  Plans.PlanView plan(@RequestBody PlanRequest request) {
    return Plans.plan(
        Engines.reading(request.sheet()),
        request.school(),
        request.stops(),
        request.onMarks(),
        request.fromDeg());
  }

  /** Where the crank stands by what is seen of it: two places by the balancer alone. */
  @PostMapping("/api/calc/crank-stands")
  List<Plans.CrankStands> stands(@RequestBody StandsRequest request) {
    return Plans.stands(Engines.reading(request.sheet()), request.seen());
  }

  /** Holds all ways to set the valves beside each other on this engine's own cam. */
  @PostMapping("/api/calc/setting-plans")
  Plans.Comparison compare(@RequestBody CompareRequest request) {
    return Plans.compare(Engines.reading(request.sheet()), request.stops(), request.onMarks());
  }
}
