package shim.core.cam;

import java.util.Optional;
import shim.core.engine.Engine;
import shim.core.engine.PreloadSpec;
import shim.core.engine.ValveKind;
import shim.core.lash.PreloadTarget;

/**
 * The pushrod length a valve wants of the length an adjustable checker showed at zero lash. A solid
 * lifter takes lash / ratio off it; a hydraulic one is pushed down by what it is longer. Where
 * something turns, the adjuster makes up the rest and the rod may be off by what it reaches.
 *
 * @param addIn what the aim adds to the zero-lash length, inch
 * @param tolIn it may be so much longer or shorter, inch
 */
public record PushrodAim(double addIn, double tolIn) {
  /** An adjuster is left in the middle of its thread within this, inch of rod. Ours. */
  static final double ADJUSTER_REACH_IN = 0.025;

  /**
   * @param lashIn wanted at the valve in the state the rod was measured in, inch; unused for
   *     hydraulic lifters
   */
  public static PushrodAim of(Engine engine, ValveKind kind, double lashIn) {
    Engine.Drive drive = engine.drive();
    boolean turned = drive.adjuster().turned();
    if (drive.lifter().hydraulic()) {
      return hydraulic(drive, kind, turned);
    }
    double ratio = drive.ratio(kind);
    return new PushrodAim(
        -lashIn / ratio, turned ? ADJUSTER_REACH_IN : engine.rules().toleranceIn() / ratio);
  }

  private static PushrodAim hydraulic(Engine.Drive drive, ValveKind kind, boolean turned) {
    Optional<PreloadTarget> target =
        PreloadTarget.both(drive).stream().filter(t -> t.kind() == kind).findFirst();
    if (target.isEmpty()) {
      throw new IllegalArgumentException("the plunger's travel is not on this engine's sheet");
    }
    PreloadTarget t = target.get();
    if (turned || t.unit() == PreloadSpec.Unit.TURNS) {
      return new PushrodAim(t.travelIn(t.aim()), ADJUSTER_REACH_IN);
    }
    double from = t.travelIn(t.from());
    double to = t.travelIn(t.to());
    return new PushrodAim((from + to) / 2, (to - from) / 2);
  }

  /** Wanted at a valve whose zero-lash length is known. */
  public double aimIn(double zeroLashIn) {
    return zeroLashIn + addIn;
  }
}
