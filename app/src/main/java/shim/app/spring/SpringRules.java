package shim.app.spring;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.http.Refusal;
import shim.app.record.Documents;
import shim.app.rules.TeamRules;
import shim.core.engine.ValveKind;
import shim.core.fatigue.Limits;
import shim.core.fatigue.SetAdvice;
import shim.core.spring.FitLimits;
import shim.core.spring.HeightPlan;
import shim.core.spring.SpringType;
import shim.core.spring.WeakestLink;

/** What a team has settled for the springs of an engine. */
@Service
@Transactional(readOnly = true)
public class SpringRules {
  private static final String LEAST_SEAT = "a least seat load lies between {1 lbf} and {2000 lbf}";

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
   * @param leastSeatLbf of both kinds, or of the intakes where the exhausts have their own
   * @param retainerOffsetsIn what other retainers to be had add to the height
   * @param clearances to bind and seal, gap of the coils, play in the pocket
   * @param exhaustLinks limits that differ at the exhaust valves
   * @param stockRotators the engine has the rotators it left its maker with
   * @param intakeHeadIn diameter of an intake valve's head, on which boost presses
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
      @Nullable List<WeakestLink.Limit> links,
      @Nullable Double leastSeatExhaustLbf,
      @Nullable List<Double> retainerOffsetsIn,
      FitLimits.@Nullable Sheet clearances,
      @Nullable List<WeakestLink.Limit> exhaustLinks,
      @Nullable Boolean stockRotators,
      @Nullable Double intakeHeadIn) {
    public static final SpringRulesSheet BLANK =
        new SpringRulesSheet(
            null, null, null, null, null, null, null, null, null, null, null, null, null, null,
            null, null, null, null, null);

    /** Limits of one type at a kind of valve under these rules. */
    public Limits limits(SpringType type, ValveKind kind) {
      Double leastLbf =
          kind == ValveKind.EXHAUST && leastSeatExhaustLbf != null
              ? leastSeatExhaustLbf
              : leastSeatLbf;
      return new Limits(
          lossPercent == null ? type.lossLimit() : lossPercent / 100,
          leastLbf == null ? type.leastSeatLbf() : Optional.of(leastLbf),
          type.lifeHours(),
          changeAt == null ? Limits.USUAL.changeAt() : changeAt);
    }

    /** Limits of the parts between cam and a kind of valve. */
    public List<WeakestLink.Limit> limits(ValveKind kind) {
      List<WeakestLink.Limit> both = new ArrayList<>();
      if (Boolean.TRUE.equals(stockRotators)) {
        both.add(WeakestLink.Limit.STOCK_ROTATOR);
      }
      List<WeakestLink.Limit> known = WeakestLink.at(both, all(links));
      return kind == ValveKind.INTAKE ? known : WeakestLink.at(known, all(exhaustLinks));
    }

    private static List<WeakestLink.Limit> all(@Nullable List<WeakestLink.Limit> links) {
      return links == null ? List.of() : links;
    }

    public FitLimits fit() {
      return (clearances == null ? FitLimits.Sheet.BLANK : clearances).read();
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

    /** What other retainers to be had add to the height. */
    public List<Double> retainers() {
      return retainerOffsetsIn == null ? List.of() : retainerOffsetsIn;
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
    Refusal.outside(
        "heightToleranceIn", sheet.heightToleranceIn(), 0.001, 0.1, "{0.001 in} to {0.1 in}");
    Refusal.outside("overRevRpm", sheet.overRevRpm(), 1000, 20_000, "1000 to 20000 rpm");
    Refusal.outside("topRpm", sheet.topRpm(), 500, 20_000, "500 to 20000 rpm");
    Refusal.outside("leastSeatLbf", sheet.leastSeatLbf(), 1, 2000, LEAST_SEAT);
    Refusal.outside("leastSeatExhaustLbf", sheet.leastSeatExhaustLbf(), 1, 2000, LEAST_SEAT);
    Refusal.outside(
        "intakeHeadIn", sheet.intakeHeadIn(), 0.5, 3, "a valve's head is {0.5 in} to {3 in} wide");
    for (Double offset : sheet.offsets()) {
      Refusal.outside(
          "lockOffsetsIn", offset, -0.2, 0.2, "a lock's offset lies within {0.2 in} either way");
    }
    for (Double offset : sheet.retainers()) {
      Refusal.outside(
          "retainerOffsetsIn", offset, -0.2, 0.2, "a retainer adds within {0.2 in} either way");
    }
    for (Double shim : sheet.shims()) {
      Refusal.outside("shimStockIn", shim, 0.002, 0.3, "a shim is {0.002 in} to {0.3 in} thick");
    }
    clearances(sheet);
    links("links.", SpringRulesSheet.all(sheet.links()));
    links("exhaustLinks.", SpringRulesSheet.all(sheet.exhaustLinks()));
    return rules.put(engineId, Documents.Kind.SPRING_RULES, sheet, who);
  }

  private static void clearances(SpringRulesSheet sheet) {
    FitLimits.Sheet c = sheet.clearances();
    if (c == null) {
      return;
    }
    String words = "a clearance lies between {0 in} and {0.5 in}";
    Refusal.outside("clearances.bindIn", c.bindIn(), 0, 0.5, words);
    Refusal.outside("clearances.bindStopIn", c.bindStopIn(), 0, 0.5, words);
    Refusal.outside("clearances.coilGapIn", c.coilGapIn(), 0, 0.5, words);
    Refusal.outside("clearances.sealIn", c.sealIn(), 0, 0.5, words);
    Refusal.outside("clearances.snugPlayIn", c.snugPlayIn(), 0, 0.5, words);
    Refusal.outside("clearances.muchPlayIn", c.muchPlayIn(), 0, 0.5, words);
    Refusal.outside("clearances.wrongPlayIn", c.wrongPlayIn(), 0, 0.5, words);
    try {
      c.read();
    } catch (IllegalArgumentException e) {
      throw Refusal.invalid(
          c.bindStopIn() == null ? "clearances.muchPlayIn" : "clearances.bindStopIn",
          String.valueOf(e.getMessage()));
    }
  }

  private static void links(String field, List<WeakestLink.Limit> links) {
    for (WeakestLink.Limit l : links) {
      String at = field + l.part();
      Refusal.outside(
          at, l.openLbf(), 50, 3000, "an open load lies between {50 lbf} and {3000 lbf}");
      Refusal.outside(at, l.liftIn(), 0.1, 1.5, "a valve lift lies between {0.1 in} and {1.5 in}");
      Refusal.outside(at, l.rpm(), 500, 20_000, "500 to 20000 rpm");
    }
  }
}
