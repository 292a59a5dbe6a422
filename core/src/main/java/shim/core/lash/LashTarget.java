package shim.core.lash;

import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.HotColdSchool;
import shim.core.engine.Material;
import shim.core.engine.ValveKind;
import shim.core.stats.Robust;
import shim.core.unit.Figures;
import shim.core.unit.Said;

/**
 * What lash should be now.
 *
 * @param targetIn wanted lash in this state, inch
 * @param floorIn lowest allowed lash in this state, converted exactly like the target, inch
 * @param toleranceIn may differ this much each way, inch
 * @param from which figure, by which school; named by the card's temperature state
 * @param growthSpreadIn s.d. of the engine's own growth where it was used, inch
 */
public record LashTarget(
    ValveKind kind,
    HeatState state,
    double targetIn,
    @Nullable Double floorIn,
    double toleranceIn,
    Said from,
    @Nullable Double growthSpreadIn) {

  /** The tightest leaf, inch: a conversion that leaves no more leaves no lash. */
  private static final double TIGHTEST_LEAF_IN = 0.002;

  /** Where a target comes from: the card's own, or the card's in the other state and a shift. */
  public enum From implements Said.Code {
    AS_CARD,
    /** The team chose its own; the card's is kept on the sheet. */
    AS_TEAM,
    FIXED("cardIn", "shiftThou"),
    OWN_GROWTH("cardIn", "shiftThou", "pairs", "sdThou"),
    /** The usual table by material; {@code waits} above zero: until own growth is known. */
    TABLE_IRON_HEADS("cardIn", "shiftThou", "waits"),
    TABLE_ALUMINIUM_HEADS("cardIn", "shiftThou", "waits"),
    TABLE_ALL_ALUMINIUM("cardIn", "shiftThou", "waits");

    private final Said.Form form;

    From(String... figures) {
      form = Said.form("TARGET", figures);
    }

    @Override
    public Said.Form form() {
      return form;
    }
  }

  /**
   * Cold minus hot lash with where it comes from.
   *
   * @param more what the code is filled with after the card's figure and the shift
   */
  record Conversion(
      double coldMinusHotIn, From from, List<Double> more, @Nullable Double spreadIn) {
    None none() {
      return switch (from) {
        case FIXED -> None.NO_LASH_BY_DIFFERENCE;
        case OWN_GROWTH -> None.NO_LASH_BY_GROWTH;
        case AS_CARD, AS_TEAM, TABLE_IRON_HEADS, TABLE_ALUMINIUM_HEADS, TABLE_ALL_ALUMINIUM ->
            None.NO_LASH_BY_TABLE;
      };
    }

    Said said(HeatState card, double cardIn, double shiftIn) {
      return Said.of(
              from,
              DoubleStream.concat(
                      DoubleStream.of(cardIn, shiftIn * 1000),
                      more.stream().mapToDouble(Double::doubleValue))
                  .toArray())
          .named(card.name());
    }
  }

  /** Why there is none; named by the state in which there is none. */
  public enum None implements Said.Code {
    /** The engine has hydraulic lifters: preload instead of lash. */
    HYDRAULIC,
    NO_LASH_BY_TABLE("cardIn", "shiftThou"),
    NO_LASH_BY_DIFFERENCE("cardIn", "shiftThou"),
    NO_LASH_BY_GROWTH("cardIn", "shiftThou");

    private final Said.Form form;

    None(String... figures) {
      form = Said.form("NO_TARGET", figures);
    }

    @Override
    public Said.Form form() {
      return form;
    }
  }

  /** What is wanted, or why nothing can be said to be. */
  public record Answer(Optional<LashTarget> wanted, Optional<Said> why) {
    private static Answer of(LashTarget wanted) {
      return new Answer(Optional.of(wanted), Optional.empty());
    }

    private static Answer nothing(Said why) {
      return new Answer(Optional.empty(), Optional.of(why));
    }
  }

  /** What lash is wanted of a kind of valve in a state; hydraulic lifters have none. */
  public static Answer of(Engine engine, ValveKind kind, HeatState state, Growth growth) {
    if (engine.drive().lifter().hydraulic()) {
      return Answer.nothing(Said.of(None.HYDRAULIC).named(state.name()));
    }
    Engine.LashSpec spec = engine.lash();
    Optional<Double> floor = spec.floorIn(kind);
    double tolerance = engine.rules().toleranceIn();
    if (spec.state() == state) {
      return Answer.of(
          new LashTarget(
              kind,
              state,
              spec.targetIn(kind),
              floor.orElse(null),
              tolerance,
              Said.of(spec.chosen().contains(kind) ? From.AS_TEAM : From.AS_CARD)
                  .named(state.name()),
              null));
    }
    Conversion c = conversion(engine.rules(), kind, growth);
    double shift = state == HeatState.COLD ? c.coldMinusHotIn() : -c.coldMinusHotIn();
    double target = spec.targetIn(kind) + shift;
    if (Figures.atMost(target, TIGHTEST_LEAF_IN)) {
      return Answer.nothing(
          Said.of(c.none(), spec.targetIn(kind), shift * 1000).named(state.name()));
    }
    return Answer.of(
        new LashTarget(
            kind,
            state,
            target,
            floor.map(f -> Math.max(0, f + shift)).orElse(null),
            tolerance,
            c.said(spec.state(), spec.targetIn(kind), shift),
            c.spreadIn()));
  }

  static Conversion conversion(Engine.Rules rules, ValveKind kind, Growth growth) {
    Optional<Robust.Mean> own = growth.coldMinusHotIn(kind);
    return switch (rules.hotCold()) {
      case FIXED -> new Conversion(rules.fixedColdMinusHotIn(), From.FIXED, List.of(), null);
      case OWN_GROWTH ->
          own.map(
                  m ->
                      new Conversion(
                          m.mean(),
                          From.OWN_GROWTH,
                          List.of((double) m.n(), m.sd() * 1000),
                          m.sd()))
              .orElseGet(() -> table(rules, true));
      case TABLE -> table(rules, false);
    };
  }

  private static Conversion table(Engine.Rules rules, boolean waits) {
    From from =
        rules.heads() == Material.IRON
            ? From.TABLE_IRON_HEADS
            : rules.block() == Material.IRON
                ? From.TABLE_ALUMINIUM_HEADS
                : From.TABLE_ALL_ALUMINIUM;
    return new Conversion(
        tableColdMinusHotIn(rules.block(), rules.heads()), from, List.of(waits ? 1.0 : 0.0), null);
  }

  /**
   * Cold minus hot lash by material, inch. Common practice, no source. An aluminium block under
   * iron heads is not in the table and is taken like iron.
   */
  public static double tableColdMinusHotIn(Material block, Material heads) {
    if (heads == Material.IRON) {
      return 0.002;
    }
    return block == Material.IRON ? -0.006 : -0.012;
  }

  /** Judges a lash, inch, against target, tolerance and floor. */
  public LashVerdict judge(double lashIn) {
    return EntryGauge.of(this).judge(lashIn);
  }

  /** True when the whole growth school is followed but there is no pair of rounds yet. */
  public static boolean waitsForGrowth(Engine.Rules rules, Growth growth) {
    return rules.hotCold() == HotColdSchool.OWN_GROWTH && growth.byKind().isEmpty();
  }
}
