package shim.core.change;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Adjuster;
import shim.core.engine.Engine;
import shim.core.engine.Lifter;
import shim.core.engine.Position;
import shim.core.engine.PreloadSpec;
import shim.core.unit.Figures;
import shim.core.unit.InWords;

/**
 * What a job is to do; fixed when it begins.
 *
 * @param route where the crank goes; one leg at zero where the heads are off
 * @param psi air pressure, psi
 * @param tdcDeg compression TDC of each cylinder of the job, crank degrees
 * @param drive what of the valve drive the work meets
 * @param torques the team's sheet for what is undone
 * @param air what air does to the crank; null where it was kept before this was written down
 */
public record JobPlan(
    Kind kind,
    Hold hold,
    double psi,
    boolean crankLock,
    Route route,
    TreeMap<Integer, Double> tdcDeg,
    List<Work> valves,
    Drive drive,
    Schools schools,
    List<Torque> torques,
    @Nullable AirHold air) {

  /** What kind of job. */
  public enum Kind {
    IN_CAR("Springs, engine in the car"),
    HEADS_OFF("Springs, heads off"),
    ASSEMBLE("Assembling a head");

    private final String title;

    Kind(String title) {
      this.title = title;
    }

    public String title() {
      return title;
    }
  }

  /**
   * One valve.
   *
   * @param oldSpring mark of the spring that is in; blank in a bare head
   * @param newSpring mark of the spring meant to go in; the old one's to put it back
   * @param shims pieces under the spring now
   * @param damper the spring that goes in has one; null where it was kept before this was asked
   * @param to what goes in with a spring of another kind; null where the kind stays
   */
  public record Work(
      Position valve,
      String oldSpring,
      String newSpring,
      boolean newSeal,
      int shims,
      Height height,
      @Nullable Boolean damper,
      @Nullable Parts to) {
    public Work {
      damper = Boolean.TRUE.equals(damper);
    }
  }

  /**
   * What goes in with a spring of another kind.
   *
   * @param kind its name
   * @param shimsIn all that is under it then, thinnest first
   * @param cup blank for none
   * @param sealGapIn retainer to seal then, valve closed; null where it was not measured
   * @param pocketIn diameter it stands in then; null where it was not measured
   */
  public record Parts(
      String kind,
      List<Double> shimsIn,
      String retainer,
      String locks,
      String cup,
      @Nullable Double sealGapIn,
      @Nullable Double pocketIn) {
    public Parts {
      shimsIn = List.copyOf(shimsIn);
    }
  }

  /** Installed height that is wanted, inch, and the range of the gauge at hand. */
  public record Height(
      double targetIn,
      double toleranceIn,
      @Nullable Double gaugeLowIn,
      @Nullable Double gaugeHighIn) {

    /** What is wanted, in words. */
    String words() {
      return InWords.inch(targetIn) + " ± " + InWords.inch(toleranceIn);
    }

    boolean within(double heightIn) {
      return Figures.atMost(Math.abs(heightIn - targetIn), toleranceIn);
    }

    /** Why a figure cannot come from this gauge. */
    Optional<String> beyondGauge(double heightIn) {
      boolean low = gaugeLowIn != null && heightIn < gaugeLowIn;
      boolean high = gaugeHighIn != null && heightIn > gaugeHighIn;
      return low || high
          ? Optional.of(
              InWords.inch(heightIn)
                  + " is beyond the gauge's "
                  + InWords.inch(gaugeLowIn == null ? 0 : gaugeLowIn)
                  + " to "
                  + InWords.inch(gaugeHighIn == null ? 9.999 : gaugeHighIn)
                  + ": take another gauge, or read it again")
          : Optional.empty();
    }
  }

  /** What is set at a valve in the end, and how it is read. */
  public enum Sets {
    LASH,
    /** Preload, in turns from zero lash. */
    TURNS,
    /** Preload, by the pushrod or shim that goes in. */
    LENGTH
  }

  /**
   * What of the valve drive the work meets.
   *
   * @param fixingClampsHead the rocker fixings hold the head down too
   * @param intakeOff the intake comes off to reach the pushrods
   * @param clampRule the torque rule of fixings that clamp the head
   * @param innerOut the inner springs stay out for a break-in
   * @param byLength preload is set by the part that goes in: nothing turns; null where it was kept
   *     before this was written down
   */
  public record Drive(
      boolean pushrods,
      boolean hydraulic,
      boolean fixingClampsHead,
      boolean intakeOff,
      boolean innerOut,
      @Nullable String clampRule,
      @Nullable Boolean byLength) {
    /**
     * As an engine has it.
     *
     * @param clampsHead its rocker fixings hold the head down too
     */
    public static Drive of(
        Engine engine,
        boolean clampsHead,
        @Nullable String clampRule,
        boolean intakeOff,
        boolean innerOut) {
      boolean pushrods =
          engine.drive().lifter() != Lifter.BUCKET
              && engine.drive().adjuster() != Adjuster.BUCKET_SHIM;
      PreloadSpec preload = engine.drive().preload();
      return new Drive(
          pushrods,
          engine.drive().lifter().hydraulic(),
          clampsHead,
          intakeOff,
          innerOut,
          clampsHead ? clampRule : null,
          preload != null && preload.unit() == PreloadSpec.Unit.INCH);
    }

    public Sets sets() {
      if (!hydraulic) {
        return Sets.LASH;
      }
      return Boolean.TRUE.equals(byLength) ? Sets.LENGTH : Sets.TURNS;
    }

    /** What is said where fixings that clamp the head are loosened or done up. */
    public String clampCaution() {
      String rule = clampRule == null ? "by its own torque rule" : clampRule.strip();
      return "These fixings clamp the head: one at a time, " + rule + ".";
    }
  }

  /**
   * One line of the team's torque sheet.
   *
   * @param of what is torqued
   * @param perCylinder once for each cylinder, else once for the engine
   * @param stepsLbfFt in steps
   * @param order which fixing after which
   * @param source whose figure it is
   * @param only the kind of job it belongs to; null for all
   */
  public record Torque(
      String of,
      boolean perCylinder,
      List<Double> stepsLbfFt,
      String order,
      String lubricant,
      String source,
      @Nullable Kind only) {
    public Torque {
      stepsLbfFt = List.copyOf(stepsLbfFt);
    }

    boolean belongs(Kind kind) {
      return only == null || only == kind;
    }
  }

  public JobPlan {
    valves = List.copyOf(valves);
    torques = List.copyOf(torques);
    tdcDeg = new TreeMap<>(tdcDeg);
    if (valves.isEmpty()) {
      throw new IllegalArgumentException("choose the valves whose springs are done");
    }
    if (valves.stream().map(Work::valve).distinct().count() < valves.size()) {
      throw new IllegalArgumentException("a valve stands twice in the plan");
    }
  }

  /** Valves that get a spring of another kind. */
  List<Work> toAnotherKind() {
    return valves.stream().filter(w -> w.to() != null).toList();
  }

  public Set<Integer> cylinders() {
    Set<Integer> all = new TreeSet<>();
    valves.forEach(w -> all.add(w.valve().cylinder()));
    return all;
  }

  public List<Work> of(int cylinder) {
    return valves.stream().filter(w -> w.valve().cylinder() == cylinder).toList();
  }

  public Optional<Work> work(@Nullable Position valve) {
    return valves.stream().filter(w -> w.valve().equals(valve)).findFirst();
  }
}
