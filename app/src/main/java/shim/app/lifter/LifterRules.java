package shim.app.lifter;

import java.util.OptionalDouble;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.http.Refusal;
import shim.app.record.Documents;
import shim.app.record.Maybe;
import shim.app.rules.TeamRules;
import shim.core.drift.DriftRules;
import shim.core.engine.Lifter;

/** What a team has settled for the lifters of an engine. */
@Service
@Transactional(readOnly = true)
public class LifterRules {
  private final TeamRules rules;

  LifterRules(TeamRules rules) {
    this.rules = rules;
  }

  /**
   * Rules as written; blanks take no interval and the usual rate.
   *
   * @param flatHours interval of flat tappets, own running hours
   * @param smallestThouPerHour the smallest drift worth finding, thou an hour
   */
  public record LifterRulesSheet(
      @Nullable Double flatHours,
      @Nullable Double rollerSolidHours,
      @Nullable Double hydraulicHours,
      @Nullable Double smallestThouPerHour) {
    static final LifterRulesSheet BLANK = new LifterRulesSheet(null, null, null, null);

    OptionalDouble interval(Lifter kind) {
      return Maybe.of(
          switch (kind) {
            case FLAT_SOLID, BUCKET -> flatHours;
            case ROLLER_SOLID -> rollerSolidHours;
            case FLAT_HYDRAULIC, ROLLER_HYDRAULIC -> hydraulicHours;
          });
    }

    DriftRules drift() {
      return smallestThouPerHour == null
          ? DriftRules.USUAL
          : DriftRules.USUAL.smallest(smallestThouPerHour);
    }
  }

  public LifterRulesSheet of(UUID engineId) {
    return rules
        .of(engineId, Documents.Kind.LIFTER_RULES, LifterRulesSheet.class)
        .orElse(LifterRulesSheet.BLANK);
  }

  @Transactional
  public LifterRulesSheet put(UUID engineId, LifterRulesSheet sheet, @Nullable String who) {
    String hours = "an interval lies between 1 and 5000 h";
    Refusal.outside("flatHours", sheet.flatHours(), 1, 5000, hours);
    Refusal.outside("rollerSolidHours", sheet.rollerSolidHours(), 1, 5000, hours);
    Refusal.outside("hydraulicHours", sheet.hydraulicHours(), 1, 5000, hours);
    Refusal.outside(
        "smallestThouPerHour", sheet.smallestThouPerHour(), 0.05, 10, "0.05 to 10 thou an hour");
    return rules.put(engineId, Documents.Kind.LIFTER_RULES, sheet, who);
  }
}
