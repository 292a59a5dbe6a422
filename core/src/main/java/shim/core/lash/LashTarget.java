package shim.core.lash;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.HotColdSchool;
import shim.core.engine.Material;
import shim.core.engine.ValveKind;
import shim.core.stats.Robust;

/**
 * What lash should be now.
 *
 * @param targetIn wanted lash in this state, inch
 * @param floorIn lowest allowed lash in this state, converted exactly like the target, inch
 * @param toleranceIn may differ this much each way, inch
 * @param from in words: which figure, which school
 * @param growthSpreadIn s.d. of the engine's own growth where it was used, inch
 */
public record LashTarget(
    ValveKind kind,
    HeatState state,
    double targetIn,
    @Nullable Double floorIn,
    double toleranceIn,
    String from,
    @Nullable Double growthSpreadIn) {

  /** Cold minus hot lash with where it comes from. */
  record Conversion(double coldMinusHotIn, String from, @Nullable Double spreadIn) {}

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
          "the card's " + state.word() + " figure",
          null);
    }
    Conversion c = conversion(engine.rules(), kind, growth);
    double shift = state == HeatState.COLD ? c.coldMinusHotIn() : -c.coldMinusHotIn();
    String from =
        String.format(
            Locale.ROOT,
            "the card's %s %.3f %+.1f thou: %s",
            spec.state().word(),
            spec.targetIn(kind),
            shift * 1000,
            c.from());
    return new LashTarget(
        kind,
        state,
        Math.max(0, spec.targetIn(kind) + shift),
        floor.map(f -> Math.max(0, f + shift)).orElse(null),
        tolerance,
        from,
        c.spreadIn());
  }

  /** Targets of both kinds in one state, intake first. */
  public static List<LashTarget> both(Engine engine, HeatState state, Growth growth) {
    return Stream.of(ValveKind.values()).map(k -> of(engine, k, state, growth)).toList();
  }

  static Conversion conversion(Engine.Rules rules, ValveKind kind, Growth growth) {
    Optional<Robust.Mean> own = growth.coldMinusHotIn(kind);
    return switch (rules.hotCold()) {
      case FIXED -> new Conversion(rules.fixedColdMinusHotIn(), "the team's fixed offset", null);
      case OWN_GROWTH ->
          own.map(
                  m ->
                      new Conversion(
                          m.mean(),
                          String.format(
                              Locale.ROOT,
                              "this engine's own growth, %d pairs, s.d. %.1f thou",
                              m.n(),
                              m.sd() * 1000),
                          m.sd()))
              .orElseGet(() -> table(rules, ", until a hot and a cold round have met"));
      case TABLE -> table(rules, "");
    };
  }

  private static Conversion table(Engine.Rules rules, String until) {
    return new Conversion(
        tableColdMinusHotIn(rules.block(), rules.heads()),
        "the usual table for " + materials(rules) + until,
        null);
  }

  private static String materials(Engine.Rules rules) {
    if (rules.heads() == Material.IRON) {
      return "iron heads";
    }
    return rules.block() == Material.IRON ? "iron block, aluminium heads" : "all aluminium";
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
