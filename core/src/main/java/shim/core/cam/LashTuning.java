package shim.core.cam;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import shim.core.engine.CamCard;
import shim.core.engine.Engine;
import shim.core.engine.ValveKind;
import shim.core.unit.Figures;

/**
 * Lash as tuning: what each lash from the lowest allowed to the card's does at the valves. Intake
 * and exhaust are tightened alike, each from its own target; the card's own figure is never lost.
 *
 * @param rows loosest first: the target of today, then step by step tighter
 */
public record LashTuning(List<Row> rows) {
  private static final int MOST_STEPS = 60;

  /** Why there is none. */
  public enum None {
    HYDRAULIC,
    NO_CARD,
    /** The sheet does not give the maker's lowest allowed lash. */
    NO_FLOOR
  }

  /**
   * One setting; lash in inch, at both kinds of valve.
   *
   * @param tighterIn than today's target
   */
  public record Row(double tighterIn, double intakeIn, double exhaustIn, CamFigures figures) {}

  /** What stands in the way; empty where nothing does. */
  public static Optional<None> why(Engine engine) {
    if (engine.drive().lifter().hydraulic()) {
      return Optional.of(None.HYDRAULIC);
    }
    if (engine.cam().isEmpty()) {
      return Optional.of(None.NO_CARD);
    }
    return engine.lash().floorIntakeIn() == null || engine.lash().floorExhaustIn() == null
        ? Optional.of(None.NO_FLOOR)
        : Optional.empty();
  }

  /**
   * @param cardsLash the lash the engine is taken to have now: the card's where the team's own is
   *     to be chosen anew
   */
  public static Optional<LashTuning> of(Engine cardsLash) {
    if (why(cardsLash).isPresent()) {
      return Optional.empty();
    }
    CamCard card = cardsLash.cam().orElseThrow();
    Engine.LashSpec lash = cardsLash.lash();
    double room =
        Math.min(
            lash.intakeIn() - lash.floorIn(ValveKind.INTAKE).orElseThrow(),
            lash.exhaustIn() - lash.floorIn(ValveKind.EXHAUST).orElseThrow());
    double step = cardsLash.rules().feelerStepIn();
    List<Row> rows = new ArrayList<>();
    for (int i = 0; i <= MOST_STEPS && Figures.atMost(i * step, room); i++) {
      double less = i * step;
      rows.add(
          new Row(
              less,
              lash.intakeIn() - less,
              lash.exhaustIn() - less,
              CamFigures.of(cardsLash, card, less)));
    }
    return Optional.of(new LashTuning(rows));
  }
}
