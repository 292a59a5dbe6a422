package shim.core.drift;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.hipparchus.stat.regression.SimpleRegression;
import org.junit.jupiter.api.Test;
import shim.core.drift.LashDrift.RoundShift;
import shim.core.engine.HeatState;

/**
 * The filter and its evidence against the same model written out whole as one normal distribution
 * and solved by Hipparchus; the trend against Hipparchus' straight line; the sums against Page's
 * recursion.
 */
class DriftAgainstReferenceTest {
  private static final DriftRules R = DriftRules.USUAL;
  private static final double GROWTH_VARIANCE = 0.25;
  private static final double UNKNOWN = 1e6;
  private static final double WIDTH = 1 / 12.0;

  /** One reading of the story: hours, cold or not, read or set. */
  private record Told(double hours, int cold, boolean set, double thou) {}

  private static List<Told> story(Random random) {
    List<Told> told = new ArrayList<>();
    double hours = 0;
    for (int n = 0; n < 7; n++) {
      int cold = random.nextInt(2);
      told.add(new Told(hours, cold, false, 16 + random.nextGaussian() * 2));
      if (random.nextInt(3) == 0) {
        told.add(new Told(hours, cold, true, 16 + random.nextGaussian()));
      }
      hours += 0.5 + random.nextDouble();
    }
    return told;
  }

  private static Track track(List<Told> story) {
    Track track = new Track(R, 1, GROWTH_VARIANCE);
    for (int n = 0; n < story.size(); n++) {
      Told t = story.get(n);
      track.runTo(t.hours());
      Track.Seen seen = new Track.Seen(t.thou(), WIDTH, t.cold());
      if (t.set()) {
        track.set(n, seen, 0);
      } else {
        track.read(n, seen, 0, 0);
      }
    }
    return track;
  }

  /**
   * The model as one: every lash after a setting is a number nobody knows, each interval adds its
   * wander to all readings until the next setting, growth joins the cold ones.
   */
  private static RealMatrix covariance(List<Told> story) {
    int n = story.size();
    RealMatrix c = MatrixUtils.createRealMatrix(n, n);
    for (int i = 0; i < n; i++) {
      for (int j = 0; j <= i; j++) {
        int from = since(story, i);
        double v = GROWTH_VARIANCE * story.get(i).cold() * story.get(j).cold();
        if (from == since(story, j)) {
          double hours = story.get(j).hours() - story.get(from).hours();
          v += UNKNOWN + R.wanderThou() * R.wanderThou() * hours;
          v += story.get(from).set() && hours > 0 ? R.settleThou() * R.settleThou() : 0;
        }
        v += i == j ? R.feelThou() * R.feelThou() + WIDTH : 0;
        c.setEntry(i, j, v);
        c.setEntry(j, i, v);
      }
    }
    return c;
  }

  private static int since(List<Told> story, int i) {
    int from = i;
    while (from > 0 && !story.get(from).set()) {
      from--;
    }
    return from;
  }

  /** What a drift of one thou an hour from an hour on adds to each reading. */
  private static double[] moved(List<Told> story, double fromHours) {
    double[] result = new double[story.size()];
    for (int i = 0; i < result.length; i++) {
      double start = Math.max(fromHours, story.get(since(story, i)).hours());
      result[i] = Math.max(0, story.get(i).hours() - start);
    }
    return result;
  }

  @Test
  void evidenceIsThatOfTheWholeDistribution() {
    for (long seed = 1; seed <= 40; seed++) {
      List<Told> story = story(new Random(seed));
      List<Track.Step> steps = track(story).steps();
      double last = story.get(story.size() - 1).hours();
      for (double share : new double[] {0, 0.3, 0.7}) {
        double from = share * last;
        double tiny = 1e-6;
        Evidence e =
            Evidence.of(steps, Evidence.drift(steps, from), Evidence.drift(steps, 0), tiny);
        RealVector y =
            MatrixUtils.createRealVector(story.stream().mapToDouble(Told::thou).toArray());
        RealVector s = MatrixUtils.createRealVector(moved(story, from));
        RealVector ones = y.mapMultiply(0).mapAdd(16);
        RealMatrix inverse =
            new CholeskyDecomposition(covariance(story), 1e-9, 1e-9).getSolver().getInverse();
        assertThat(e.b())
            .as("seed %d from %.2f", seed, from)
            .isCloseTo(
                s.dotProduct(inverse.operate(y.subtract(ones))),
                within(0.002 * (1 + Math.abs(e.b()))));
        assertThat(e.g()).isCloseTo(s.dotProduct(inverse.operate(s)), within(0.002 * (1 + e.g())));
      }
    }
  }

  @Test
  void anOwnHealthyRateIsTakenOutAsIfItWereInTheDistribution() {
    List<Told> story = story(new Random(77));
    List<Track.Step> steps = track(story).steps();
    double spread = 0.4;
    Evidence e = Evidence.of(steps, Evidence.drift(steps, 3), Evidence.drift(steps, 0), spread);
    RealVector own = MatrixUtils.createRealVector(moved(story, 0));
    RealMatrix c = covariance(story).add(own.outerProduct(own).scalarMultiply(spread * spread));
    RealVector s = MatrixUtils.createRealVector(moved(story, 3));
    RealMatrix inverse = new CholeskyDecomposition(c, 1e-9, 1e-9).getSolver().getInverse();
    assertThat(e.g()).isCloseTo(s.dotProduct(inverse.operate(s)), within(0.002 * (1 + e.g())));
  }

  /** With normal scatter the odds are those of the normal distribution, own rate taken out. */
  @Test
  void withNormalScatterTheOddsAreTheEvidencesOwn() {
    DriftRules normal = new DriftRules(0.5, 1e9, 0.4, 0.15, 0.08, 0.5, 0.5, 5.5, 6.9);
    for (long seed = 1; seed <= 20; seed++) {
      List<Track.Step> steps = track(story(new Random(seed))).steps();
      double[] own = Evidence.drift(steps, Double.NEGATIVE_INFINITY);
      int at = steps.size() - 1;
      while (!steps.get(at).speaks()) {
        at--;
      }
      List<Odds.Candidate> candidates =
          List.of(
              new Odds.Candidate(true, 2, 3, Evidence.drift(steps, 2.5)),
              new Odds.Candidate(true, 4, 4.5, Evidence.drift(steps, 4.2)),
              new Odds.Candidate(false, 5, 6, Evidence.step(steps, at)));
      Odds odds = new Odds(steps, candidates, normal);
      double opening = 0;
      for (int c = 0; c < 2; c++) {
        Odds.Candidate drift = candidates.get(c);
        Evidence e = Evidence.of(steps, drift.signature(), own, 0.08);
        double one = 0;
        for (double rate : new double[] {0.5, 1, 2}) {
          one += 0.0014 * drift.hours() / 3 * Math.exp(e.of(rate));
        }
        assertThat(odds.of(ValveDrift.Signal.OPENING)[c]).isCloseTo(one, withinPercentage(0.01));
        opening += one;
      }
      Evidence step = Evidence.of(steps, candidates.get(2).signature(), own, 0.08);
      double tight = 0;
      for (double thou : new double[] {3, 4.5, 6, 10}) {
        tight += 0.0014 / 4 * Math.exp(step.of(-thou));
      }
      int last = steps.size() - 1;
      assertThat(odds.after(ValveDrift.Signal.OPENING, last))
          .isCloseTo(opening, withinPercentage(0.01));
      assertThat(odds.after(ValveDrift.Signal.STEP_TIGHT, last))
          .isCloseTo(tight, withinPercentage(0.01));
      assertThat(odds.all(last)).isGreaterThan(0.999 * (opening + tight));
      // Before the first begin nothing can have changed yet.
      assertThat(odds.all(0)).isZero();
    }
  }

  private static RoundShift shift(int n, double thou) {
    return new RoundShift(
        "r" + n, n, n, HeatState.HOT, "KV", thou, 0, 0, 0, 0, List.of(0.1, 0.1, 0.1), 16);
  }

  /** Rounds well inside the scatter all weigh alike, and the fit is the ordinary line. */
  @Test
  void aTrendFromManyRoundsIsTheStraightLine() {
    SimpleRegression line = new SimpleRegression();
    Random random = new Random(12);
    List<RoundShift> rounds = new ArrayList<>();
    for (int n = 0; n < 60; n++) {
      double thou = 0.25 * n + 0.1 * random.nextGaussian();
      line.addData(n, thou);
      rounds.add(shift(n, thou));
    }
    CommonStory.Trend all = CommonStory.of(rounds, 1).trends().get(0);
    assertThat(all.thouPerHour().mid()).isCloseTo(line.getSlope(), within(2e-4));
    assertThat(all.clear()).isTrue();
  }

  @Test
  void oneLastRoundReadOffIsNoTrend() {
    Random random = new Random(12);
    SimpleRegression line = new SimpleRegression();
    List<RoundShift> rounds = new ArrayList<>();
    for (int n = 0; n < 8; n++) {
      double thou = (n == 7 ? 6 : 0) + 0.3 * random.nextGaussian();
      line.addData(n, thou);
      rounds.add(shift(n, thou));
    }
    CommonStory story = CommonStory.of(rounds, 1);
    CommonStory.Trend all = story.trends().get(0);
    assertThat(line.getSlope()).as("the straight line is taken in").isGreaterThan(0.4);
    assertThat(Math.abs(all.thouPerHour().mid())).isLessThan(0.1);
    assertThat(all.clear()).isFalse();
    assertThat(story.offRounds()).extracting(CommonStory.OffRound::round).containsExactly("r7");
  }
}
