package shim.core.walk;

import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;

/**
 * Something else that may be done now, beside the next step.
 *
 * @param word what goes with the act besides what is entered
 * @param asks what must be entered with it; blank for nothing
 * @param step the step it stands for; null where it is none
 * @param fromDeg crank degrees to which what is entered is added; null where it is not
 */
public record Otherwise(
    Act act,
    @Nullable Integer cylinder,
    @Nullable Position valve,
    @Nullable String word,
    String words,
    String asks,
    @Nullable String step,
    @Nullable Double fromDeg) {

  public static Otherwise whole(Act act, @Nullable String word, String words, String asks) {
    return new Otherwise(act, null, null, word, words, asks, null, null);
  }

  /** More of a thing is laid out than the plan asked for. */
  public static Otherwise more(Thing thing) {
    String words = "More " + thing.many() + " from stock";
    return whole(WalkAct.LAY_OUT, thing.name(), words, "pieces");
  }

  public static Otherwise at(int cylinder, Act act, String words, String asks) {
    return new Otherwise(act, cylinder, null, null, words, asks, null, null);
  }

  public static Otherwise at(Position valve, Act act, String words, String asks) {
    return new Otherwise(act, null, valve, null, words, asks, null, null);
  }
}
