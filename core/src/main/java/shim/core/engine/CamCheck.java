package shim.core.engine;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import shim.core.engine.CamCard.Duration;
import shim.core.engine.EngineSheet.CamBench;
import shim.core.engine.EngineSheet.CamSheet;
import shim.core.engine.EngineSheet.DurationPoint;
import shim.core.engine.EngineSheet.Events;
import shim.core.engine.EngineSheet.LobeSheet;
import shim.core.lobe.LobeCurve;
import shim.core.unit.Figures;

/**
 * Reads the cam card. The four events and the durations with their centres are two ways to say the
 * same; where both are given they must agree within {@link #AGREE_DEG}.
 */
final class CamCheck {
  /** Degrees by which events and duration or centreline of one card may differ. */
  static final double AGREE_DEG = 2;

  private static final double SAME_LIFT_IN = 0.0005;
  private static final double WIDEST_STEP_DEG = 20;
  private final Problems problems;

  CamCheck(Problems problems) {
    this.problems = problems;
  }

  /** One lobe as the four events say it. */
  private record FromEvents(double durationDeg, double centreDeg) {}

  Optional<CamCard> read(@Nullable CamSheet sheet, Engine.@Nullable Drive drive) {
    if (sheet == null) {
      problems.missing("cam.lsaDeg", "the cam card is still blank");
      return Optional.empty();
    }
    Optional<Double> lsa =
        problems.optional("cam.lsaDeg", sheet.lsaDeg(), "a lobe separation", 85, 140, "degrees");
    Optional<Double> icl =
        problems.optional(
            "cam.intakeCentreDeg",
            sheet.intakeCentreDeg(),
            "an intake centreline",
            60,
            150,
            "degrees");
    Optional<Double> ecl =
        lsa.isPresent() && icl.isPresent()
            ? Optional.of(2 * lsa.get() - icl.get())
            : Optional.empty();
    Events ev = sheet.events();
    Optional<FromEvents> evIn =
        ev == null ? Optional.empty() : fromEvents(ev.ivoBtdcDeg(), ev.ivcAbdcDeg());
    Optional<FromEvents> evEx =
        ev == null ? Optional.empty() : fromEvents(ev.evcAtdcDeg(), ev.evoBbdcDeg());
    Double evLift = ev == null ? null : ev.atTappetLiftIn();
    if ((evIn.isPresent() || evEx.isPresent()) && evLift == null) {
      problems.refuse(
          "cam.events.atTappetLiftIn", "say at which tappet lift the four events are given");
    }
    Optional<CamCard.Lobe> intake =
        lobe(ValveKind.INTAKE, sheet, drive, sheet.intake(), icl, evIn, evLift);
    Optional<CamCard.Lobe> exhaust =
        lobe(ValveKind.EXHAUST, sheet, drive, sheet.exhaust(), ecl, evEx, evLift);
    return intake.isPresent() && exhaust.isPresent() && !problems.refused()
        ? Optional.of(new CamCard(intake.get(), exhaust.get()))
        : Optional.empty();
  }

  /**
   * Duration and centre from an event near gas-exchange TDC and one near BDC: duration = a + 180 +
   * b, centre = duration/2 - a.
   */
  private static Optional<FromEvents> fromEvents(
      @Nullable Double nearTdc, @Nullable Double nearBdc) {
    if (nearTdc == null || nearBdc == null) {
      return Optional.empty();
    }
    double d = nearTdc + 180 + nearBdc;
    return Optional.of(new FromEvents(d, d / 2 - nearTdc));
  }

  private Optional<CamCard.Lobe> lobe(
      ValveKind kind,
      CamSheet sheet,
      Engine.@Nullable Drive drive,
      @Nullable List<DurationPoint> typed,
      Optional<Double> centre,
      Optional<FromEvents> events,
      @Nullable Double eventsLiftIn) {
    String field = "cam." + kind.word();
    List<Duration> points = durations(field, kind, typed);
    Optional<Double> lift = lobeLift(kind, sheet, drive);
    if (events.isPresent() && eventsLiftIn != null) {
      compare(field, kind, points, centre, events.get(), eventsLiftIn);
      boolean known =
          points.stream().anyMatch(p -> Math.abs(p.tappetLiftIn() - eventsLiftIn) < SAME_LIFT_IN);
      if (!known) {
        points.add(new Duration(eventsLiftIn, events.get().durationDeg()));
        points.sort(Comparator.comparingDouble(Duration::tappetLiftIn));
      }
    }
    if (points.isEmpty()) {
      problems.missing(
          field, "the card gives no %s duration: one at 0.020 or lower is best", kind.word());
      return Optional.empty();
    }
    checkFalling(field, points);
    boolean eventsLowest =
        eventsLiftIn != null && eventsLiftIn <= points.get(0).tappetLiftIn() + SAME_LIFT_IN;
    Optional<Double> at =
        events.isPresent() && (eventsLowest || centre.isEmpty())
            ? Optional.of(events.get().centreDeg())
            : centre;
    if (at.isEmpty()) {
      String need = kind == ValveKind.INTAKE ? "cam.intakeCentreDeg" : "cam.lsaDeg";
      problems.missing(need, "give LSA and intake centreline, or the four events");
      return Optional.empty();
    }
    Optional<CamCard.Measured> measured = measured(kind, sheet.bench());
    return lift.map(l -> new CamCard.Lobe(kind, l, points, at.get(), measured));
  }

  private Optional<CamCard.Measured> measured(ValveKind kind, @Nullable CamBench bench) {
    LobeSheet of =
        bench == null ? null : kind == ValveKind.INTAKE ? bench.intake() : bench.exhaust();
    if (of == null) {
      return Optional.empty();
    }
    String field = "cam.bench." + kind.word();
    Double start = of.startDeg();
    Double step = of.stepDeg();
    List<Double> lifts = of.liftIn();
    if (start == null || step == null || lifts == null || !(step > 0)) {
      problems.refuse(field, "a measured lobe needs its first angle, its step and its lifts");
      return Optional.empty();
    }
    try {
      List<LobeCurve.Row> rows = new ArrayList<>();
      for (Double lift : lifts) {
        rows.add(new LobeCurve.Row(start + rows.size() * step, lift));
      }
      double measuredStep =
          problems
              .optional(
                  field + ".measuredStepDeg",
                  of.measuredStepDeg(),
                  "the step of the table",
                  0,
                  WIDEST_STEP_DEG,
                  "degrees")
              .orElse(step);
      String on = of.on() == null ? "" : of.on().strip();
      return Optional.of(new CamCard.Measured(new LobeCurve(rows), on, measuredStep));
    } catch (IllegalArgumentException e) {
      problems.refuse(
          field, "the measured lobe cannot be used: %s", String.valueOf(e.getMessage()));
      return Optional.empty();
    }
  }

  private List<Duration> durations(
      String field, ValveKind kind, @Nullable List<DurationPoint> typed) {
    List<Duration> points = new ArrayList<>();
    for (int i = 0; typed != null && i < typed.size(); i++) {
      DurationPoint p = typed.get(i);
      if (p.tappetLiftIn() == null && p.durationDeg() == null) {
        continue;
      }
      String at = field + "." + i;
      Optional<Double> lift =
          problems.number(
              at + ".tappetLiftIn",
              p.tappetLiftIn(),
              "the tappet lift of this duration",
              0,
              0.5,
              "in");
      Optional<Double> duration =
          problems.number(
              at + ".durationDeg", p.durationDeg(), kind.word() + " duration", 60, 420, "degrees");
      if (lift.isPresent() && duration.isPresent()) {
        points.add(new Duration(lift.get(), duration.get()));
      }
    }
    points.sort(Comparator.comparingDouble(Duration::tappetLiftIn));
    return points;
  }

  private void checkFalling(String field, List<Duration> points) {
    for (int i = 1; i < points.size(); i++) {
      Duration low = points.get(i - 1);
      Duration high = points.get(i);
      if (high.durationDeg() >= low.durationDeg()) {
        problems.refuse(
            field,
            "%s degrees at {%s in} and %s at {%s in} contradict: more lift is always less duration",
            Problems.text(low.durationDeg()),
            Problems.text(low.tappetLiftIn()),
            Problems.text(high.durationDeg()),
            Problems.text(high.tappetLiftIn()));
        return;
      }
    }
  }

  private void compare(
      String field,
      ValveKind kind,
      List<Duration> points,
      Optional<Double> centre,
      FromEvents events,
      double eventsLiftIn) {
    for (Duration p : points) {
      double off = events.durationDeg() - p.durationDeg();
      if (Math.abs(p.tappetLiftIn() - eventsLiftIn) < SAME_LIFT_IN
          && Figures.above(Math.abs(off), AGREE_DEG)) {
        problems.refuse(
            field,
            "the %s events make %s degrees, the card's duration at the same lift is %s",
            kind.word(),
            Problems.text(events.durationDeg()),
            Problems.text(p.durationDeg()));
      }
    }
    if (centre.isPresent()
        && Figures.above(Math.abs(centre.get() - events.centreDeg()), AGREE_DEG)) {
      problems.refuse(
          kind == ValveKind.INTAKE ? "cam.intakeCentreDeg" : "cam.lsaDeg",
          "the %s events are centred on %s degrees, LSA and centreline say %s",
          kind.word(),
          Problems.text(events.centreDeg()),
          Problems.text(centre.get()));
    }
  }

  private Optional<Double> lobeLift(ValveKind kind, CamSheet sheet, Engine.@Nullable Drive drive) {
    boolean in = kind == ValveKind.INTAKE;
    String field = in ? "cam.liftIntakeIn" : "cam.liftExhaustIn";
    Double typed = in ? sheet.liftIntakeIn() : sheet.liftExhaustIn();
    if (!in && typed == null) {
      typed = sheet.liftIntakeIn();
    }
    boolean atValve = sheet.liftAt() == EngineSheet.LiftAt.VALVE;
    if (typed != null && typed > 1.2 && typed < 30) {
      problems.refuse(
          field,
          "a lift of {%s in} cannot be: %s mm is {%.3f in}",
          Problems.text(typed),
          Problems.text(typed),
          typed / 25.4);
      return Optional.empty();
    }
    Optional<Double> lift =
        problems.number(field, typed, "the " + kind.word() + " lift", 0.1, 1.2, "in");
    if (lift.isEmpty() || drive == null) {
      return Optional.empty();
    }
    double lobe = atValve ? lift.get() / cardRatio(kind, sheet, drive) : lift.get();
    if (!atValve && lobe > 0.6) {
      problems.ask(
          field,
          "a lobe lift of {%s in} is large: is it the gross lift at the valve?",
          Problems.text(lobe));
    }
    return Optional.of(lobe);
  }

  /** A card's lift at the valve belongs to the card's ratio, not to this engine's. */
  private double cardRatio(ValveKind kind, CamSheet sheet, Engine.Drive drive) {
    boolean in = kind == ValveKind.INTAKE;
    boolean own = !in && sheet.cardRatioExhaust() != null;
    String field = own ? "cam.cardRatioExhaust" : "cam.cardRatioIntake";
    Double typed = own ? sheet.cardRatioExhaust() : sheet.cardRatioIntake();
    if (typed == null && in) {
      problems.ask(
          field,
          "a lift at the valve belongs to the card's own rocker ratio: which is it? Until it is"
              + " known it is taken as %s, this engine's",
          Problems.text(drive.ratio(kind)));
    }
    return problems
        .optional(field, typed, "a card's rocker ratio", 0.8, 2.5, "")
        .orElse(drive.ratio(kind));
  }
}
