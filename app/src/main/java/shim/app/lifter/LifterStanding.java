package shim.app.lifter;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.fatigue.SpringStanding;
import shim.app.lifter.LifterViews.ValveChain;
import shim.core.drift.ValveDrift;
import shim.core.engine.Position;
import shim.core.fatigue.Verdict;
import shim.core.lifter.LifterReason;
import shim.core.lifter.Symptom;
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
   */
  public record Standing(
      Position position,
      Verdict verdict,
      Optional<Said> because,
      ValveDrift.Strength strength,
      Said drift,
      boolean looked,
      boolean noisy) {}

  /**
   * @param springs how its springs stand, which the caller knows already
   */
  public List<Standing> of(UUID engineId, SpringStanding.EngineStanding springs) {
    return reader.valves(engineId, springs).stream().map(LifterStanding::standing).toList();
  }

  private static Standing standing(ValveChain v) {
    Double begun = v.drift().begun();
    return new Standing(
        v.position(),
        v.verdict(),
        v.reasons().stream().findFirst().map(LifterReason::said),
        v.drift().strength(),
        v.drift().said(),
        begun != null && v.seen().stream().anyMatch(s -> s.engineHours() >= begun),
        v.symptoms().contains(Symptom.NOISE));
  }
}
