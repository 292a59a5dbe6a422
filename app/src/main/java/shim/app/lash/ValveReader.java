package shim.app.lash;

import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import shim.app.record.Maybe;
import shim.core.engine.Position;
import shim.core.lash.EntryGauge;
import shim.core.lash.LashRecord;
import shim.core.lash.Reading;
import shim.core.lash.ValveAtHand;
import shim.core.lash.ValveHistory;

/** One valve of a round, as core judges its rows. */
final class ValveReader {
  private final ValveAtHand.Round round;

  ValveReader(ValveAtHand.Round round) {
    this.round = round;
  }

  RoundView.ValveView read(
      Position p,
      int stop,
      double slackDeg,
      @Nullable ReadingRow foundRow,
      @Nullable ReadingRow leftRow,
      @Nullable LookRow look) {
    RoundView.ReadingView found = foundRow == null ? null : reading(foundRow, null);
    RoundView.ReadingView left = leftRow == null ? null : reading(leftRow, found);
    ValveAtHand v = ValveAtHand.of(round, p, read(found), read(left), look != null && look.skipped);
    Optional<ValveHistory.Drift.Known> drift = as(v.drift(), ValveHistory.Drift.Known.class);
    return new RoundView.ValveView(
        p,
        stop,
        slackDeg,
        v.target().orElse(null),
        v.target().map(EntryGauge::of).orElse(null),
        v.noTarget().orElse(null),
        v.preloadTarget().orElse(null),
        or(v.last(), ValveHistory.Visit::leftIn),
        v.last()
            .map(ValveHistory.Visit::engineHours)
            .or(() -> v.preloadBefore().map(LashRecord.LeftBefore::engineHours))
            .orElse(null),
        found,
        left,
        v.status(),
        v.foundVerdict().orElse(null),
        v.leftVerdict().orElse(null),
        or(drift, ValveHistory.Drift.Known::driftIn),
        or(drift, ValveHistory.Drift.Known::hours),
        or(as(v.drift(), ValveHistory.Drift.None.class), ValveHistory.Drift.None::why),
        v.turn().orElse(null),
        v.preload().orElse(null),
        or(v.preloadBefore(), LashRecord.LeftBefore::preload),
        v.preloadDrift().orElse(null),
        v.part().orElse(null),
        v.partNowIn().orElse(null),
        v.ask().orElse(null),
        look == null ? null : look.spring,
        look == null ? null : look.rocker,
        look == null ? null : look.note);
  }

  private static <T> Optional<T> as(Optional<?> value, Class<T> type) {
    return value.filter(type::isInstance).map(type::cast);
  }

  private static <T, R> @Nullable R or(Optional<T> value, Function<T, @Nullable R> part) {
    return value.map(part).orElse(null);
  }

  private static ValveAtHand.@Nullable Read read(RoundView.@Nullable ReadingView r) {
    return r == null
        ? null
        : new ValveAtHand.Read(
            Maybe.of(r.valueIn()),
            Maybe.of(r.turns()),
            Maybe.of(r.zeroLashIn()),
            Maybe.of(r.partSizeIn()),
            r.note() != null && !r.note().isBlank());
  }

  private RoundView.ReadingView reading(ReadingRow r, RoundView.@Nullable ReadingView found) {
    Reading gap = r.reading(round.engine().rules().feelerStepIn());
    RoundView.ReadingView same = r.form == Form.SAME ? found : null;
    return new RoundView.ReadingView(
        r.id,
        r.form,
        r.figure,
        r.secondFigure,
        r.feel,
        r.typed,
        same != null ? same.valueIn() : gap == null ? null : Double.valueOf(gap.valueIn()),
        same != null ? same.lowIn() : gap == null ? null : Double.valueOf(gap.lowIn()),
        same != null ? same.highIn() : gap == null ? null : Double.valueOf(gap.highIn()),
        same != null ? same.turns() : r.form == Form.TURNS ? r.figure : null,
        same != null ? same.zeroLashIn() : r.form == Form.LENGTH ? r.figure : null,
        r.partSizeIn,
        r.hand,
        r.note,
        r.takenAt,
        r.version);
  }
}
