package shim.core.spring;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A spring inside another: what each gives alone, by what is known best. Measured alone beats the
 * whole less what the other was measured at; before either, the wires share the load by their
 * rates, as if both were pressed equally far.
 *
 * @param outer its own curve; empty where it was not measured alone
 * @param inner the same of the inner
 * @param outerShare of the whole rate, by the wires; empty where they are not on the sheet
 * @param rings outer first, as written
 */
public record Nest(
    LoadCurve whole,
    Optional<LoadCurve> outer,
    Optional<LoadCurve> inner,
    OptionalDouble outerShare,
    List<SpringSheet.Wire> rings) {
  /** How a load of one ring is known. */
  public enum Source {
    MEASURED,
    /** The whole less the other. */
    SUBTRACTED,
    /** By the wires. */
    ESTIMATED
  }

  /** The outer by itself, the inner left out, as at a break-in. */
  public record OuterAlone(double share, double rateLbfPerIn, Source source) {}

  /** A load and how it is known. */
  public record Alone(double loadLbf, Source source) {}

  public Nest {
    rings = List.copyOf(rings);
  }

  /** Empty for a spring without an inner one. */
  public static Optional<Nest> of(SpringSheet sheet, SpringType type) {
    List<SpringSheet.Wire> rings = Objects.requireNonNullElse(sheet.wires(), List.of());
    if (!type.form().nested() || rings.size() < 2) {
      return Optional.empty();
    }
    return Optional.of(
        new Nest(
            type.curve(),
            curve(rings.get(0)),
            rings.size() == 2 ? curve(rings.get(1)) : Optional.empty(),
            share(rings),
            rings));
  }

  /** Two loads at two heights, at least. */
  static Optional<LoadCurve> curve(SpringSheet.Wire ring) {
    List<LoadCurve.At> points = new ArrayList<>();
    for (SpringSheet.LoadPoint p :
        Objects.requireNonNullElse(ring.loads(), List.<SpringSheet.LoadPoint>of())) {
      if (p.heightIn() != null && p.loadLbf() != null) {
        points.add(new LoadCurve.At(p.heightIn(), p.loadLbf()));
      }
    }
    return points.size() < 2 ? Optional.empty() : Optional.of(new LoadCurve(points));
  }

  private static OptionalDouble share(List<SpringSheet.Wire> rings) {
    List<Double> rates = rings.stream().map(Nest::rate).flatMap(Stream::ofNullable).toList();
    return rates.size() < rings.size()
        ? OptionalDouble.empty()
        : OptionalDouble.of(rates.get(0) / rates.stream().mapToDouble(r -> r).sum());
  }

  private static @Nullable Double rate(SpringSheet.Wire w) {
    if (w.wireIn() == null || w.odIn() == null || w.coils() == null) {
      return null;
    }
    return new RoundWire(w.wireIn(), w.odIn() - w.wireIn(), w.coils())
        .rateLbfPerIn(RoundWire.STEEL_SHEAR_PSI);
  }

  /** Load of the outer alone at a height; empty where nothing tells. */
  public Optional<Alone> outerAt(double heightIn) {
    double all = whole.loadAt(heightIn);
    return outer
        .map(o -> new Alone(o.loadAt(heightIn), Source.MEASURED))
        .or(() -> inner.map(i -> new Alone(all - i.loadAt(heightIn), Source.SUBTRACTED)))
        .or(
            () ->
                outerShare.isEmpty()
                    ? Optional.empty()
                    : Optional.of(new Alone(all * outerShare.getAsDouble(), Source.ESTIMATED)));
  }

  /** Load of the inner alone at a height; empty where nothing tells, or where there are three. */
  public Optional<Alone> innerAt(double heightIn) {
    double all = whole.loadAt(heightIn);
    return inner
        .map(i -> new Alone(i.loadAt(heightIn), Source.MEASURED))
        .or(
            () ->
                outerAt(heightIn)
                    .filter(o -> rings.size() == 2)
                    .map(
                        o ->
                            new Alone(
                                all - o.loadLbf(),
                                o.source() == Source.MEASURED ? Source.SUBTRACTED : o.source())));
  }

  /** The outer by itself, as one rate. */
  public Optional<OuterAlone> outerAlone() {
    double rate = whole.rateLbfPerIn();
    if (outer.isPresent()) {
      double own = outer.get().rateLbfPerIn();
      return Optional.of(new OuterAlone(own / rate, own, Source.MEASURED));
    }
    if (inner.isPresent()) {
      double own = rate - inner.get().rateLbfPerIn();
      return Optional.of(new OuterAlone(own / rate, own, Source.SUBTRACTED));
    }
    return outerShare.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new OuterAlone(
                outerShare.getAsDouble(), outerShare.getAsDouble() * rate, Source.ESTIMATED));
  }

  /**
   * The least clearance to bind of any ring that has its own, at a gross lift. Each stands lower
   * than the outer by its step.
   */
  public OptionalDouble bindClearanceIn(double heightIn, double grossIn) {
    return rings.stream()
        .filter(r -> r.bindIn() != null)
        .mapToDouble(
            r ->
                heightIn
                    - Objects.requireNonNullElse(r.stepIn(), 0.0)
                    - grossIn
                    - Objects.requireNonNull(r.bindIn()))
        .min();
  }
}
