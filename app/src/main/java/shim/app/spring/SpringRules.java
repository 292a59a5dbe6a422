package shim.app.spring;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.http.Refusal;
import shim.app.record.Documents;
import shim.app.rules.TeamRules;
import shim.core.fatigue.Limits;
import shim.core.fatigue.SetAdvice;
import shim.core.spring.HeightPlan;
import shim.core.spring.SpringType;
import shim.core.spring.WeakestLink;

/** What a team has settled for the springs of an engine. */
@Service
@Transactional(readOnly = true)
public class SpringRules {
  private final TeamRules rules;

  SpringRules(TeamRules rules) {
    this.rules = rules;
  }

  /**
   * Rules as written; blanks take the usual.
   *
   * @param changeAt p*: cost of a change over cost of a failure
   * @param lossPercent overrides the spring type's
   * @param topRpm highest engine speed used
   */
  public record SpringRulesSheet(
      @Nullable Double targetHeightIntakeIn,
      @Nullable Double targetHeightExhaustIn,
      @Nullable Double heightToleranceIn,
      HeightPlan.@Nullable School heightSchool,
      @Nullable List<Double> shimStockIn,
      @Nullable List<Double> lockOffsetsIn,
      @Nullable Double lossPercent,
      @Nullable Double leastSeatLbf,
      @Nullable Double changeAt,
      @Nullable Double overRevRpm,
      @Nullable Double topRpm,
      SetAdvice.@Nullable School setSchool,
      @Nullable List<WeakestLink.Limit> links) {
    public static final SpringRulesSheet BLANK =
        new SpringRulesSheet(
            null, null, null, null, null, null, null, null, null, null, null, null, null);

    /** Limits of one type under these rules. */
    public Limits limits(SpringType type) {
      return new Limits(
          lossPercent == null ? type.lossLimit() : lossPercent / 100,
          leastSeatLbf == null ? type.leastSeatLbf() : java.util.Optional.of(leastSeatLbf),
          type.lifeHours(),
          changeAt == null ? Limits.USUAL.changeAt() : changeAt);
    }

    /** Limits of the parts between cam and valve. */
    public List<WeakestLink.Limit> limits() {
      return links == null ? List.of() : links;
    }

    /** Highest engine speed used; zero when not stated. */
    public double rpm() {
      return topRpm == null ? 0 : topRpm;
    }

    public List<Double> shims() {
      return shimStockIn == null || shimStockIn.isEmpty()
          ? List.of(0.015, 0.030, 0.060)
          : shimStockIn;
    }

    /** Heights of the locks in stock against the usual ones. */
    public List<Double> offsets() {
      return lockOffsetsIn == null ? List.of() : lockOffsetsIn;
    }

    public SetAdvice.School school() {
      return setSchool == null ? SetAdvice.School.MATCHED_SINGLE : setSchool;
    }
  }

  public SpringRulesSheet of(UUID engineId) {
    return rules
        .of(engineId, Documents.Kind.SPRING_RULES, SpringRulesSheet.class)
        .orElse(SpringRulesSheet.BLANK);
  }

  @Transactional
  public SpringRulesSheet put(UUID engineId, SpringRulesSheet sheet, @Nullable String who) {
    Refusal.outside(
        "lossPercent", sheet.lossPercent(), 1, 50, "a loss limit lies between 1 and 50 %");
    Refusal.outside(
        "changeAt", sheet.changeAt(), 0.001, 0.9, "the threshold lies between 0.001 and 0.9");
    Refusal.outside("heightToleranceIn", sheet.heightToleranceIn(), 0.001, 0.1, "0.001 to 0.1 in");
    Refusal.outside("overRevRpm", sheet.overRevRpm(), 1000, 20_000, "1000 to 20000 rpm");
    Refusal.outside("topRpm", sheet.topRpm(), 500, 20_000, "500 to 20000 rpm");
    for (Double offset : sheet.offsets()) {
      Refusal.outside(
          "lockOffsetsIn", offset, -0.2, 0.2, "a lock's offset lies within 0.2 in either way");
    }
    for (WeakestLink.Limit l : sheet.limits()) {
      String at = "links." + l.part();
      Refusal.outside(at, l.openLbf(), 50, 3000, "an open load lies between 50 and 3000 lbf");
      Refusal.outside(at, l.liftIn(), 0.1, 1.5, "a valve lift lies between 0.1 and 1.5 in");
      Refusal.outside(at, l.rpm(), 500, 20_000, "500 to 20000 rpm");
    }
    return rules.put(engineId, Documents.Kind.SPRING_RULES, sheet, who);
  }
}
