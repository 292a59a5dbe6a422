package shim.app.lifter;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import shim.app.fatigue.SpringStanding;
import shim.core.engine.Lifter;
import shim.core.engine.Position;
import shim.core.fatigue.Verdict;
import shim.core.lifter.Diagnosis;
import shim.core.lifter.Grade;
import shim.core.lifter.Level;
import shim.core.lifter.LifterReason;
import shim.core.lifter.Look;
import shim.core.lifter.Symptom;
import shim.core.unit.Said;

/** Lifters and valves as the API shows them. */
final class LifterViews {
  private LifterViews() {}

  /** A look with its grades. */
  record LookView(
      Look look,
      String title,
      Look.Where where,
      int minutes,
      String how,
      String unit,
      boolean ofTheLifter,
      List<Grade> grades) {
    static LookView of(Look l) {
      return new LookView(
          l, l.title(), l.where(), l.minutes(), l.how(), l.unit(), l.ofTheLifter(), l.grades());
    }
  }

  /** Something seen. */
  record SeenView(
      UUID id,
      @Nullable Position valve,
      @Nullable Integer cylinder,
      Look look,
      String title,
      String grade,
      Level level,
      String means,
      String todo,
      @Nullable Double figure,
      @Nullable Double otherSide,
      @Nullable Double liftIn,
      String unit,
      @Nullable String note,
      boolean photo,
      double engineHours,
      String hand,
      Instant seenAt) {}

  /**
   * A lifter, fitted or on the shelf.
   *
   * @param hours its own hours since new
   * @param sinceRebuilt hours since its last rebuild, or since new
   * @param cycles valve cycles it has made, where a logger counted them
   */
  record LifterView(
      UUID id,
      @Nullable UUID fittingId,
      Lifter kind,
      String mark,
      @Nullable String setName,
      @Nullable UUID partnerId,
      @Nullable String partner,
      double hours,
      double sinceRebuilt,
      int rebuilds,
      int overRevs,
      @Nullable Double cycles,
      @Nullable Double openLbf,
      boolean scrapped,
      @Nullable String note) {}

  /** One stretch of a lifter's life. */
  record LifterLife(
      UUID lifterId,
      String mark,
      UUID engineId,
      Position valve,
      double fromHours,
      @Nullable Double toHours,
      @Nullable String why) {}

  /**
   * One valve: its lifter, how that stands, what the lash says and what was seen.
   *
   * @param dueBefore event before which the lifter falls due
   * @param toTrend hours until the opening of its lash counts as worn; 80 %
   * @param suspect likeliest cause of what it shows
   */
  record ValveChain(
      Position position,
      @Nullable LifterView lifter,
      Verdict verdict,
      List<LifterReason> reasons,
      @Nullable Double toInterval,
      DriftViews.@Nullable ThouRange toTrend,
      @Nullable String dueBefore,
      DriftViews.ValveDriftView drift,
      List<Symptom> symptoms,
      @Nullable String suspect,
      List<SeenView> seen) {}

  /** Lift at one valve. */
  record LobeLine(
      Position position,
      double liftIn,
      @Nullable Double wantedIn,
      @Nullable Double shortThou,
      @Nullable String grade,
      @Nullable Level level,
      Said said) {}

  /** Everything about an engine's lifters. */
  record EngineLifters(
      double engineHours,
      List<SpringStanding.Coming> coming,
      boolean hydraulic,
      boolean roller,
      LifterRules.LifterRulesSheet rules,
      List<ValveChain> valves,
      List<SeenView> cylinders,
      List<SeenView> engine,
      List<LobeLine> lobes,
      List<LifterView> shelf) {}

  /** A symptom in words. */
  record SymptomView(Symptom symptom, String words) {}

  /** A likely cause. */
  record SuspectView(
      String cause,
      double share,
      boolean ruledOut,
      List<String> saysFor,
      List<String> saysAgainst) {}

  /** A look worth making next. */
  record NextLookView(LookView look, List<String> tells, double gain) {}

  /** One valve followed from its signal to its cause. */
  record ValveStory(
      ValveChain valve,
      List<SymptomView> symptoms,
      List<SuspectView> causes,
      List<NextLookView> looks,
      List<SeenView> cylinder,
      List<SeenView> engine,
      List<LifterLife> lives,
      List<SeenView> all) {}

  static List<SuspectView> suspects(Diagnosis d) {
    return d.causes().stream()
        .map(
            s ->
                new SuspectView(
                    s.cause().words(), s.share(), s.ruledOut(), s.saysFor(), s.saysAgainst()))
        .toList();
  }

  static List<NextLookView> looks(Diagnosis d) {
    return d.looks().stream()
        .map(l -> new NextLookView(LookView.of(l.look()), l.tells(), l.gain()))
        .toList();
  }
}
