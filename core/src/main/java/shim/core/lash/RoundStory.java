package shim.core.lash;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.stats.Robust;

/**
 * What one round says: how each valve moved against its own kind, who is out, what to look at
 * first.
 *
 * @param medianDriftIn median drift of a kind of valve, inch
 * @param first what to look at first, most pressing on top
 */
public record RoundStory(
    Map<ValveKind, Double> medianDriftIn, List<ValveLine> valves, List<Look> first) {

  /** A single reading is good to about this, inch: smaller differences say nothing. */
  private static final double READABLE_IN = 0.0015;

  /** Robust z over which a valve stands out from its kind: a reason to look, no more. */
  private static final double ODD_Z = 3.5;

  /** Drift of a whole kind worth a line of its own, inch. */
  private static final double COMMON_IN = 0.001;

  /**
   * One valve as the round saw it; inch.
   *
   * @param finding something seen with the eye, such as a broken spring
   */
  public record ValveLine(
      Position position,
      LashTarget target,
      @Nullable Double foundIn,
      @Nullable Double leftIn,
      @Nullable Double driftIn,
      @Nullable String finding) {}

  /** Something to look at. */
  public record Look(Weight weight, @Nullable Position position, String words) {}

  /** How pressing a line is. */
  public enum Weight {
    FIRST,
    SOON,
    KNOW
  }

  public RoundStory {
    medianDriftIn = Map.copyOf(medianDriftIn);
    valves = List.copyOf(valves);
    first = List.copyOf(first);
  }

  public static RoundStory of(Collection<ValveLine> lines) {
    Map<ValveKind, Double> medians = new EnumMap<>(ValveKind.class);
    List<Look> looks = new ArrayList<>();
    for (ValveKind kind : ValveKind.values()) {
      List<Double> drifts =
          lines.stream()
              .filter(v -> v.position().kind() == kind && v.driftIn() != null)
              .map(ValveLine::driftIn)
              .toList();
      Robust.median(drifts)
          .ifPresent(
              m -> {
                medians.put(kind, m);
                looks.addAll(odd(lines, kind, m, drifts));
              });
    }
    common(medians).forEach(looks::add);
    lines.forEach(v -> looks.addAll(single(v)));
    looks.sort(Comparator.comparing(Look::weight));
    return new RoundStory(medians, List.copyOf(lines), looks);
  }

  private static List<Look> odd(
      Collection<ValveLine> lines, ValveKind kind, double median, List<Double> drifts) {
    double scale = Math.max(Robust.scaledMad(drifts).orElse(0), READABLE_IN / 2);
    return lines.stream()
        .filter(v -> v.position().kind() == kind && v.driftIn() != null)
        .filter(v -> Math.abs(v.driftIn() - median) > Math.max(ODD_Z * scale, READABLE_IN))
        .sorted(Comparator.comparingDouble(v -> -Math.abs(v.driftIn() - median)))
        .map(v -> new Look(Weight.FIRST, v.position(), oddWords(v, median)))
        .toList();
  }

  private static String oddWords(ValveLine v, double median) {
    double own = v.driftIn() - median;
    String next =
        own > 0
            ? "jam nut first, then pushrod and rocker tips, lifter, lobe"
            : "seat or valve head: leak-down";
    return String.format(
        Locale.ROOT,
        "%s %s %.1f thou more than the other %ss: %s",
        v.position(),
        own > 0 ? "opened" : "closed",
        Math.abs(own) * 1000,
        v.position().kind().word(),
        next);
  }

  private static List<Look> common(Map<ValveKind, Double> medians) {
    Double in = medians.get(ValveKind.INTAKE);
    Double ex = medians.get(ValveKind.EXHAUST);
    if (in == null || ex == null) {
      return List.of();
    }
    if (Math.abs(in) >= COMMON_IN && Math.abs(ex) >= COMMON_IN && in * ex > 0) {
      return List.of(
          new Look(
              Weight.SOON,
              null,
              String.format(
                  Locale.ROOT,
                  "intakes and exhausts all moved the same way (%+.1f and %+.1f thou): temperature,"
                      + " hand or leaf before wear",
                  in * 1000,
                  ex * 1000)));
    }
    return ex <= -COMMON_IN
        ? List.of(
            new Look(
                Weight.SOON,
                null,
                String.format(
                    Locale.ROOT,
                    "the exhausts as a whole closed %.1f thou: seats sinking, if it goes on",
                    -ex * 1000)))
        : List.of();
  }

  private static List<Look> single(ValveLine v) {
    List<Look> looks = new ArrayList<>();
    if (v.finding() != null) {
      looks.add(new Look(Weight.FIRST, v.position(), v.position() + ": " + v.finding()));
    }
    if (v.leftIn() == null) {
      looks.add(new Look(Weight.SOON, v.position(), v.position() + " was not done"));
      return looks;
    }
    String left = String.format(Locale.ROOT, "%s left at %.4f", v.position(), v.leftIn());
    switch (v.target().judge(v.leftIn())) {
      case BELOW_FLOOR ->
          looks.add(
              new Look(
                  Weight.FIRST,
                  v.position(),
                  String.format(
                      Locale.ROOT,
                      "%s, under the lowest allowed %.4f",
                      left,
                      v.target().floorIn())));
      case TIGHT, WIDE ->
          looks.add(
              new Look(
                  Weight.FIRST,
                  v.position(),
                  String.format(
                      Locale.ROOT,
                      "%s, outside %.4f ± %.4f",
                      left,
                      v.target().targetIn(),
                      v.target().toleranceIn())));
      case IN -> {}
    }
    return looks;
  }
}
