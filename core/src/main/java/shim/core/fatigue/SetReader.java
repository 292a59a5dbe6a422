package shim.core.fatigue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import shim.core.stats.Robust;
import shim.core.unit.Known;

/** Turns loads into the model's terms. */
final class SetReader {

  private final SetHistory history;
  private final Map<String, Integer> index = new HashMap<>();
  private double withinSquares;
  private int withinFree;

  SetReader(SetHistory history) {
    this.history = history;
    for (int i = 0; i < history.springs().size(); i++) {
      index.put(history.springs().get(i).id(), i);
    }
  }

  SetData read(SetPrior prior) {
    int tests = history.tests().size();
    double[] day = new double[tests];
    double[] variance = new double[tests];
    for (int t = 0; t < tests; t++) {
      Optional<TesterDay> known = history.tests().get(t).day();
      day[t] = known.map(TesterDay::gainLn).orElse(0.0);
      variance[t] = known.map(d -> d.sd() * d.sd()).orElse(Double.NaN);
    }
    List<Track> tracks = tracks(tests);
    return new SetData(tracks, day, variance, withinSquares, withinFree, prior);
  }

  private List<Track> tracks(int tests) {
    List<Track> tracks = history.springs().stream().map(m -> Track.unread(tests)).toList();
    double usual = usualLbf();
    for (int t = 0; t < tests; t++) {
      double common = commonMove(tracks, t, usual);
      for (SetHistory.Read r : history.tests().get(t).reads()) {
        take(tracks.get(Known.in(index, r.spring())), t, r, usual, common);
      }
    }
    return tracks;
  }

  private void take(Track track, int test, SetHistory.Read r, double usual, double common) {
    int before = track.seenBefore(test);
    double predicted = before < 0 ? Double.NaN : track.read()[before] + common;
    Settings settings = Settings.of(ln(r, usual), Spreads.USUAL.reading(), predicted);
    track.hours()[test] = r.hours();
    track.read()[test] = settings.mean();
    track.noise()[test] = settings.noise();
    track.repeats()[test] = r.loadsLbf().size();
    track.settings()[test] = settings.count();
    track.state()[test] = settings.state();
    withinSquares += settings.squares();
    withinFree += settings.free();
  }

  private List<List<Double>> ln(SetHistory.Read r, double usual) {
    double nominal = history.springs().get(Known.in(index, r.spring())).nominalLbf().orElse(usual);
    return r.settingsLbf().stream()
        .map(setting -> setting.stream().map(load -> Math.log(load / nominal)).toList())
        .toList();
  }

  /** What the set as a whole moved since each spring was last read, tester and all. */
  private double commonMove(List<Track> tracks, int test, double usual) {
    List<Double> moves = new ArrayList<>();
    for (SetHistory.Read r : history.tests().get(test).reads()) {
      Track track = tracks.get(Known.in(index, r.spring()));
      int before = track.seenBefore(test);
      if (before >= 0) {
        List<Double> all = ln(r, usual).stream().flatMap(List::stream).toList();
        moves.add(Robust.median(all).orElseThrow() - track.read()[before]);
      }
    }
    return Robust.median(moves).orElse(0);
  }

  /** Without a data sheet the box itself tells its usual load. */
  double usualLbf() {
    return Robust.median(
            history.tests().stream()
                .flatMap(t -> t.reads().stream())
                .map(SetHistory.Read::meanLbf)
                .toList())
        .orElse(1);
  }
}
