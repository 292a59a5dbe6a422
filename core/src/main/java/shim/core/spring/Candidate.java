package shim.core.spring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Engine;
import shim.core.engine.ValveKind;
import shim.core.unit.Known;

/**
 * A spring thought of for an engine, in use or only on paper: what it does at each kind of valve.
 *
 * @param outerAlone with the inner out, as at a break-in; none for a spring without one, or where
 *     the wires are not on the sheet
 */
public record Candidate(
    String name, double rateLbfPerIn, List<AtKind> kinds, Optional<Nest.OuterAlone> outerAlone) {
  private static final int DRAWN = 24;

  /** Drawn beyond the installed height. */
  private static final double BEYOND_IN = 0.15;

  /**
   * At one kind of valve.
   *
   * @param curve load against height from bind, or full lift, to a little over installed height
   */
  public record AtKind(
      ValveKind kind,
      double liftIn,
      Fit fit,
      List<WeakestLink.Link> links,
      List<LoadCurve.At> curve) {
    public AtKind {
      links = List.copyOf(links);
      curve = List.copyOf(curve);
    }
  }

  /**
   * What a kind of valve has room for.
   *
   * @param heightIn installed height
   * @param sealGapIn least measured gap of retainer and seal, valve closed; null where none was
   * @param pocketsIn every diameter measured
   * @param boostLbf what boost takes off the closed valve's load
   * @param links limits of the parts at these valves
   */
  public record Asked(
      double heightIn,
      Optional<Fit.Lift> lift,
      @Nullable Double sealGapIn,
      List<Double> pocketsIn,
      double boostLbf,
      List<WeakestLink.Limit> links) {
    public Asked {
      pocketsIn = List.copyOf(pocketsIn);
      links = List.copyOf(links);
    }

    /** The pocket in which a spring of this width stands worst. */
    private @Nullable Double worst(SpringType type, FitLimits limits) {
      return type.odIn().isEmpty()
          ? null
          : pocketsIn.stream()
              .max(
                  Comparator.comparing(
                      (Double p) -> PocketPlay.of(p - type.odIn().get(), limits.play())))
              .orElse(null);
    }
  }

  public Candidate {
    kinds = List.copyOf(kinds);
  }

  public static Candidate of(
      SpringSheet sheet,
      SpringType type,
      Engine engine,
      Map<ValveKind, Asked> asked,
      FitLimits limits,
      double topRpm) {
    List<AtKind> kinds = new ArrayList<>();
    for (ValveKind kind : ValveKind.values()) {
      Asked at = Known.in(asked, kind);
      Fit.Measured measured =
          new Fit.Measured(at.heightIn(), at.sealGapIn(), at.worst(type, limits), null, null, null);
      Fit.Asked wanted = new Fit.Asked(engine.drive().lifter(), limits, at.boostLbf());
      Fit fit = Fit.of(type, measured, at.lift(), wanted);
      double gross = at.lift().map(Fit.Lift::grossIn).orElse(0.0);
      kinds.add(
          new AtKind(
              kind,
              gross,
              fit,
              WeakestLink.of(at.links(), new WeakestLink.Duty(fit.openLbf(), gross, topRpm))
                  .links(),
              drawn(type, at.heightIn(), gross)));
    }
    return new Candidate(
        type.name(),
        type.curve().rateLbfPerIn(),
        kinds,
        Nest.of(sheet, type).flatMap(Nest::outerAlone));
  }

  /** Load against height over the range that matters for one fitting. */
  public static List<LoadCurve.At> drawn(SpringType type, double heightIn, double grossLiftIn) {
    double low = type.bindIn().orElse(heightIn - Math.max(grossLiftIn, BEYOND_IN));
    double high = heightIn + BEYOND_IN;
    List<LoadCurve.At> curve = new ArrayList<>();
    for (int i = 0; i <= DRAWN; i++) {
      double h = low + (high - low) * i / DRAWN;
      curve.add(new LoadCurve.At(h, type.curve().loadAt(h)));
    }
    return curve;
  }
}
