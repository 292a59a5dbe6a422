package shim.core.lifter;

import shim.core.drift.ValveDrift;

/** What brought a valve up, before anybody looked. */
public enum Symptom {
  OPENING("its lash opens round after round"),
  CLOSING("its lash closes round after round"),
  STEP_OPEN("its lash went wide once, then stayed"),
  STEP_TIGHT("its lash went tight once, then stayed"),
  AFTER_OVER_REV("there was an over-rev since the last round"),
  NOISE("it ticks when hot"),
  LOAD_LOW("its spring reads lower than its set"),
  ALL_MOVED("all valves moved together");

  private final String words;

  Symptom(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  public static java.util.Optional<Symptom> of(ValveDrift.Signal signal) {
    return switch (signal) {
      case STEADY -> java.util.Optional.empty();
      case OPENING -> java.util.Optional.of(OPENING);
      case CLOSING -> java.util.Optional.of(CLOSING);
      case STEP_OPEN -> java.util.Optional.of(STEP_OPEN);
      case STEP_TIGHT -> java.util.Optional.of(STEP_TIGHT);
    };
  }
}
