package shim.core.fatigue;

import java.util.Arrays;
import java.util.List;

/**
 * A set's readings in the model's terms.
 *
 * @param tracks one a spring
 * @param dayMeans the tester's error of each test as the check spring saw it, ln
 * @param dayVariances its variance; NaN without check spring
 * @param withinSquares sum of squares of repeats about their means, all tests
 * @param withinFree degrees of freedom in it
 */
record SetData(
    List<Track> tracks,
    double[] dayMeans,
    double[] dayVariances,
    double withinSquares,
    int withinFree,
    SetPrior prior) {
  int tests() {
    return dayMeans.length;
  }

  /** Log density of the repeats about their means. */
  double repeatsDensity(double reading) {
    double v = reading * reading;
    return -0.5 * (withinFree * Math.log(v) + withinSquares / v);
  }

  SetData with(List<Track> others) {
    return new SetData(others, dayMeans, dayVariances, withinSquares, withinFree, prior);
  }

  /** As though all repeats agreed: what the spreads are fitted to. */
  SetData plain() {
    return with(tracks.stream().map(Track::plain).toList());
  }

  /** The last tests alone; the springs' hours stay what they are. */
  SetData last(int most) {
    int from = tests() - Math.min(tests(), most);
    return new SetData(
        tracks.stream().map(t -> t.from(from)).toList(),
        Arrays.copyOfRange(dayMeans, from, tests()),
        Arrays.copyOfRange(dayVariances, from, tests()),
        withinSquares,
        withinFree,
        prior);
  }

  /** The first tests alone. */
  SetData upTo(int tests) {
    return new SetData(
        tracks.stream().map(t -> t.upTo(tests)).toList(),
        Arrays.copyOf(dayMeans, tests),
        Arrays.copyOf(dayVariances, tests),
        withinSquares,
        withinFree,
        prior);
  }
}
