package shim.app.demo;

import java.io.IOException;
import java.util.Random;
import java.util.function.ToDoubleBiFunction;

/**
 * A lever tester with its weaknesses: it reads a little low today, friction stops it a little
 * short, and no two readings agree. It holds the demo's hidden springs; {@code AT} tells it which
 * one is under it.
 */
final class SimulatedTester {
  private static final double TODAY_LN = -0.017;
  private static final double NOISE = 0.005;
  private static final double FRICTION = 0.003;
  private static final double FLUTTER = 0.0004;

  private SimulatedTester() {}

  /**
   * @param truth true load at a place and a height, lbf; NaN for an unknown place
   */
  static SimulatedInstrument holding(ToDoubleBiFunction<String, Double> truth) throws IOException {
    Random random = new Random(5);
    return new SimulatedInstrument(
        new SimulatedInstrument.Nature(
            "TESTER lever tester, simulated",
            "LOAD %.2f lbf",
            FLUTTER,
            (place, height) ->
                truth.applyAsDouble(place, height)
                    * Math.exp(
                        TODAY_LN
                            - FRICTION * random.nextDouble()
                            + NOISE * random.nextGaussian())));
  }
}
