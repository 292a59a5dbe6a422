package shim.core.crank;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import shim.core.engine.Layout;
import shim.core.engine.ValveKind;
import shim.core.unit.Angle;

/**
 * How to find a crank position with hands and eyes: what can be seen at the valves, the balancer,
 * the rotor.
 *
 * @param look what is seen at the valves there
 * @param balancerDeg degrees past number 1's TDC mark, 0 to 360, crank degrees
 * @param balancer the same in words, with the cylinders whose TDC is near
 * @param rotor where the rotor points, when the static timing is known
 */
public record StopWords(String look, double balancerDeg, String balancer, Optional<String> rotor) {
  /** A landmark this near is the stop itself to the eye, crank degrees. */
  private static final double AT_DEG = 1.5;

  private record Landmark(double crankDeg, int rank, String words) {}

  public static StopWords of(CrankModel model, double crankDeg, Optional<Double> staticTimingDeg) {
    Layout layout = model.layout();
    double numberOne = layout.compressionTdcDeg(1);
    double balancer = Angle.inCycle(crankDeg - numberOne) % 360;
    if (360 - balancer < 0.05) {
      balancer = 0;
    }
    return new StopWords(
        look(model, crankDeg),
        balancer,
        balancerWords(balancer),
        staticTimingDeg.map(t -> rotor(layout, crankDeg, t)));
  }

  private static String balancerWords(double deg) {
    return deg < 0.05
        ? "balancer on number 1's TDC mark"
        : String.format(Locale.ROOT, "balancer %s past number 1's TDC mark", degrees(deg));
  }

  private static String look(CrankModel model, double crankDeg) {
    return landmarks(model).stream()
        .filter(l -> Angle.distance(l.crankDeg(), crankDeg) <= AT_DEG)
        .min(
            Comparator.comparingInt(Landmark::rank)
                .thenComparingDouble(l -> Angle.distance(l.crankDeg(), crankDeg)))
        .map(Landmark::words)
        .orElseGet(() -> fromTdc(model.layout(), crankDeg));
  }

  private static List<Landmark> landmarks(CrankModel model) {
    List<Landmark> all = new ArrayList<>();
    model
        .layout()
        .compressionTdcDeg()
        .forEach((c, deg) -> all.add(new Landmark(deg, 0, atTdc(model, c))));
    for (ValveWindow w : model.windows()) {
      String valve = w.position().words();
      boolean intake = w.position().kind() == ValveKind.INTAKE;
      all.add(new Landmark(w.closesDeg(), intake ? 1 : 4, valve + " almost closed"));
      all.add(new Landmark(w.opensDeg(), intake ? 4 : 1, valve + " just begins to open"));
      all.add(new Landmark(w.centreDeg(), 3, valve + " at full lift"));
    }
    return all;
  }

  private static String atTdc(CrankModel model, int cylinder) {
    return "cylinder "
        + cylinder
        + " at compression TDC"
        + model
            .layout()
            .companion(cylinder)
            .filter(c -> overlaps(model, c))
            .map(c -> ", cylinder " + c + "'s valves rocking on overlap")
            .orElse(", both its valves slack");
  }

  /** Both valves are open at the cylinder's gas-exchange TDC: the intake opens before it closes. */
  private static boolean overlaps(CrankModel model, int cylinder) {
    double exchange = Angle.inCycle(model.layout().compressionTdcDeg(cylinder) + 360);
    return model.windows().stream()
        .filter(w -> w.position().cylinder() == cylinder)
        .allMatch(w -> w.slackDeg(exchange) + w.marginDeg() < 0);
  }

  private static String fromTdc(Layout layout, double crankDeg) {
    record Near(int cylinder, double pastDeg) {}
    Near near =
        layout.compressionTdcDeg().entrySet().stream()
            .map(e -> new Near(e.getKey(), signed(crankDeg - e.getValue())))
            .min(Comparator.comparingDouble(n -> Math.abs(n.pastDeg())))
            .orElseThrow();
    return String.format(
        Locale.ROOT,
        "%s %s cylinder %d's compression TDC",
        degrees(Math.abs(near.pastDeg())),
        near.pastDeg() < 0 ? "before" : "past",
        near.cylinder());
  }

  /** The rotor turns at half crank speed and points at a lead at the static timing, not at TDC. */
  private static String rotor(Layout layout, double crankDeg, double timingDeg) {
    record Lead(int cylinder, double pastDeg) {}
    List<Lead> leads =
        layout.compressionTdcDeg().entrySet().stream()
            .map(e -> new Lead(e.getKey(), signed(crankDeg - e.getValue() + timingDeg)))
            .toList();
    double least = leads.stream().mapToDouble(l -> Math.abs(l.pastDeg())).min().orElseThrow();
    String names =
        leads.stream()
            .filter(l -> Math.abs(l.pastDeg()) < least + 1e-6)
            .map(l -> String.valueOf(l.cylinder()))
            .collect(Collectors.joining(" and "));
    double past =
        leads.stream().filter(l -> Math.abs(l.pastDeg()) == least).findFirst().get().pastDeg();
    String where = least < 1 ? "at" : degrees(least / 2) + (past > 0 ? " past" : " before");
    return String.format(
        Locale.ROOT,
        "rotor %s number %s's lead (it points at a lead %s before TDC)",
        where,
        names,
        degrees(timingDeg));
  }

  private static double signed(double deg) {
    double d = Angle.inCycle(deg);
    return d > 360 ? d - Angle.CYCLE_DEG : d;
  }

  /** Whole degrees, as a balancer is read; halves where it matters less than half a degree. */
  static String degrees(double deg) {
    return Math.round(deg) + "°";
  }
}
