package shim.core.lifter;

import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import shim.core.drift.ValveDrift;
import shim.core.engine.Lifter;

/** What brought a valve up, before anybody looked. */
public enum Symptom {
  OPENING("its lash opens round after round"),
  CLOSING("its lash closes round after round"),
  STEP_OPEN("its lash went wide once, then stayed"),
  STEP_TIGHT("its lash went tight once, then stayed"),
  AFTER_OVER_REV("there was an over-rev since the last round"),
  NOISE("it ticks when hot"),
  NOISE_SOLID("it ticks when hot under a solid lifter"),
  NOISE_FLAT("it ticks when hot over a flat tappet"),
  LOAD_LOW("its spring reads lower than its set"),
  ALL_MOVED("all valves moved together");

  private final String words;

  Symptom(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /**
   * What brings a valve up.
   *
   * @param lifter its kind weighs where it ticks
   * @param overRev the engine was over-revved where its last round would show it
   * @param heardHot the last finding of a tick when hot
   * @param readsLow its spring reads lower than its set
   */
  public static Set<Symptom> at(
      Lifter lifter,
      ValveDrift.Signal signal,
      boolean overRev,
      Optional<Level> heardHot,
      boolean readsLow) {
    Set<Symptom> result = EnumSet.noneOf(Symptom.class);
    of(signal).ifPresent(result::add);
    if (signal.steps() && overRev) {
      result.add(AFTER_OVER_REV);
    }
    if (heardHot.isPresent() && heardHot.get() != Level.GOOD) {
      result.add(NOISE);
      if (!lifter.hydraulic()) {
        result.add(NOISE_SOLID);
      }
      if (!lifter.roller() && lifter != Lifter.BUCKET) {
        result.add(NOISE_FLAT);
      }
    }
    if (readsLow) {
      result.add(LOAD_LOW);
    }
    return result;
  }

  public static Optional<Symptom> of(ValveDrift.Signal signal) {
    return switch (signal) {
      case STEADY -> Optional.empty();
      case OPENING -> Optional.of(OPENING);
      case CLOSING -> Optional.of(CLOSING);
      case STEP_OPEN -> Optional.of(STEP_OPEN);
      case STEP_TIGHT -> Optional.of(STEP_TIGHT);
    };
  }
}
