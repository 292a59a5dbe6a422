package shim.core.lobe;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;

/** Lobes in closed form, so that their figures are known exactly. */
public final class Lobes {
  private Lobes() {}

  /** L cos²(πa/2A) within A of the centre. */
  public static DoubleUnaryOperator cosine(double liftIn, double halfDeg) {
    return a ->
        Math.abs(a) < halfDeg ? liftIn * Math.pow(Math.cos(Math.PI * a / (2 * halfDeg)), 2) : 0;
  }

  /** L (1 − (a/A)²)³, smooth to its second derivative at its ends. */
  public static DoubleUnaryOperator polynomial(double liftIn, double halfDeg) {
    return a -> Math.abs(a) < halfDeg ? liftIn * Math.pow(1 - a * a / (halfDeg * halfDeg), 3) : 0;
  }

  /** Read every so many degrees, rounded to a step; 0 is not rounded. */
  public static List<LiftTable.Point> read(
      DoubleUnaryOperator lobe, double fromDeg, double toDeg, double everyDeg, double roundIn) {
    List<LiftTable.Point> points = new ArrayList<>();
    int n = (int) Math.round((toDeg - fromDeg) / everyDeg);
    for (int i = 0; i <= n; i++) {
      double a = fromDeg + i * everyDeg;
      double lift = lobe.applyAsDouble(a);
      points.add(new LiftTable.Point(a, roundIn == 0 ? lift : Math.rint(lift / roundIn) * roundIn));
    }
    return points;
  }

  public static LobeCurve curve(DoubleUnaryOperator lobe, double halfDeg, double everyDeg) {
    return new LobeCurve(
        read(lobe, -halfDeg, halfDeg, everyDeg, 0).stream()
            .map(p -> new LobeCurve.Row(p.crankDeg(), p.dialIn()))
            .toList());
  }
}
