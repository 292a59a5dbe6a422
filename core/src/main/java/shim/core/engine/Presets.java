package shim.core.engine;

import java.util.List;
import org.jspecify.annotations.Nullable;
import shim.core.engine.EngineSheet.BankSheet;
import shim.core.engine.EngineSheet.LayoutSheet;

/**
 * Starting layouts. Numberings, firing orders and valve orders are common practice with no source;
 * each is meant to be changed to the engine at hand.
 */
public final class Presets {
  private Presets() {}

  /** A starting layout with the words to choose it by. */
  public record Preset(String id, String title, String hint, LayoutSheet layout) {}

  public static List<Preset> all() {
    return List.of(
        preset(
            "inline-4",
            "Inline four",
            "1-3-4-2",
            Layout.Arrangement.INLINE,
            "1-3-4-2",
            null,
            bank("head", "1 2 3 4", "EIIEEIIE")),
        preset(
            "inline-6",
            "Inline six",
            "1-5-3-6-2-4",
            Layout.Arrangement.INLINE,
            "1-5-3-6-2-4",
            null,
            bank("head", "1 2 3 4 5 6", "EIIEEIIEEIIE")),
        preset(
            "flat-4",
            "Flat four",
            "1-3-2-4",
            Layout.Arrangement.FLAT,
            "1-3-2-4",
            null,
            bank("left", "2 4", "EIIE"),
            bank("right", "1 3", "EIIE")),
        preset(
            "v6",
            "V6",
            "1-2-3-4-5-6, odd left",
            Layout.Arrangement.V,
            "1-2-3-4-5-6",
            null,
            bank("left", "1 3 5", "EIIEEI"),
            bank("right", "2 4 6", "IEEIIE")),
        preset(
            "v8-odd-even",
            "V8, odd and even banks",
            "1-8-4-3-6-5-7-2, odd left",
            Layout.Arrangement.V,
            "1-8-4-3-6-5-7-2",
            null,
            bank("left", "1 3 5 7", "EIIEEIIE"),
            bank("right", "2 4 6 8", "EIIEEIIE")),
        preset(
            "v8-bank",
            "V8, bank by bank",
            "1-5-4-2-6-3-7-8, 1 to 4 right",
            Layout.Arrangement.V,
            "1-5-4-2-6-3-7-8",
            null,
            bank("left", "5 6 7 8", "EIEIEIEI"),
            bank("right", "1 2 3 4", "IEIEIEIE")),
        preset(
            "blank",
            "Blank",
            "your own",
            Layout.Arrangement.INLINE,
            "1",
            null,
            bank("head", "1", "EI")));
  }

  private static Preset preset(
      String id,
      String title,
      String hint,
      Layout.Arrangement arrangement,
      String order,
      @Nullable String intervals,
      BankSheet... banks) {
    return new Preset(
        id,
        title,
        hint,
        new LayoutSheet(arrangement, List.of(banks), order, intervals, Layout.Rotation.CLOCKWISE));
  }

  private static BankSheet bank(String name, String cylinders, String valves) {
    return new BankSheet(name, cylinders, String.join(" ", valves.split("")));
  }
}
