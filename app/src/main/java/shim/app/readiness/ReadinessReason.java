package shim.app.readiness;

import java.util.List;
import org.jspecify.annotations.Nullable;
import shim.app.record.Maybe;
import shim.core.engine.Position;
import shim.core.readiness.Readiness;
import shim.core.unit.Said;

/**
 * One reason.
 *
 * @param positions the valves it is about; empty when about the whole engine
 * @param hours engine hours it speaks of
 * @param because words of the feature it comes from
 * @param reference the job or round it links to
 */
public record ReadinessReason(
    Readiness.Code code,
    Readiness.Area area,
    Readiness.State asks,
    List<Position> positions,
    @Nullable Double hours,
    @Nullable Said because,
    @Nullable String reference) {
  public static ReadinessReason of(Readiness.Reason r) {
    return new ReadinessReason(
        r.code(),
        r.code().area(),
        r.code().asks(),
        r.positions(),
        Maybe.orNull(r.hours()),
        r.because().orElse(null),
        r.reference().orElse(null));
  }
}
