package shim.core.lash;

import java.util.ArrayList;
import java.util.List;
import shim.core.engine.Adjuster;
import shim.core.engine.Engine;
import shim.core.engine.Rocker;
import shim.core.lash.WrittenRound.Phase;

/**
 * What makes a lash or preload wrong, or breaks a part, at this drive. Common practice, no source.
 */
public enum Trap {
  /** Too thick a leaf pushes the valve open, and each next one goes as well. */
  LEAF_PUSHES,
  /** The set screw inside the nut is backed off before zero lash is felt for. */
  SET_SCREW_OFF,
  /** The lifter bleeds down before anything is felt. */
  BLEED_DOWN,
  /** The jam nut as tight as it was: too tight breaks a rocker. */
  JAM_NUT,
  /** Locking moves what was set. */
  READ_AFTER_LOCKING,
  /** The nut's flat face to the rocker. */
  NUT_SIDE;

  /** What to think of when a valve is read as found, or as left. */
  public static List<Trap> at(Engine.Drive drive, Phase phase) {
    boolean hydraulic = drive.lifter().hydraulic();
    Adjuster adjuster = drive.adjuster();
    List<Trap> all = new ArrayList<>();
    if (phase == Phase.FOUND) {
      if (hydraulic) {
        all.add(BLEED_DOWN);
      } else if (drive.rocker() != Rocker.NONE) {
        all.add(LEAF_PUSHES);
      }
      if (adjuster == Adjuster.FULCRUM_NUT) {
        all.add(SET_SCREW_OFF);
      }
      return all;
    }
    if (adjuster.turned()) {
      all.add(JAM_NUT);
      all.add(READ_AFTER_LOCKING);
    }
    if (adjuster == Adjuster.FULCRUM_NUT) {
      all.add(NUT_SIDE);
    }
    return all;
  }
}
