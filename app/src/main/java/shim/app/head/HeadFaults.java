package shim.app.head;

import java.util.Locale;
import shim.app.http.Refusal.FieldError;
import shim.core.head.Fixings;
import shim.core.walk.Within;

/** What is wrong with what was entered of heads, in words. */
final class HeadFaults {
  private HeadFaults() {}

  static FieldError of(Fixings.Found f) {
    String at = "head.fixings.";
    return switch (f.fault()) {
      case NONE_LISTED -> new FieldError(at + "perSide", "how many fixings hold one head: 1 to 40");
      case DOUBLED -> new FieldError(at + "sequence", f.number() + " stands twice");
      case LEFT_OUT -> new FieldError(at + "sequence", f.number() + " is left out");
      case UNKNOWN_NUMBER -> new FieldError(at + "sequence", "there is no fixing " + f.number());
      case STEPS_FALL ->
          new FieldError(at + "stepsLbfFt", "steps that grow, such as 30 50 65: one at least");
      case NO_FIGURE -> new FieldError(at + "chosen", "the figure that was chosen is not written");
      case NOT_THE_FIGURE ->
          new FieldError(at + "stepsLbfFt", "the last step is the figure that was chosen");
      case NO_REASON ->
          new FieldError(at + "reason", "the two figures differ: say why this one was chosen");
      case STEPS_WITH_CRUSHED_GASKET ->
          new FieldError(
              at + "stepsLbfFt", "with the gasket crushed each goes straight to its figure");
    };
  }

  /** What a figure can be at all. */
  static String between(Within w) {
    return String.format(
        Locale.ROOT,
        w.unit() == Within.Unit.CC
            ? "this lies between %.0f cc and %.0f cc"
            : "this lies between {%.3f in} and {%.3f in}",
        w.possibleLow(),
        w.possibleHigh());
  }
}
