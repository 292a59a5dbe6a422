package shim.core.spring;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jgrapht.alg.matching.KuhnMunkresMinimalWeightBipartitePerfectMatching;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleWeightedGraph;
import shim.core.engine.Position;

/**
 * Which spring of a box goes into which pocket: fits first, then even loads, then fewest shims; the
 * stronger spring comes onto the taller height by itself. An assignment problem, solved exactly.
 *
 * @param chosen best assignment
 * @param asTheyCame springs in the order of the box, for comparison
 */
public record SpringSort(Outcome chosen, Outcome asTheyCame) {
  /** A spring that does not fit its pocket outweighs all unevenness. */
  private static final double MISFIT = 1e9;

  /** One shim weighs as much as one lbf away from the wanted load, squared. */
  private static final double PIECE = 1;

  /** A spring that stays in the box costs nothing. */
  private static final double SPARE = 0;

  /** A spring as measured at one height. */
  public record Boxed(String mark, double loadLbf, double atHeightIn, double odIn) {}

  /**
   * A pocket.
   *
   * @param heightIn height without shims
   * @param diameterIn zero when not measured
   */
  public record Pocket(Position position, double heightIn, double diameterIn) {}

  /** What is wanted of all. */
  public record Wanted(double targetIn, double toleranceIn, List<Double> shimsIn, LoadCurve curve) {
    public Wanted {
      shimsIn = List.copyOf(shimsIn);
    }
  }

  /** One spring in one pocket. */
  public record Placed(
      Position position,
      String mark,
      double heightIn,
      List<Double> shimsIn,
      double seatLbf,
      boolean fits) {}

  /** An assignment and how good it is: s.d. of the seat loads, lbf. */
  public record Outcome(List<Placed> placed, double unevenLbf, int shims, int misfits) {}

  public static SpringSort of(List<Boxed> box, List<Pocket> pockets, Wanted wanted) {
    if (box.size() < pockets.size()) {
      throw new IllegalArgumentException(
          String.format("%d springs do not fill %d pockets", box.size(), pockets.size()));
    }
    double aim =
        box.stream()
            .mapToDouble(
                b -> wanted.curve().move(b.loadLbf(), b.atHeightIn(), wanted.targetIn()).loadLbf())
            .average()
            .orElse(0);
    Placed[][] all = new Placed[box.size()][pockets.size()];
    for (int b = 0; b < box.size(); b++) {
      for (int p = 0; p < pockets.size(); p++) {
        all[b][p] = best(box.get(b), pockets.get(p), wanted, aim);
      }
    }
    List<Placed> came = new ArrayList<>();
    for (int p = 0; p < pockets.size(); p++) {
      came.add(all[p][p]);
    }
    return new SpringSort(outcome(assign(all, aim)), outcome(came));
  }

  /** The stack within tolerance that brings this spring here nearest to the wanted load. */
  private static Placed best(Boxed spring, Pocket pocket, Wanted w, double aim) {
    boolean fits = pocket.diameterIn() <= 0 || pocket.diameterIn() - spring.odIn() >= 0.001;
    List<HeightPlan.Way> ways =
        HeightPlan.of(
                new HeightPlan.Wanted(
                    pocket.heightIn(),
                    w.targetIn(),
                    w.toleranceIn(),
                    w.shimsIn(),
                    List.of(),
                    HeightPlan.School.FEWEST_PIECES))
            .ways();
    Placed best = null;
    for (HeightPlan.Way way : ways) {
      if (way.kind() == HeightPlan.Kind.ONE_MADE_PIECE) {
        continue;
      }
      double load = w.curve().move(spring.loadLbf(), spring.atHeightIn(), way.heightIn()).loadLbf();
      Placed here =
          new Placed(
              pocket.position(),
              spring.mark(),
              way.heightIn(),
              way.shimsIn(),
              load,
              fits && way.within());
      if (best == null || cost(here, aim) < cost(best, aim)) {
        best = here;
      }
    }
    if (best != null) {
      return best;
    }
    double load =
        w.curve().move(spring.loadLbf(), spring.atHeightIn(), pocket.heightIn()).loadLbf();
    return new Placed(pocket.position(), spring.mark(), pocket.heightIn(), List.of(), load, false);
  }

  private static double cost(Placed p, double aim) {
    double away = p.seatLbf() - aim;
    return (p.fits() ? 0 : MISFIT) + away * away + PIECE * p.shimsIn().size();
  }

  private static List<Placed> assign(Placed[][] all, double aim) {
    var graph = new SimpleWeightedGraph<String, DefaultWeightedEdge>(DefaultWeightedEdge.class);
    Set<String> springs = new LinkedHashSet<>();
    Set<String> places = new LinkedHashSet<>();
    for (int i = 0; i < all.length; i++) {
      springs.add("s" + i);
      places.add("p" + i);
    }
    springs.forEach(graph::addVertex);
    places.forEach(graph::addVertex);
    for (int b = 0; b < all.length; b++) {
      for (int p = 0; p < all.length; p++) {
        double cost = p < all[b].length ? cost(all[b][p], aim) : SPARE;
        graph.setEdgeWeight(graph.addEdge("s" + b, "p" + p), cost);
      }
    }
    var matching =
        new KuhnMunkresMinimalWeightBipartitePerfectMatching<>(graph, springs, places)
            .getMatching();
    Map<Integer, Placed> chosen = new HashMap<>();
    for (DefaultWeightedEdge e : matching) {
      int b = Integer.parseInt(graph.getEdgeSource(e).substring(1));
      int p = Integer.parseInt(graph.getEdgeTarget(e).substring(1));
      if (p < all[b].length) {
        chosen.put(p, all[b][p]);
      }
    }
    List<Placed> placed = new ArrayList<>();
    for (int p = 0; p < chosen.size(); p++) {
      placed.add(chosen.get(p));
    }
    return placed;
  }

  private static Outcome outcome(List<Placed> placed) {
    double mean = placed.stream().mapToDouble(Placed::seatLbf).average().orElse(0);
    double squares =
        placed.stream().mapToDouble(p -> (p.seatLbf() - mean) * (p.seatLbf() - mean)).sum();
    return new Outcome(
        List.copyOf(placed),
        placed.isEmpty() ? 0 : Math.sqrt(squares / placed.size()),
        placed.stream().mapToInt(p -> p.shimsIn().size()).sum(),
        (int) placed.stream().filter(p -> !p.fits()).count());
  }
}
