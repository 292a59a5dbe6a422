package shim.app.spring;

import java.util.List;

/** Running hours of a part through its fittings, whichever engine it was in. */
public final class PartHours {
  private PartHours() {}

  /**
   * Hours of a spring when one of its engines stood at some hours.
   *
   * @param fittings of this spring, in order of time
   * @param here the fitting it is in then; hours of earlier ones are added
   */
  public static double at(
      Springs.StoredSpring spring,
      List<Springs.StoredFitting> fittings,
      Springs.StoredFitting here,
      double engineHours) {
    double hours = spring.spring().hoursBefore();
    for (Springs.StoredFitting f : fittings) {
      if (f.id().equals(here.id())) {
        return hours + Math.max(0, engineHours - f.fitting().fromHours());
      }
      hours += ran(f);
    }
    return hours;
  }

  /** Hours of a spring on the shelf: all its fittings that are over. */
  public static double shelved(Springs.StoredSpring spring, List<Springs.StoredFitting> fittings) {
    return spring.spring().hoursBefore() + fittings.stream().mapToDouble(PartHours::ran).sum();
  }

  private static double ran(Springs.StoredFitting f) {
    Double to = f.fitting().toHours();
    return to == null ? 0 : to - f.fitting().fromHours();
  }
}
