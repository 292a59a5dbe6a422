package shim.core.lash;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import shim.core.crank.CamTiming;
import shim.core.crank.CrankModel;
import shim.core.crank.RampMargin;
import shim.core.engine.CamCard;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.engine.PreloadSpec;
import shim.core.engine.ValveKind;

/**
 * What follows from an engine's sheet, shown as it is typed.
 *
 * @param timing events of the cam, null until the card is complete
 * @param lobes intake and exhaust
 * @param windows where each valve is free, bank by bank
 * @param targets lash wanted hot and cold; a kind of valve without one is left out
 * @param preloads wanted of hydraulic lifters
 * @param turns what a turn does at intake and exhaust; none where nothing is turned
 * @param notes what a careful reader of the sheet would add
 */
public record EngineFacts(
    @Nullable CamTiming timing,
    List<LobeFacts> lobes,
    List<Window> windows,
    List<LashTarget> targets,
    List<PreloadTarget> preloads,
    List<TurnFacts> turns,
    List<String> notes) {

  /**
   * One lobe on this drive; lifts in inch.
   *
   * @param netLiftIn lift left after the card's lash
   * @param moving duration at which the valve really moves
   * @param marginDeg ramp margin a side, crank degrees
   * @param measuredOn the valve whose measured lobe stands for all of its kind; null where windows,
   *     slack and durations are by the card
   */
  public record LobeFacts(
      ValveKind kind,
      double lobeLiftIn,
      double grossLiftIn,
      double netLiftIn,
      MovingDuration moving,
      double marginDeg,
      @Nullable String measuredOn) {}

  /** One valve on the 720 circle, crank degrees after TDC of the first in firing order. */
  public record Window(
      Position position,
      double centreDeg,
      double opensDeg,
      double closesDeg,
      double freeFromDeg,
      double freeToDeg,
      double mostSlackDeg) {}

  /** What one turn and one 5-degree step of the wrench do; inch. */
  public record TurnFacts(
      ValveKind kind, double lashPerTurnIn, double perFiveDegreesIn, double plungerPerTurnIn) {}

  public EngineFacts {
    lobes = List.copyOf(lobes);
    windows = List.copyOf(windows);
    targets = List.copyOf(targets);
    preloads = List.copyOf(preloads);
    turns = List.copyOf(turns);
    notes = List.copyOf(notes);
  }

  public static EngineFacts of(Engine engine, Growth growth) {
    Optional<CrankModel> model = CrankModel.of(engine);
    return new EngineFacts(
        engine.cam().map(CamTiming::of).orElse(null),
        engine.cam().map(c -> lobes(engine, c)).orElse(List.of()),
        model.map(EngineFacts::windows).orElse(List.of()),
        targets(engine, growth),
        PreloadTarget.both(engine.drive()),
        turns(engine),
        notes(engine, growth));
  }

  private static List<LobeFacts> lobes(Engine engine, CamCard cam) {
    return Stream.of(ValveKind.values()).map(k -> lobe(engine, cam.lobe(k))).toList();
  }

  private static LobeFacts lobe(Engine engine, CamCard.Lobe lobe) {
    double ratio = engine.drive().ratio(lobe.kind());
    double gross = lobe.lobeLiftIn() * ratio;
    double lash = engine.drive().lifter().hydraulic() ? 0 : engine.lash().targetIn(lobe.kind());
    return new LobeFacts(
        lobe.kind(),
        lobe.lobeLiftIn(),
        gross,
        gross - lash,
        MovingDuration.of(lobe, lash, ratio),
        RampMargin.ofDeg(lobe, engine.rules().rampMarginDeg()),
        lobe.measured().map(CamCard.Measured::on).orElse(null));
  }

  private static List<Window> windows(CrankModel model) {
    return model.windows().stream()
        .map(
            w ->
                new Window(
                    w.position(),
                    w.centreDeg(),
                    w.opensDeg(),
                    w.closesDeg(),
                    w.freeFromDeg(),
                    w.freeToDeg(),
                    w.mostSlackDeg()))
        .toList();
  }

  private static List<LashTarget> targets(Engine engine, Growth growth) {
    return Stream.of(HeatState.values())
        .flatMap(s -> LashWanted.of(engine, s, growth).targets().stream())
        .toList();
  }

  private static List<TurnFacts> turns(Engine engine) {
    Engine.Drive d = engine.drive();
    if (d.thread() == null || !d.adjuster().turned()) {
      return List.of();
    }
    return Stream.of(ValveKind.values())
        .map(
            k -> {
              double perTurn = Turn.lashPerTurnIn(d.adjuster(), d.thread(), d.ratio(k));
              return new TurnFacts(
                  k,
                  perTurn,
                  perTurn * 5 / 360,
                  Turn.plungerPerTurnIn(d.adjuster(), d.thread(), d.ratio(k)));
            })
        .toList();
  }

  private static List<String> notes(Engine engine, Growth growth) {
    List<String> notes = new ArrayList<>();
    engine
        .cam()
        .ifPresent(
            cam -> {
              double lift =
                  Math.max(
                      cam.intake().lowest().tappetLiftIn(), cam.exhaust().lowest().tappetLiftIn());
              boolean seen =
                  cam.intake().measured().isPresent() && cam.exhaust().measured().isPresent();
              if (!seen
                  && lift > RampMargin.COARSE_LIFT_IN
                  && engine.rules().rampMarginDeg().isEmpty()) {
                notes.add(
                    String.format(
                        Locale.ROOT,
                        "The card only gives {%.3f in}: a wide ramp margin of %.0f° a side is kept."
                            + " Ask the maker for the duration at 0.020 or 0.006.",
                        lift,
                        RampMargin.usualDeg(lift)));
              }
            });
    if (LashTarget.waitsForGrowth(engine.rules(), growth)) {
      notes.add(
          "Own growth is the rule, but no hot and cold round have met yet: the table by material"
              + " serves until then.");
    }
    notes.addAll(preload(engine));
    return notes;
  }

  /** What the preload makes of the plunger; intake and exhaust apart where they differ. */
  private static List<String> preload(Engine engine) {
    List<PreloadTarget> targets = PreloadTarget.both(engine.drive());
    boolean alike = targets.stream().mapToDouble(t -> t.travelIn(t.aim())).distinct().count() == 1;
    return targets.stream()
        .limit(alike ? 1 : 2)
        .map(t -> preload(t, alike ? "" : "At the " + t.kind().word() + "s: "))
        .toList();
  }

  private static String preload(PreloadTarget t, String where) {
    double travel = t.travelIn(t.aim());
    double total = t.travelIn(t.bottom());
    boolean turns = t.unit() == PreloadSpec.Unit.TURNS;
    String what = turns ? String.format(Locale.ROOT, "%.2f turns", t.aim()) : "the middle of it";
    String does =
        travel >= total
            ? String.format(
                Locale.ROOT, "would bottom the plunger: {%.4f in} of {%.4f in}.", travel, total)
            : String.format(
                Locale.ROOT,
                "%s the plunger {%.4f in} of its {%.4f in}.",
                turns ? "push" : "pushes",
                travel,
                total);
    return where + what + " " + does;
  }
}
