package shim.app.lash;

import java.util.Optional;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Adjuster;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.lash.EntryGauge;
import shim.core.lash.Growth;
import shim.core.lash.LashException;
import shim.core.lash.LashTarget;
import shim.core.lash.PartChoice;
import shim.core.lash.Plausible;
import shim.core.lash.Preload;
import shim.core.lash.Reading;
import shim.core.lash.Turn;
import shim.core.lash.ValveHistory;
import shim.core.stats.Robust;

/** What one valve of a round means: verdict, drift, and what to do about it. */
final class ValveReader {
  private final Engine engine;
  private final RoundRow round;
  private final LashPast.Past past;
  private final Growth growth;

  ValveReader(Engine engine, RoundRow round, LashPast.Past past, Growth growth) {
    this.engine = engine;
    this.round = round;
    this.past = past;
    this.growth = growth;
  }

  RoundView.ValveView read(
      Position p,
      int stop,
      double slackDeg,
      @Nullable ReadingRow foundRow,
      @Nullable ReadingRow leftRow,
      @Nullable LookRow look) {
    boolean hydraulic = engine.drive().lifter().hydraulic();
    LashTarget target = hydraulic ? null : LashTarget.of(engine, p.kind(), round.state, growth);
    RoundView.ReadingView found = foundRow == null ? null : reading(foundRow, null);
    RoundView.ReadingView left = leftRow == null ? null : reading(leftRow, found);
    Double foundIn = found == null ? null : found.valueIn();
    Double leftIn = left == null ? null : left.valueIn();
    Optional<ValveHistory.Visit> last =
        past.history().baseline(p, round.state, LashPast.order(round));
    ValveHistory.Drift drift =
        foundIn == null
            ? null
            : past.history()
                .drift(p, round.state, LashPast.order(round), round.engineHours, foundIn);
    Double part = partNow(p, foundRow);
    return new RoundView.ValveView(
        p,
        stop,
        slackDeg,
        target,
        target == null ? null : EntryGauge.of(target),
        hydraulic ? Preload.bottomTurns(engine.drive(), p.kind()).orElse(null) : null,
        last.map(ValveHistory.Visit::leftIn).orElse(null),
        last.map(ValveHistory.Visit::engineHours).orElse(null),
        found,
        left,
        status(found, left, look),
        target == null || foundIn == null ? null : target.judge(foundIn),
        target == null || leftIn == null ? null : target.judge(leftIn),
        drift instanceof ValveHistory.Drift.Known k ? k.driftIn() : null,
        drift instanceof ValveHistory.Drift.Known k ? k.hours() : null,
        drift instanceof ValveHistory.Drift.None n ? n.why() : null,
        turn(p, target, leftIn == null ? foundIn : leftIn),
        hydraulic && found != null && found.turns() != null ? preload(p, found.turns()) : null,
        partChoice(p, target, foundIn, part),
        part,
        ask(target, leftIn == null ? foundIn : leftIn, left == null ? found : left),
        look == null ? null : look.spring,
        look == null ? null : look.rocker,
        look == null ? null : look.note);
  }

  private static RoundView.Status status(
      RoundView.@Nullable ReadingView found,
      RoundView.@Nullable ReadingView left,
      @Nullable LookRow look) {
    if (left != null) {
      return RoundView.Status.DONE;
    }
    if (look != null && look.skipped) {
      return RoundView.Status.SKIPPED;
    }
    return found == null ? RoundView.Status.OPEN : RoundView.Status.FOUND;
  }

  private RoundView.ReadingView reading(ReadingRow r, RoundView.@Nullable ReadingView found) {
    Reading gap = r.reading(engine.rules().feelerStepIn());
    boolean same = r.form == Form.SAME && found != null;
    return new RoundView.ReadingView(
        r.id,
        r.form,
        r.figure,
        r.secondFigure,
        r.feel,
        r.typed,
        same ? found.valueIn() : gap == null ? null : Double.valueOf(gap.valueIn()),
        same ? found.lowIn() : gap == null ? null : Double.valueOf(gap.lowIn()),
        same ? found.highIn() : gap == null ? null : Double.valueOf(gap.highIn()),
        same ? found.turns() : r.form == Form.TURNS ? r.figure : null,
        r.partSizeIn,
        r.hand,
        r.note,
        r.takenAt,
        r.version);
  }

  private @Nullable Double partNow(Position p, @Nullable ReadingRow found) {
    if (engine.drive().adjuster().turned()) {
      return null;
    }
    if (found != null && found.partSizeIn != null) {
      return found.partSizeIn;
    }
    return past.partBefore(p, LashPast.order(round))
        .or(() -> engine.drive().partIn(p.kind()))
        .orElse(null);
  }

  private @Nullable Turn turn(Position p, @Nullable LashTarget target, @Nullable Double nowIn) {
    Engine.Drive d = engine.drive();
    if (target == null || nowIn == null || d.thread() == null || !d.adjuster().turned()) {
      return null;
    }
    return Turn.of(
        nowIn, target.targetIn(), Turn.lashPerTurnIn(d.adjuster(), d.thread(), d.ratio(p.kind())));
  }

  private Preload preload(Position p, double turns) {
    double growthIn =
        round.state == HeatState.COLD
            ? growth.coldMinusHotIn(p.kind()).map(Robust.Mean::mean).map(m -> -m).orElse(0.0)
            : 0;
    return Preload.of(engine.drive(), p.kind(), turns, growthIn);
  }

  private @Nullable PartChoice partChoice(
      Position p, @Nullable LashTarget target, @Nullable Double foundIn, @Nullable Double partIn) {
    Adjuster adjuster = engine.drive().adjuster();
    if (adjuster.turned() || target == null || foundIn == null || partIn == null) {
      return null;
    }
    try {
      return PartChoice.of(
          adjuster,
          engine.drive().ratio(p.kind()),
          foundIn,
          target,
          partIn,
          engine.drive().partSizesIn());
    } catch (LashException e) {
      return null;
    }
  }

  private static @Nullable String ask(
      @Nullable LashTarget target,
      @Nullable Double lashIn,
      RoundView.@Nullable ReadingView reading) {
    boolean explained = reading != null && reading.note() != null && !reading.note().isBlank();
    if (target == null || lashIn == null || explained || target.targetIn() <= 0) {
      return null;
    }
    return Plausible.askLash(lashIn, target.targetIn()).orElse(null);
  }
}
