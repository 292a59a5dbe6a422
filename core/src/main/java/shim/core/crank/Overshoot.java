package shim.core.crank;

import java.util.Comparator;
import java.util.List;
import java.util.Set;
import shim.core.engine.Position;
import shim.core.unit.Angle;
import shim.core.unit.Figures;

/**
 * The crank went past its stop. It is never turned back onto one (the slack in the drive would hide
 * where the cam stands): either something may be set where it stands, or it goes round.
 *
 * @param settableHere valves still to do that are on their base circle here, most slack first
 * @param roundDeg barring on, in the running direction, to reach the missed stop again
 */
public record Overshoot(List<SettingPlan.Setting> settableHere, double roundDeg) {
  public static Overshoot of(
      CrankModel model, double crankDeg, double missedDeg, Set<Position> todo) {
    List<SettingPlan.Setting> here =
        model.windows().stream()
            .filter(w -> todo.contains(w.position()) && Figures.atLeast(w.slackDeg(crankDeg), 0))
            .map(w -> new SettingPlan.Setting(w.position(), w.slackDeg(crankDeg)))
            .sorted(Comparator.comparingDouble(SettingPlan.Setting::slackDeg).reversed())
            .toList();
    return new Overshoot(here, Angle.forward(crankDeg, missedDeg));
  }
}
