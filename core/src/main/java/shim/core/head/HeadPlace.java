package shim.core.head;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Layout;
import shim.core.engine.Position;

/** Where on a head: one valve, one cylinder's chamber, or one bank's head, from 0. */
public record HeadPlace(
    @Nullable Position valve, @Nullable Integer cylinder, @Nullable Integer bank) {
  public static HeadPlace of(Position valve) {
    return new HeadPlace(valve, null, null);
  }

  /** All places of a measure, in the order one goes round. */
  static List<HeadPlace> all(Layout layout, HeadMeasure.At at) {
    List<HeadPlace> all = new ArrayList<>();
    switch (at) {
      case VALVE -> layout.positions().forEach(p -> all.add(of(p)));
      case CYLINDER ->
          layout
              .banks()
              .forEach(b -> b.cylinders().forEach(c -> all.add(new HeadPlace(null, c, null))));
      case BANK -> {
        for (int i = 0; i < layout.banks().size(); i++) {
          all.add(new HeadPlace(null, null, i));
        }
      }
    }
    return all;
  }
}
