package shim.core.fatigue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import shim.core.stats.Robust;

/**
 * A set solved: for every spring, how likely each kind of path is, and its outlook under each. Two
 * sweeps over the springs; the spreads are fitted between them once there are tests enough.
 */
final class SetFit {
  private static final double SUDDEN = -3;
  private static final int MOST_STEPS = 6;
  private static final double NEGLIGIBLE = 1e-6;
  private static final int TESTS_FOR_SPREADS = 4;

  private SetData data;
  private Spreads spreads = Spreads.USUAL;
  private final PathKind[] kinds;
  private final double[][] weights;
  private final List<SetRun[]> runs = new ArrayList<>();
  private final Map<Integer, Mix> mixes = new HashMap<>();
  private SetRun run;

  SetFit(SetData data) {
    this.data = data;
    kinds = new PathKind[data.tracks().size()];
    Arrays.fill(kinds, PathKind.WITH_SET);
    weights = new double[kinds.length][];
    run = new SetRun(new Blocks(data, spreads), kinds);
    if (data.tests() >= TESTS_FOR_SPREADS) {
      sweep(PathKind.WITH_SET, PathKind.OWN_WAY);
      spreads = new SpreadFit(data, kinds).spreads();
    }
    findSteps();
    run = new SetRun(new Blocks(this.data, spreads), kinds);
    sweep(PathKind.values());
  }

  /** Weighs each spring's kinds of path; who more likely than not leaves its set keeps that. */
  private void sweep(PathKind... among) {
    runs.clear();
    for (int i = 0; i < kinds.length; i++) {
      SetRun[] with = new SetRun[PathKind.values().length];
      double[] log = new double[with.length];
      Arrays.fill(log, Double.NEGATIVE_INFINITY);
      for (PathKind k : among) {
        with[k.ordinal()] = k == kinds[i] || !read(i) ? run : run.with(i, k);
        log[k.ordinal()] = Math.log(k.prior()) + with[k.ordinal()].logEvidence();
      }
      weights[i] = shares(log);
      kinds[i] = likeliest(weights[i]);
      run = with[kinds[i].ordinal()];
      runs.add(with);
    }
  }

  private boolean read(int spring) {
    return data.tracks().get(spring).count() > 0;
  }

  private static PathKind likeliest(double[] weights) {
    if (weights[PathKind.WITH_SET.ordinal()] >= 0.5) {
      return PathKind.WITH_SET;
    }
    return Arrays.stream(PathKind.values())
        .filter(k -> k != PathKind.WITH_SET)
        .max(Comparator.comparingDouble(k -> weights[k.ordinal()]))
        .orElseThrow();
  }

  private static double[] shares(double[] log) {
    double most = Arrays.stream(log).max().orElseThrow();
    double[] w = Arrays.stream(log).map(l -> Math.exp(l - most)).toArray();
    double sum = Arrays.stream(w).sum();
    return Arrays.stream(w).map(v -> v / sum).toArray();
  }

  /** A reading far below all that was predicted, once its repeats agree, is a step. */
  private void findSteps() {
    int found = 0;
    for (int t = 1; t < data.tests() && found < MOST_STEPS; t++) {
      List<Integer> fallen = fallen(t);
      if (fallen.isEmpty()) {
        continue;
      }
      SetRun then = new SetRun(new Blocks(data.upTo(t + 1), spreads), kinds);
      for (int i : fallen) {
        if (then.surprise(i) < SUDDEN) {
          addStep(i, t);
          found++;
        }
      }
    }
  }

  /** Springs whose confirmed reading fell against their set by more than repeats scatter. */
  private List<Integer> fallen(int test) {
    List<Double> moves = new ArrayList<>();
    double[] move = new double[kinds.length];
    Arrays.fill(move, Double.NaN);
    for (int i = 0; i < move.length; i++) {
      Track track = data.tracks().get(i);
      int before = track.seenBefore(test);
      if (track.seen(test) && before >= 0) {
        move[i] = track.read()[test] - track.read()[before];
        moves.add(move[i]);
      }
    }
    double common = Robust.median(moves).orElse(0);
    List<Integer> fallen = new ArrayList<>();
    for (int i = 0; i < move.length; i++) {
      if (data.tracks().get(i).sure()[test] && move[i] - common < SUDDEN * spreads.reading()) {
        fallen.add(i);
      }
    }
    return fallen;
  }

  private void addStep(int spring, int test) {
    List<Track> tracks = new ArrayList<>(data.tracks());
    tracks.set(spring, tracks.get(spring).withStep(test));
    data = data.with(tracks);
  }

  Spreads spreads() {
    return spreads;
  }

  SetRun run() {
    return run;
  }

  /** Probability that a spring has left its set. */
  double ownWay(int spring) {
    return 1 - weights[spring][PathKind.WITH_SET.ordinal()];
  }

  /** Possibilities too unlikely to matter are left out. */
  Mix mix(int spring) {
    return mixes.computeIfAbsent(spring, this::mixed);
  }

  private Mix mixed(int spring) {
    double[] own = weights[spring];
    int[] likely = IntStream.range(0, own.length).filter(k -> own[k] > NEGLIGIBLE).toArray();
    double sum = Arrays.stream(likely).mapToDouble(k -> own[k]).sum();
    return new Mix(
        Arrays.stream(likely).mapToObj(k -> runs.get(spring)[k].outlook(spring)).toList(),
        Arrays.stream(likely).mapToDouble(k -> own[k] / sum).toArray());
  }
}
