package shim.app.engine;

import java.util.List;
import shim.core.engine.Layout;

/**
 * A layout as the valve plan draws it.
 *
 * @param sharedTdc cylinders that reach TDC together
 * @param compressionTdc crank degrees of each cylinder's compression TDC, in firing order
 */
public record LayoutView(
    Layout.Arrangement arrangement,
    Layout.Rotation rotation,
    List<Layout.Bank> banks,
    List<Integer> firingOrder,
    List<Double> intervalsDeg,
    boolean evenFire,
    List<List<Integer>> sharedTdc,
    List<CylinderTdc> compressionTdc) {

  /** One cylinder's compression TDC, crank degrees after that of the first in firing order. */
  public record CylinderTdc(int cylinder, double crankDeg) {}

  public static LayoutView of(Layout layout) {
    return new LayoutView(
        layout.arrangement(),
        layout.rotation(),
        layout.banks(),
        layout.firingOrder(),
        layout.intervalsDeg(),
        layout.evenFire(),
        layout.sharedTdc(),
        layout.compressionTdcDeg().entrySet().stream()
            .map(e -> new CylinderTdc(e.getKey(), e.getValue()))
            .toList());
  }
}
