package shim.app.lifter;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.fatigue.SpringStanding;
import shim.app.lifter.LifterViews.ValveChain;
import shim.core.drift.ValveDrift;
import shim.core.engine.Lifter;
import shim.core.engine.Position;
import shim.core.fatigue.Verdict;
import shim.core.lifter.LifterReason;
import shim.core.lifter.Symptom;
import shim.core.stats.Range;
import shim.core.stock.Due;
import shim.core.unit.Said;

/** How an engine's lifters and the drift of its lash stand, for other features. */
@Service
@Transactional(readOnly = true)
public class LifterStanding {
  private final LifterReader reader;

  LifterStanding(LifterReader reader) {
    this.reader = reader;
  }

  /**
   * One valve.
   *
   * @param because the lifter's first reason
   * @param drift what the lash shows
   * @param looked somebody has looked since
   * @param noisy it ticks when hot
   * @param part the kind of lifter under it; null where none is on record
   * @param due before which coming event it falls due
   * @param dueAtNext chance that it is changed by the end of the next event
   */
  public record Standing(
      Position position,
      Verdict verdict,
      Optional<Said> because,
      ValveDrift.Strength strength,
      Said drift,
      boolean looked,
      boolean noisy,
      @Nullable Part part,
      Due due,
      double dueAtNext) {}

  /** Lifters of one kind and set. */
  public record Part(Lifter kind, @Nullable String setName) {}

  /** A lifter that lies in stock. */
  public record Free(UUID id, String mark, Part part) {}

  /** Lifters in no engine, and not scrapped. */
  public List<Free> free() {
    return reader.free().stream()
        .map(l -> new Free(l.id, l.mark, new Part(l.kind, l.setName)))
        .toList();
  }

  /**
   * @param springs how its springs stand, which the caller knows already
   */
  public List<Standing> of(UUID engineId, SpringStanding.EngineStanding springs) {
    return reader.valves(engineId, springs).stream()
        .map(v -> standing(v, springs.coming()))
        .toList();
  }

  private static Standing standing(ValveChain v, List<SpringStanding.Coming> coming) {
    Double begun = v.drift().begun();
    return new Standing(
        v.position(),
        v.verdict(),
        v.reasons().stream().findFirst().map(LifterReason::said),
        v.drift().strength(),
        v.drift().said(),
        begun != null && v.seen().stream().anyMatch(s -> s.engineHours() >= begun),
        v.symptoms().contains(Symptom.NOISE),
        v.lifter() == null ? null : new Part(v.lifter().kind(), v.lifter().setName()),
        due(v, coming),
        atNext(v, coming));
  }

  private static Due due(ValveChain v, List<SpringStanding.Coming> coming) {
    double byInterval = v.toInterval() == null ? Double.POSITIVE_INFINITY : v.toInterval();
    double byTrend = v.toTrend() == null ? Double.POSITIVE_INFINITY : v.toTrend().low();
    return Due.of(
        Math.min(byInterval, byTrend),
        Due.named(v.dueBefore(), coming.stream().map(SpringStanding.Coming::name).toList()),
        coming.stream().map(SpringStanding.Coming::plannedHours).toList());
  }

  private static double atNext(ValveChain v, List<SpringStanding.Coming> coming) {
    double hours = coming.isEmpty() ? 0 : coming.get(0).plannedHours();
    if (v.verdict() == Verdict.CHANGE || v.toInterval() != null && v.toInterval() < hours) {
      return 1;
    }
    DriftViews.ThouRange left = v.toTrend();
    return left == null ? 0 : Due.chance(new Range(left.low(), left.mid(), left.high()), hours);
  }
}
