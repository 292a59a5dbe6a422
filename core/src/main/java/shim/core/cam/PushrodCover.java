package shim.core.cam;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import shim.core.engine.Position;
import shim.core.unit.Figures;

/**
 * Which few pushrod lengths put most valves inside tolerance, and which valves want one of their
 * own. Exact: with lengths and valves in order, a valve is served by one of the two chosen lengths
 * beside its aim, so the best choice of k lengths is a path through them (dynamic programming, k ×
 * n² steps over the valves). Of choices that serve as many, the one whose lengths lie nearest to
 * their aims.
 */
public final class PushrodCover {
  /**
   * What one valve wants.
   *
   * @param aimIn best length, inch
   * @param tolIn it may be so much longer or shorter, inch
   */
  public record Wanted(Position position, double aimIn, double tolIn) {
    public Wanted {
      if (!(aimIn > 1 && aimIn < 20 && tolIn >= 0 && tolIn < 1)) {
        throw new IllegalArgumentException(
            "a pushrod of {" + aimIn + " in} give or take {" + tolIn + " in} cannot be");
      }
    }

    boolean takes(double lengthIn) {
      return Figures.atMost(Math.abs(lengthIn - aimIn), tolIn);
    }
  }

  /**
   * The best there is with so many lengths.
   *
   * @param lengthsIn chosen, ascending
   * @param at length at each valve it serves
   * @param oneOffs valves none of them serves, with the length each wants
   */
  public record Choice(
      List<Double> lengthsIn, Map<Position, Double> at, Map<Position, Double> oneOffs) {}

  private static final int MOST_SIZES = 400;

  private final List<Wanted> valves;
  private final List<Double> sizes;

  /**
   * @param sizesIn lengths that can be had, inch
   */
  public PushrodCover(List<Wanted> valves, List<Double> sizesIn) {
    this.valves = valves.stream().sorted(Comparator.comparingDouble(Wanted::aimIn)).toList();
    this.sizes = sizesIn.stream().distinct().sorted().toList();
    if (sizes.size() > MOST_SIZES) {
      throw new IllegalArgumentException("more than " + MOST_SIZES + " lengths to choose from");
    }
    for (double s : sizes) {
      if (!(s > 1 && s < 20)) {
        throw new IllegalArgumentException("a pushrod of {" + s + " in} cannot be");
      }
    }
  }

  /** Served valves first, then how near: compared as one figure. */
  private record Score(int served, double offIn) implements Comparable<Score> {
    static final Score NONE = new Score(0, 0);

    Score plus(Score other) {
      return new Score(served + other.served, offIn + other.offIn);
    }

    @Override
    public int compareTo(Score other) {
      return served != other.served
          ? Integer.compare(served, other.served)
          : Figures.same(offIn, other.offIn) ? 0 : Double.compare(other.offIn, offIn);
    }
  }

  /** Best of the first lengths that end with one, and the one before it. */
  private record Path(Score score, int last, Optional<Path> before) {}

  /** The best choice for each number of lengths, one first, until more serve no more valves. */
  public List<Choice> byCount() {
    List<Choice> all = new ArrayList<>();
    List<Path> ending = new ArrayList<>();
    for (int j = 0; j < sizes.size(); j++) {
      ending.add(new Path(between(-1, j), j, Optional.empty()));
    }
    int served = -1;
    for (int k = 1; k <= sizes.size(); k++) {
      Path best = null;
      for (Path p : ending) {
        Path whole =
            new Path(p.score().plus(between(p.last(), sizes.size())), p.last(), p.before());
        best = best == null || whole.score().compareTo(best.score()) > 0 ? whole : best;
      }
      if (best == null || best.score().served() <= served) {
        break;
      }
      served = best.score().served();
      all.add(choice(lengths(best)));
      ending = longer(ending);
    }
    return all;
  }

  private List<Path> longer(List<Path> ending) {
    List<Path> next = new ArrayList<>();
    for (int j = 0; j < sizes.size(); j++) {
      Path best = null;
      for (Path p : ending) {
        if (p.last() < j) {
          Path on = new Path(p.score().plus(between(p.last(), j)), j, Optional.of(p));
          best = best == null || on.score().compareTo(best.score()) > 0 ? on : best;
        }
      }
      if (best != null) {
        next.add(best);
      }
    }
    return next;
  }

  /** What two neighbouring chosen lengths serve of the valves whose aim lies between them. */
  private Score between(int low, int high) {
    double from = low < 0 ? Double.NEGATIVE_INFINITY : sizes.get(low);
    double to = high >= sizes.size() ? Double.POSITIVE_INFINITY : sizes.get(high);
    Score sum = Score.NONE;
    for (Wanted v : valves) {
      if (v.aimIn() > from && v.aimIn() <= to) {
        double off = Math.min(v.aimIn() - from, to - v.aimIn());
        sum = Figures.atMost(off, v.tolIn()) ? sum.plus(new Score(1, off)) : sum;
      }
    }
    return sum;
  }

  private List<Double> lengths(Path path) {
    List<Double> chosen = new ArrayList<>();
    for (Optional<Path> p = Optional.of(path); p.isPresent(); p = p.get().before()) {
      chosen.add(sizes.get(p.get().last()));
    }
    Collections.reverse(chosen);
    return chosen;
  }

  private Choice choice(List<Double> lengths) {
    Map<Position, Double> at = new TreeMap<>();
    Map<Position, Double> oneOffs = new TreeMap<>();
    for (Wanted v : valves) {
      lengths.stream()
          .filter(v::takes)
          .min(Comparator.comparingDouble(l -> Math.abs(l - v.aimIn())))
          .ifPresentOrElse(
              l -> at.put(v.position(), l), () -> oneOffs.put(v.position(), v.aimIn()));
    }
    return new Choice(lengths, at, oneOffs);
  }
}
