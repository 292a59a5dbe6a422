package shim.core.running;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a logger's rows add up to, taken one by one in bounded memory. Between two samples speed
 * runs straight; a gap longer than {@link #GAP_SECONDS} counts as engine off; a single sample far
 * from both its near neighbours is a spike and is left out: where samples are seldom, an engine may
 * well have been there. The engine runs above {@link #RUNNING_RPM}.
 */
public final class LoggerTally {
  /** Longer pauses between rows are no running. */
  public static final double GAP_SECONDS = 2;

  /** Slower than this is cranking, not running. */
  public static final double RUNNING_RPM = 300;

  private static final double SPIKE_RPM = 3000;

  /** No engine goes up and down by a spike's height in twice this, seconds. Ours. */
  private static final double SPIKE_SECONDS = 0.25;

  private static final double BAND_RPM = 500;
  private static final double MOST_RPM = 20_000;

  private final double overRevRpm;

  /** Time wholly above a band's foot and below the next one's, by band. */
  private final double[] wholly = new double[(int) (MOST_RPM / BAND_RPM) + 1];

  /** Time above a band's foot of stretches that crossed it. */
  private final double[] crossing = new double[wholly.length];

  private double seconds;
  private double cycles;
  private double topRpm;
  private double secondsOver;
  private int overRevs;
  private boolean over;
  private int gaps;
  private int spikes;
  private long rows;
  private double hottest = Double.NEGATIVE_INFINITY;
  private double heatSeconds;
  private double heat;
  private boolean started;
  private double lastTime;
  private double lastRpm;
  private double lastHeat = Double.NaN;
  private boolean waiting;
  private double waitTime;
  private double waitRpm;
  private double waitHeat;

  /**
   * @param overRevRpm above it the engine is over-revved
   */
  public LoggerTally(double overRevRpm) {
    if (!(overRevRpm > 0 && overRevRpm <= MOST_RPM)) {
      throw new IllegalArgumentException("an over-rev limit of " + overRevRpm + " rpm cannot be");
    }
    this.overRevRpm = overRevRpm;
  }

  /** Time at or above an engine speed, seconds. */
  public record Band(double fromRpm, double seconds) {}

  /**
   * What the rows add up to.
   *
   * @param cycles four-stroke cycles, ∫ rpm/2 dt
   * @param bands time above each speed
   */
  public record Sum(
      long rows,
      double hours,
      double cycles,
      double topRpm,
      int overRevs,
      double secondsOver,
      List<Band> bands,
      Optional<Double> hottest,
      Optional<Double> meanHeat,
      int gaps,
      int spikes) {}

  /**
   * One row, in order of time.
   *
   * @param seconds time
   * @param heat temperature in its own unit; NaN when none
   */
  public void row(double seconds, double rpm, double heat) {
    if (!Double.isFinite(seconds) || !(rpm >= 0 && rpm <= MOST_RPM)) {
      throw new IllegalArgumentException(
          "time " + seconds + " s with " + rpm + " rpm cannot be; 0 to 20000 rpm is possible");
    }
    if (started && seconds < (waiting ? waitTime : lastTime)) {
      throw new IllegalArgumentException("time runs backwards to " + seconds + " s");
    }
    rows++;
    if (!started) {
      started = true;
      lastTime = seconds;
      lastRpm = rpm;
      lastHeat = heat;
      topRpm = rpm;
      over = rpm > overRevRpm;
      overRevs = over ? 1 : 0;
      return;
    }
    if (waiting) {
      settle(seconds, rpm);
    }
    waiting = true;
    waitTime = seconds;
    waitRpm = rpm;
    waitHeat = heat;
  }

  /** The waiting sample is taken unless it stands far from both neighbours on the same side. */
  private void settle(double nextTime, double nextRpm) {
    boolean near = waitTime - lastTime <= SPIKE_SECONDS && nextTime - waitTime <= SPIKE_SECONDS;
    boolean up = waitRpm - lastRpm > SPIKE_RPM && waitRpm - nextRpm > SPIKE_RPM;
    boolean down = lastRpm - waitRpm > SPIKE_RPM && nextRpm - waitRpm > SPIKE_RPM;
    if (near && (up || down)) {
      spikes++;
      return;
    }
    take();
  }

  private void take() {
    double dt = waitTime - lastTime;
    if (dt > GAP_SECONDS) {
      gaps++;
    } else {
      add(dt, lastRpm, waitRpm);
    }
    topRpm = Math.max(topRpm, Math.max(lastRpm, waitRpm));
    boolean above = waitRpm > overRevRpm;
    if (above && !over) {
      overRevs++;
    }
    over = above;
    lastTime = waitTime;
    lastRpm = waitRpm;
    lastHeat = waitHeat;
  }

  private void add(double dt, double fromRpm, double toRpm) {
    double mean = (fromRpm + toRpm) / 2;
    if (mean < RUNNING_RPM) {
      return;
    }
    seconds += dt;
    cycles += mean / 2 / 60 * dt;
    double low = Math.min(fromRpm, toRpm);
    double high = Math.max(fromRpm, toRpm);
    int whole = (int) (low / BAND_RPM);
    wholly[whole] += dt;
    for (int band = whole + 1; band * BAND_RPM < high; band++) {
      crossing[band] += dt * (high - band * BAND_RPM) / (high - low);
    }
    if (low > overRevRpm) {
      secondsOver += dt;
    } else if (high > overRevRpm) {
      secondsOver += dt * (high - overRevRpm) / (high - low);
    }
    if (!Double.isNaN(lastHeat)) {
      hottest = Math.max(hottest, lastHeat);
      heat += lastHeat * dt;
      heatSeconds += dt;
    }
  }

  public long rows() {
    return rows;
  }

  /** What was tallied so far; call once, at the end. */
  public Sum sum() {
    if (waiting) {
      take();
      waiting = false;
    }
    List<Band> bands = new ArrayList<>();
    double above = 0;
    for (int b = wholly.length - 1; b >= 0; b--) {
      above += wholly[b];
      if (above + crossing[b] > 0) {
        bands.add(0, new Band(b * BAND_RPM, above + crossing[b]));
      }
    }
    boolean warm = heatSeconds > 0;
    return new Sum(
        rows,
        seconds / 3600,
        cycles,
        topRpm,
        overRevs,
        secondsOver,
        List.copyOf(bands),
        warm ? Optional.of(hottest) : Optional.empty(),
        warm ? Optional.of(heat / heatSeconds) : Optional.empty(),
        gaps,
        spikes);
  }
}
