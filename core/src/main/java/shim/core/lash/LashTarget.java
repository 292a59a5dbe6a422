package shim.core.lash;

import java.util.List;
import java.util.Optional;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.HotColdSchool;
import shim.core.engine.Material;
import shim.core.engine.ValveKind;
import shim.core.stats.Robust;
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

  /** Where a target comes from: the card's own, or the card's in the other state and a shift. */
  public enum From implements Said.Code {
    AS_CARD,
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

  public static LashTarget of(Engine engine, ValveKind kind, HeatState state, Growth growth) {
    Engine.LashSpec spec = engine.lash();
    Optional<Double> floor = spec.floorIn(kind);
    double tolerance = engine.rules().toleranceIn();
    if (spec.state() == state) {
      return new LashTarget(
          kind,
          state,
          spec.targetIn(kind),
          floor.orElse(null),
          tolerance,
          Said.of(From.AS_CARD).named(state.name()),
          null);
    }
    Conversion c = conversion(engine.rules(), kind, growth);
    double shift = state == HeatState.COLD ? c.coldMinusHotIn() : -c.coldMinusHotIn();
    return new LashTarget(
        kind,
        state,
        Math.max(0, spec.targetIn(kind) + shift),
        floor.map(f -> Math.max(0, f + shift)).orElse(null),
        tolerance,
        c.said(spec.state(), spec.targetIn(kind), shift),
        c.spreadIn());
  }

  /** Targets of both kinds in one state, intake first. */
  public static List<LashTarget> both(Engine engine, HeatState state, Growth growth) {
    return Stream.of(ValveKind.values()).map(k -> of(engine, k, state, growth)).toList();
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

  /** How a lash stands to its target. */
  public enum Verdict {
    IN,
    TIGHT,
    WIDE,
    BELOW_FLOOR
  }

  /** Judges a lash, inch, against target, tolerance and floor. */
  public Verdict judge(double lashIn) {
    return EntryGauge.of(this).judge(lashIn);
  }

  /** True when the whole growth school is followed but there is no pair of rounds yet. */
  public static boolean waitsForGrowth(Engine.Rules rules, Growth growth) {
    return rules.hotCold() == HotColdSchool.OWN_GROWTH && growth.byKind().isEmpty();
  }
}
