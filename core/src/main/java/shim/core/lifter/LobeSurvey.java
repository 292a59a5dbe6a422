package shim.core.lifter;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import shim.core.drift.ValveDrift;
import shim.core.drift.ValveDrift.Signal;
import shim.core.engine.CamCard;
import shim.core.engine.Engine;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.unit.Figures;
import shim.core.unit.Said;

/** Lift at each valve against the card, and what it says beside the drift of its lash. */
public final class LobeSurvey {
  private static final double INCH_TO_THOU = 1000;

  /** Lift missing and lash opened agree within this, thou: a dial and a leaf together. */
  private static final double AGREE_THOU = 3;

  private LobeSurvey() {}

  /**
   * One valve.
   *
   * @param liftIn measured at zero lash, inch
   * @param wantedIn lobe lift × rocker ratio, inch; empty without a card
   * @param shortThou wanted less measured, thou
   * @param said what it says, with the drift
   */
  public record Line(
      Position position,
      double liftIn,
      Optional<Double> wantedIn,
      Optional<Double> shortThou,
      Optional<Grade> grade,
      Said said) {}

  /** What lift and lash say together; named by what the missing lift means. */
  public enum Code implements Said.Code {
    NO_CARD,
    FULL_LIFT,
    FULL_THOUGH_LASH_OPENS,
    SHORT_LASH_STANDS("shortThou"),
    SHORT_LASH_AGREES("shortThou", "openedThou"),
    SHORT_LASH_DIFFERS("shortThou", "openedThou");

    private final Said.Form form;

    Code(String... figures) {
      form = Said.form("LOBE", figures);
    }

    @Override
    public Said.Form form() {
      return form;
    }
  }

  /** Lift the card promises at a valve at zero lash, inch. */
  public static Optional<Double> wantedIn(Engine engine, ValveKind kind) {
    return engine
        .cam()
        .map(c -> c.lobe(kind))
        .map(CamCard.Lobe::lobeLiftIn)
        .map(l -> l * engine.drive().ratio(kind));
  }

  public static List<Line> of(
      Engine engine, Map<Position, Double> liftIn, Map<Position, ValveDrift> drift) {
    return liftIn.entrySet().stream()
        .sorted(Map.Entry.comparingByKey())
        .map(
            e -> line(engine, e.getKey(), e.getValue(), Optional.ofNullable(drift.get(e.getKey()))))
        .toList();
  }

  private static Line line(Engine engine, Position p, double liftIn, Optional<ValveDrift> drift) {
    Optional<Double> wanted = wantedIn(engine, p.kind());
    Optional<Double> shortThou = wanted.map(w -> (w - liftIn) * INCH_TO_THOU);
    Optional<Grade> grade = shortThou.flatMap(Look.LOBE_LIFT::grade);
    return new Line(p, liftIn, wanted, shortThou, grade, said(shortThou, grade, drift));
  }

  private static Said said(
      Optional<Double> shortThou, Optional<Grade> grade, Optional<ValveDrift> drift) {
    if (shortThou.isEmpty() || grade.isEmpty()) {
      return Said.of(Code.NO_CARD);
    }
    double missing = shortThou.get();
    boolean opens = drift.map(d -> d.signal() == Signal.OPENING).orElse(false);
    double opened = opens ? drift.get().moved().mid() : 0;
    if (grade.get().level() == Level.GOOD) {
      return Said.of(opens ? Code.FULL_THOUGH_LASH_OPENS : Code.FULL_LIFT);
    }
    if (!opens) {
      return Said.of(Code.SHORT_LASH_STANDS, missing).named(grade.get().means());
    }
    boolean agrees = Figures.atMost(Math.abs(missing - opened), AGREE_THOU);
    return Said.of(agrees ? Code.SHORT_LASH_AGREES : Code.SHORT_LASH_DIFFERS, missing, opened)
        .named(grade.get().means());
  }
}
