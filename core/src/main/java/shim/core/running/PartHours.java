package shim.core.running;

import java.util.List;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import shim.core.unit.Figures;

/**
 * Running hours of a part, a spring or a lifter, through its fittings, whichever engine it was in.
 *
 * @param before hours it had run before it was first fitted here
 * @param fittings in order of time
 */
public record PartHours(double before, List<Fitting> fittings) {
  /**
   * A stay in one engine, in that engine's hours.
   *
   * @param toHours empty while it is in
   */
  public record Fitting(String engine, double fromHours, OptionalDouble toHours) {
    /** Hours of it when the engine stood at some hours; what comes after the removal is not its. */
    double ranAt(double engineHours) {
      return Math.max(0, Math.min(engineHours, toHours.orElse(engineHours)) - fromHours);
    }
  }

  public PartHours {
    fittings = List.copyOf(fittings);
  }

  /** Hours while it was in for the n-th time, when that engine stood at some hours. */
  public double at(int fitting, double engineHours) {
    return before + closed(fittings.subList(0, fitting)) + fittings.get(fitting).ranAt(engineHours);
  }

  /**
   * Hours now.
   *
   * @param hoursOf engine hours of the engine it is in
   */
  public double now(ToDoubleFunction<String> hoursOf) {
    int last = fittings.size() - 1;
    boolean in = last >= 0 && fittings.get(last).toHours().isEmpty();
    return in
        ? at(last, hoursOf.applyAsDouble(fittings.get(last).engine()))
        : before + closed(fittings);
  }

  /**
   * Hours when an engine stood at some hours: in its last stay there begun by then, those before
   * where it had none.
   */
  public double in(String engine, double engineHours) {
    for (int i = fittings.size() - 1; i >= 0; i--) {
      Fitting f = fittings.get(i);
      if (f.engine().equals(engine) && Figures.atMost(f.fromHours(), engineHours)) {
        return at(i, engineHours);
      }
    }
    return before;
  }

  private static double closed(List<Fitting> over) {
    return over.stream()
        .mapToDouble(f -> f.toHours().isPresent() ? f.ranAt(f.toHours().getAsDouble()) : 0)
        .sum();
  }
}
