package shim.core.lash;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;
import shim.core.engine.PreloadSpec;
import shim.core.engine.ValveKind;
import shim.core.stats.Robust;
import shim.core.unit.Figures;
import shim.core.unit.Said;

/**
 * What one round says by itself: how each kind of valve moved since last time, who is out, what the
 * eye has seen. Which valve goes its own way is for all rounds together to say ({@link
 * shim.core.drift.LashDrift}).
 *
 * @param medianDriftIn median drift of a kind of valve, inch
 * @param moved what the kinds did as a whole since last time
 * @param first valves to look at first, most pressing on top
 */
public record RoundStory(
    Map<ValveKind, Double> medianDriftIn,
    List<ValveLine> valves,
    List<Look> moved,
    List<Look> first) {

  /** Drift of a whole kind worth a line of its own, inch. */
  private static final double COMMON_IN = 0.001;

  /**
   * One valve as the round saw it; inch.
   *
   * @param target null where there is none, such as with a hydraulic lifter
   * @param done true when it is known how it was left
   * @param leftIn null before it was left, and of a hydraulic lifter
   * @param preload how a hydraulic lifter was left; null before
   * @param seen with the eye, such as a broken spring
   */
  public record ValveLine(
      Position position,
      @Nullable LashTarget target,
      boolean done,
      @Nullable Double leftIn,
      @Nullable Double driftIn,
      @Nullable PreloadLeft preload,
      List<Said> seen) {}

  /** A preload as it was left, in the unit of its target. */
  public record PreloadLeft(PreloadTarget target, double preload) {}

  /**
   * Something to look at.
   *
   * @param about null where it was kept before this was written down
   */
  public record Look(
      @Nullable About about, Weight weight, @Nullable Position position, Said said) {}

  /** What can be said of a round by itself. */
  public enum Code implements Said.Code {
    NOT_DONE,
    UNDER_FLOOR("leftIn", "floorIn"),
    OUTSIDE("leftIn", "targetIn", "toleranceIn"),
    /** Named by its verdict. */
    PRELOAD_TURNS_OUT("left", "from", "to"),
    /** Named by its verdict. */
    PRELOAD_OUT("leftIn", "fromIn", "toIn"),
    ALL_MOVED("intakesThou", "exhaustsThou"),
    EXHAUSTS_CLOSED("thou");

    private final Said.Form form;

    Code(String... figures) {
      form = Said.form("ROUND", figures);
    }

    @Override
    public Said.Form form() {
      return form;
    }
  }

  /** What a line is about. */
  public enum About {
    /** Something seen with the eye. */
    SEEN,
    NOT_DONE,
    /** Left outside its tolerance. */
    LEFT_OUT,
    /** Its lash over all rounds. */
    DRIFT,
    /** Several valves, or the whole round. */
    TOGETHER
  }

  /** How pressing a line is. */
  public enum Weight {
    FIRST,
    SOON,
    KNOW
  }

  public RoundStory {
    medianDriftIn = Map.copyOf(medianDriftIn);
    valves = List.copyOf(valves);
    moved = List.copyOf(moved);
    first = List.copyOf(first);
  }

  public static RoundStory of(Collection<ValveLine> lines) {
    Map<ValveKind, Double> medians = new EnumMap<>(ValveKind.class);
    for (ValveKind kind : ValveKind.values()) {
      Robust.median(
              lines.stream()
                  .filter(v -> v.position().kind() == kind && v.driftIn() != null)
                  .map(ValveLine::driftIn)
                  .toList())
          .ifPresent(m -> medians.put(kind, m));
    }
    List<Look> looks = new ArrayList<>();
    lines.forEach(v -> looks.addAll(single(v)));
    looks.sort(Comparator.comparing(Look::weight));
    return new RoundStory(medians, List.copyOf(lines), common(medians), looks);
  }

  private static List<Look> common(Map<ValveKind, Double> medians) {
    Double in = medians.get(ValveKind.INTAKE);
    Double ex = medians.get(ValveKind.EXHAUST);
    if (in == null || ex == null) {
      return List.of();
    }
    if (Figures.atLeast(Math.abs(in), COMMON_IN)
        && Figures.atLeast(Math.abs(ex), COMMON_IN)
        && in * ex > 0) {
      return List.of(
          new Look(
              About.TOGETHER, Weight.SOON, null, Said.of(Code.ALL_MOVED, in * 1000, ex * 1000)));
    }
    return Figures.atMost(ex, -COMMON_IN)
        ? List.of(
            new Look(About.TOGETHER, Weight.SOON, null, Said.of(Code.EXHAUSTS_CLOSED, -ex * 1000)))
        : List.of();
  }

  private static List<Look> single(ValveLine v) {
    List<Look> looks = new ArrayList<>();
    v.seen().forEach(s -> looks.add(new Look(About.SEEN, Weight.FIRST, v.position(), s)));
    if (!v.done()) {
      looks.add(new Look(About.NOT_DONE, Weight.SOON, v.position(), Said.of(Code.NOT_DONE)));
    }
    if (v.target() != null && v.leftIn() != null) {
      left(v.position(), v.target(), v.leftIn()).ifPresent(looks::add);
    }
    if (v.preload() != null) {
      left(v.position(), v.preload()).ifPresent(looks::add);
    }
    return looks;
  }

  private static Optional<Look> left(Position p, LashTarget target, double leftIn) {
    return switch (target.judge(leftIn)) {
      case BELOW_FLOOR ->
          Optional.of(
              leftOut(
                  p, Said.of(Code.UNDER_FLOOR, leftIn, Objects.requireNonNull(target.floorIn()))));
      case TIGHT, WIDE ->
          Optional.of(
              leftOut(p, Said.of(Code.OUTSIDE, leftIn, target.targetIn(), target.toleranceIn())));
      case IN, NO_PRELOAD, SHALLOW, DEEP, BOTTOMED -> Optional.empty();
    };
  }

  private static Optional<Look> left(Position p, PreloadLeft left) {
    PreloadTarget target = left.target();
    LashVerdict verdict = target.judge(left.preload());
    Code code = target.unit() == PreloadSpec.Unit.TURNS ? Code.PRELOAD_TURNS_OUT : Code.PRELOAD_OUT;
    return verdict == LashVerdict.IN
        ? Optional.empty()
        : Optional.of(
            leftOut(
                p,
                Said.of(code, left.preload(), target.from(), target.to()).named(verdict.name())));
  }

  private static Look leftOut(Position p, Said said) {
    return new Look(About.LEFT_OUT, Weight.FIRST, p, said);
  }
}
