package shim.core.crank;

import java.util.List;
import java.util.Optional;
import shim.core.engine.CamCard;
import shim.core.engine.Engine;
import shim.core.engine.Layout;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;

/**
 * Every valve's window on one 720 circle. Zero is compression TDC of the first cylinder in the
 * firing order; the crank only turns towards larger angles.
 *
 * @param layout the engine's layout
 * @param windows one for each valve, bank by bank, front to rear
 */
public record CrankModel(Layout layout, List<ValveWindow> windows) {
  public CrankModel {
    windows = List.copyOf(windows);
  }

  /** The model of an engine whose cam is known. */
  public static Optional<CrankModel> of(Engine engine) {
    return engine.cam().map(cam -> of(engine.layout(), cam, engine.rules().rampMarginDeg()));
  }

  /**
   * @param marginDeg the team's own margin a side, crank degrees; empty for the usual one
   */
  public static CrankModel of(Layout layout, CamCard cam, Optional<Double> marginDeg) {
    OffBase intake = OffBase.of(cam.intake());
    OffBase exhaust = OffBase.of(cam.exhaust());
    return new CrankModel(
        layout,
        layout.positions().stream()
            .map(
                p ->
                    window(
                        layout,
                        p,
                        cam.lobe(p.kind()),
                        p.kind() == ValveKind.INTAKE ? intake : exhaust,
                        marginDeg))
            .toList());
  }

  private static ValveWindow window(
      Layout layout, Position p, CamCard.Lobe lobe, OffBase off, Optional<Double> marginDeg) {
    double centre = layout.compressionTdcDeg(p.cylinder()) + lobe.centrePhaseDeg();
    return new ValveWindow(
        p,
        centre + (off.opensDeg() + off.closesDeg()) / 2,
        (off.closesDeg() - off.opensDeg()) / 2,
        RampMargin.ofDeg(lobe, marginDeg));
  }

  public ValveWindow window(Position position) {
    return windows.stream()
        .filter(w -> w.position().equals(position))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException("no valve " + position + " here"));
  }

  /** Windows of one kind of valve of one cylinder. */
  List<ValveWindow> windows(int cylinder, ValveKind kind) {
    return windows.stream()
        .filter(w -> w.position().cylinder() == cylinder && w.position().kind() == kind)
        .toList();
  }
}
