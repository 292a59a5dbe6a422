package shim.app.spring;

import java.util.Locale;
import shim.app.http.Refusal;
import shim.core.spring.LoadQuestion;

/** Refuses millimetres or a slipped point in a height's box. */
public final class HeightSlip {
  private HeightSlip() {}

  public static void refuse(double heightIn, double referenceIn) {
    LoadQuestion.height(heightIn, referenceIn)
        .filter(q -> q.meant().isPresent())
        .ifPresent(
            q -> {
              throw Refusal.invalid("heightIn", words(q));
            });
  }

  private static String words(LoadQuestion q) {
    String words =
        q.code() == LoadQuestion.Code.MILLIMETRE
            ? "{%.2f in} is far over the {%.3f in} expected; {%.3f in} if it was mm: was it mm?"
            : "{%.3f in} is ten times the {%.3f in} expected: {%.3f in}?";
    return String.format(Locale.ROOT, words, q.read(), q.expected(), q.meant().orElseThrow());
  }
}
