package shim.app.lifter;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import shim.core.drift.CommonStory;
import shim.core.drift.DriftRules;
import shim.core.drift.LashDrift;
import shim.core.drift.LashRound;
import shim.core.drift.ValveDrift;
import shim.core.engine.HeatState;
import shim.core.engine.Layout;
import shim.core.engine.Position;
import shim.core.engine.WorthReading;
import shim.core.lash.Growth;
import shim.core.stats.Range;
import shim.core.unit.Said;

/** The drift analysis as the API tells it. Thou, engine hours, thou per hour. */
final class DriftViews {
  private DriftViews() {}

  /** A figure with its 80 % range. */
  record ThouRange(double low, double mid, double high) {
    static @Nullable ThouRange of(@Nullable Range r) {
      return r == null ? null : new ThouRange(r.low(), r.mid(), r.high());
    }
  }

  /** Probability of each kind of change, 0 to 1. */
  record DriftChance(
      double steady, double opening, double closing, double stepOpen, double stepTight) {
    static DriftChance of(Map<ValveDrift.Signal, Double> p) {
      Map<ValveDrift.Signal, Double> all = new EnumMap<>(p);
      return new DriftChance(
          all.getOrDefault(ValveDrift.Signal.STEADY, 1.0),
          all.getOrDefault(ValveDrift.Signal.OPENING, 0.0),
          all.getOrDefault(ValveDrift.Signal.CLOSING, 0.0),
          all.getOrDefault(ValveDrift.Signal.STEP_OPEN, 0.0),
          all.getOrDefault(ValveDrift.Signal.STEP_TIGHT, 0.0));
    }
  }

  /**
   * One valve.
   *
   * @param said what it shows
   * @param thouPerHour above zero: opening
   * @param sum weight of what speaks for any change, ln(1 + 1000 × odds)
   * @param begunLow engine hours; 80 % of all begins lie between low and high, half before begun
   * @param decides chance that one more reading now turns a finding into none or back
   * @param onPaper as found less as left last time; none before two rounds in one state
   */
  record ValveDriftView(
      Position position,
      ValveDrift.Strength strength,
      ValveDrift.Signal signal,
      Said said,
      DriftChance chance,
      double sum,
      @Nullable ThouRange thouPerHour,
      @Nullable ThouRange movedThou,
      @Nullable Double begunLow,
      @Nullable Double begun,
      @Nullable Double begunHigh,
      double decides,
      ValveDrift.@Nullable LashOnPaper onPaper,
      List<ValveDrift.Compared> points) {}

  /** What a round did to all valves alike, against the first; thou. */
  record RoundShiftView(
      String round,
      double engineHours,
      HeatState state,
      String hand,
      double allThou,
      double exhaustsThou,
      double bankThou,
      double coolingThou,
      int compared) {}

  /** A rate shared by a group of valves. */
  record TrendView(CommonStory.Group group, ThouRange thouPerHour, boolean clear, Said said) {}

  /** A round that read off at every valve; thou, above zero wide. */
  record OffRoundView(String round, double engineHours, double thou, Said said) {}

  /** How much one person reads above the middle of all, thou. */
  record HandView(String hand, double thou) {}

  /**
   * What all rounds of an engine say.
   *
   * @param nextReading the valve whose next reading is worth most; missing where none is worth it
   * @param growthKnown hot and cold rounds are joined
   * @param scatter this engine's scatter over the usual one
   * @param watchAt sum from which a valve is watched; findingAt from which it is a finding
   */
  record LashDriftView(
      List<ValveDriftView> valves,
      List<RoundShiftView> rounds,
      List<TrendView> trends,
      List<HandView> hands,
      List<OffRoundView> offRounds,
      @Nullable WorthReading nextReading,
      boolean growthKnown,
      double scatter,
      double watchAt,
      double findingAt) {}

  static LashDriftView of(Layout layout, List<LashRound> rounds, Growth growth, DriftRules rules) {
    LashDrift drift = LashDrift.of(layout, rounds, growth, rules);
    CommonStory story = CommonStory.of(drift.rounds(), layout.banks().size());
    return new LashDriftView(
        drift.valves().values().stream().map(DriftViews::valve).toList(),
        drift.rounds().stream().map(DriftViews::round).toList(),
        story.trends().stream()
            .map(
                t ->
                    new TrendView(
                        t.group(),
                        new ThouRange(
                            t.thouPerHour().low(), t.thouPerHour().mid(), t.thouPerHour().high()),
                        t.clear(),
                        t.said()))
            .toList(),
        story.handThou().entrySet().stream()
            .map(e -> new HandView(e.getKey(), e.getValue()))
            .toList(),
        story.offRounds().stream()
            .map(o -> new OffRoundView(o.round(), o.engineHours(), o.thou(), o.said()))
            .toList(),
        WorthReading.best(
                drift.valves().values().stream()
                    .map(v -> new WorthReading(v.position(), v.decides()))
                    .toList())
            .orElse(null),
        growth.byKind().size() == 2,
        drift.scatter(),
        rules.watchAt(),
        rules.findingAt());
  }

  private static RoundShiftView round(LashDrift.RoundShift r) {
    return new RoundShiftView(
        r.name(),
        r.engineHours(),
        r.state(),
        r.hand(),
        r.allThou(),
        r.exhaustsThou(),
        r.bankThou(),
        r.coolingThou(),
        r.compared());
  }

  static ValveDriftView valve(ValveDrift v) {
    ValveDrift.Begun begun = v.begun().orElse(null);
    return new ValveDriftView(
        v.position(),
        v.strength(),
        v.signal(),
        v.said(),
        DriftChance.of(v.probability()),
        v.sum(),
        ThouRange.of(v.thouPerHour()),
        ThouRange.of(v.movedThou()),
        begun == null ? null : begun.lowHours(),
        begun == null ? null : begun.likeliestHours(),
        begun == null ? null : begun.highHours(),
        v.decides(),
        v.onPaper().orElse(null),
        v.points());
  }
}
