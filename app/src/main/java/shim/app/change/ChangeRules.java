package shim.app.change;

import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.http.Refusal;
import shim.app.record.Documents;
import shim.app.rules.TeamRules;
import shim.core.change.AirHold;
import shim.core.change.JobPlan;
import shim.core.change.Route;
import shim.core.change.Schools;
import shim.core.walk.Danger;

/** What a team has settled for its spring changes: schools, air, gauge, torque sheet. */
@Service
@Transactional(readOnly = true)
public class ChangeRules {
  private final TeamRules rules;

  ChangeRules(TeamRules rules) {
    this.rules = rules;
  }

  /**
   * Rules as written; blanks take the usual.
   *
   * @param psi air pressure
   * @param turnsAtLbfFt torque that turns this crank with the plugs out; the usual is a guess from
   *     memory, to be measured
   * @param warnAfterMinutes after which an unhooked valve is warned of harder
   * @param torques the team's sheet
   * @param resetHours lash is set anew so long after heads or a break-in
   * @param resetUsed or after so much in the engine's own unit, whichever comes first
   */
  public record ChangeRulesSheet(
      @Nullable Double psi,
      @Nullable Double turnsAtLbfFt,
      Schools.@Nullable Freeing freeing,
      Schools.@Nullable Proving proving,
      Schools.@Nullable Plugs plugs,
      Schools.@Nullable Lubricant lubricant,
      @Nullable Boolean renewLocks,
      Route.@Nullable School order,
      @Nullable Double gaugeLowIn,
      @Nullable Double gaugeHighIn,
      @Nullable Double warnAfterMinutes,
      @Nullable List<JobPlan.Torque> torques,
      Schools.@Nullable PlugsOut plugsOut,
      @Nullable Double resetHours,
      @Nullable Double resetUsed) {
    static final ChangeRulesSheet BLANK =
        new ChangeRulesSheet(
            null, null, null, null, null, null, null, null, null, null, null, null, null, null,
            null);

    double usualPsi() {
      return psi == null ? AirHold.USUAL_PSI : psi;
    }

    double usualTurnsAt() {
      return turnsAtLbfFt == null ? AirHold.USUAL_TURNS_AT : turnsAtLbfFt;
    }

    double usualWarnAfter() {
      return warnAfterMinutes == null ? Danger.USUAL_WARN_AFTER : warnAfterMinutes;
    }

    Route.School usualOrder() {
      return order == null ? Route.USUAL : order;
    }

    public Schools schools() {
      Schools u = Schools.USUAL;
      return new Schools(
          Objects.requireNonNullElse(freeing, u.freeing()),
          Objects.requireNonNullElse(proving, u.proving()),
          Objects.requireNonNullElse(plugs, u.plugs()),
          Objects.requireNonNullElse(lubricant, u.lubricant()),
          Objects.requireNonNullElse(renewLocks, u.renewLocks()),
          Objects.requireNonNullElse(plugsOut, u.plugsOut()));
    }

    public List<JobPlan.Torque> sheet() {
      return torques == null ? List.of() : torques;
    }
  }

  public ChangeRulesSheet of(UUID engineId) {
    return rules
        .of(engineId, Documents.Kind.CHANGE_RULES, ChangeRulesSheet.class)
        .orElse(ChangeRulesSheet.BLANK);
  }

  @Transactional
  public ChangeRulesSheet put(UUID engineId, ChangeRulesSheet sheet, @Nullable String who) {
    Refusal.outside(
        "psi", sheet.psi(), AirHold.LEAST_PSI, AirHold.MOST_PSI, "air of {20 psi} to {200 psi}");
    Refusal.outside("turnsAtLbfFt", sheet.turnsAtLbfFt(), 1, 200, "{1 lbf·ft} to {200 lbf·ft}");
    Refusal.outside("warnAfterMinutes", sheet.warnAfterMinutes(), 1, 600, "1 to 600 minutes");
    Refusal.outside("resetHours", sheet.resetHours(), 0.05, 100, "0.05 to 100 h");
    Refusal.outside("resetUsed", sheet.resetUsed(), 1, 100_000, "1 to 100000");
    Refusal.outside("gaugeLowIn", sheet.gaugeLowIn(), 0.5, 6, "{0.5 in} to {6 in}");
    Refusal.outside("gaugeHighIn", sheet.gaugeHighIn(), 0.5, 6, "{0.5 in} to {6 in}");
    for (int i = 0; i < sheet.sheet().size(); i++) {
      requireTorque("torques[" + i + "]", sheet.sheet().get(i));
    }
    return rules.put(engineId, Documents.Kind.CHANGE_RULES, sheet, who);
  }

  private static void requireTorque(String field, JobPlan.Torque t) {
    if (t.of().isBlank() || t.of().length() > 40) {
      throw Refusal.invalid(field, "say what is torqued, in 40 letters at most");
    }
    if (t.stepsLbfFt().isEmpty() || t.stepsLbfFt().stream().anyMatch(v -> !(v > 0 && v <= 500))) {
      throw Refusal.invalid(field, t.of() + ": steps of up to {500 lbf·ft}, such as 20 40 60");
    }
    if (t.source().isBlank()) {
      throw Refusal.invalid(
          field, t.of() + ": whose figure is it, the fastener maker's or the engine maker's?");
    }
  }
}
