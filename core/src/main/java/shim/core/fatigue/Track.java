package shim.core.fatigue;

import java.util.Arrays;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * What one spring read over a set's tests, one entry a test; {@code NaN} where it was not read.
 *
 * @param hours the spring's own hours at each test
 * @param read ln of the load at reference height over the nominal load, mean of the repeats
 * @param noise variance of that mean in units of one reading's
 * @param repeats number of readings
 * @param state how far its settings confirm each other
 * @param settings number of settings that count
 * @param doubted its setting was wrong
 */
record Track(
    double[] hours,
    double[] read,
    double[] noise,
    int[] repeats,
    Settings.State[] state,
    int[] settings,
    boolean[] doubted) {
  boolean seen(int test) {
    return !Double.isNaN(read[test]);
  }

  int count() {
    return (int) Arrays.stream(read).filter(v -> !Double.isNaN(v)).count();
  }

  /** Hours at its last reading; zero when it was never read. */
  double lastHours() {
    for (int t = read.length - 1; t >= 0; t--) {
      if (seen(t)) {
        return hours[t];
      }
    }
    return 0;
  }

  int[] seenTests() {
    return IntStream.range(0, read.length).filter(this::seen).toArray();
  }

  /** The last test before this one in which it was read; −1 when there is none. */
  int seenBefore(int test) {
    for (int t = test - 1; t >= 0; t--) {
      if (seen(t)) {
        return t;
      }
    }
    return -1;
  }

  /** Other readings with the same hours and care. */
  Track reading(double[] others) {
    return new Track(hours, others, noise, repeats, state, settings, doubted);
  }

  /** Its setting of one test was wrong: it says nothing. */
  Track doubting(int test) {
    boolean[] wrong = doubted.clone();
    wrong[test] = true;
    return new Track(hours, read, noise, repeats, state, settings, wrong);
  }

  /** Nothing known yet of so many tests. */
  static Track unread(int tests) {
    double[] none = new double[tests];
    Arrays.fill(none, Double.NaN);
    return new Track(
        new double[tests],
        none,
        new double[tests],
        new int[tests],
        new Settings.State[tests],
        new int[tests],
        new boolean[tests]);
  }

  /** As though all repeats agreed. */
  Track plain() {
    double[] plain = IntStream.of(repeats).mapToDouble(n -> n == 0 ? 0 : 1.0 / n).toArray();
    return new Track(hours, read, plain, repeats, state, settings, doubted);
  }

  Track upTo(int tests) {
    return cut(0, tests);
  }

  Track from(int test) {
    return cut(test, read.length);
  }

  private Track cut(int from, int to) {
    return new Track(
        Arrays.copyOfRange(hours, from, to),
        Arrays.copyOfRange(read, from, to),
        Arrays.copyOfRange(noise, from, to),
        Arrays.copyOfRange(repeats, from, to),
        Arrays.copyOfRange(state, from, to),
        Arrays.copyOfRange(settings, from, to),
        Arrays.copyOfRange(doubted, from, to));
  }

  /** Same hours and care: such springs share their arithmetic. */
  boolean likeTo(Track other) {
    for (int t = 0; t < read.length; t++) {
      boolean both = seen(t) && other.seen(t);
      if (seen(t) != other.seen(t)
          || both
              && (hours[t] != other.hours[t]
                  || noise[t] != other.noise[t]
                  || settings[t] != other.settings[t]
                  || doubted[t] != other.doubted[t])) {
        return false;
      }
    }
    return true;
  }

  @Override
  public boolean equals(@Nullable Object o) {
    return this == o;
  }

  @Override
  public int hashCode() {
    return System.identityHashCode(this);
  }

  @Override
  public String toString() {
    return "Track" + Arrays.toString(read);
  }
}
