package shim.core.spring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jgrapht.alg.matching.KuhnMunkresMinimalWeightBipartitePerfectMatching;
import org.jgrapht.graph.DefaultWeightedEdge;
import org.jgrapht.graph.SimpleWeightedGraph;
import org.jspecify.annotations.Nullable;
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

  /** An inch beyond the tolerance; a thousandth outweighs any load. */
  private static final double BEYOND = 1e8;

  /** Much play weighs as much as five lbf away from the wanted load, squared. */
  private static final double DANCES = 25;

  /** One shim weighs as much as one lbf away from the wanted load, squared. */
  private static final double PIECE = 1;

  /** A spring that stays in the box costs nothing. */
  private static final double SPARE = 0;

  /**
   * A spring as measured at one height.
   *
   * @param odIn zero when not measured
   */
  public record Boxed(String mark, double loadLbf, double atHeightIn, double odIn) {}

  /**
   * A pocket.
   *
   * @param heightIn height without shims
   * @param diameterIn zero when not measured
   * @param targetIn height wanted there; null is that of all
   */
  public record Pocket(
      Position position, double heightIn, double diameterIn, @Nullable Double targetIn) {
    private double target(Wanted w) {
      return targetIn == null ? w.targetIn() : targetIn;
    }
  }

  /** What is wanted of all. */
  public record Wanted(
      double targetIn,
      double toleranceIn,
      List<Double> shimsIn,
      LoadCurve curve,
      PocketPlay.Bounds play) {
    public Wanted {
      shimsIn = List.copyOf(shimsIn);
    }
  }

  /**
   * One spring in one pocket.
   *
   * @param heightIn height it really gets
   * @param offIn that over the target
   * @param play in its pocket; null where one of them was not measured
   * @param cutIn what would have to be machined off the pocket to reach the target, where no shim
   *     can: an offer, nothing that was reckoned with; zero where none is needed
   * @param fits its height is within tolerance, and it turns freely without dancing
   */
  public record Placed(
      Position position,
      String mark,
      double heightIn,
      List<Double> shimsIn,
      double seatLbf,
      double offIn,
      @Nullable PocketPlay play,
      double cutIn,
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
    return new SpringSort(outcome(assign(all, wanted, aim)), outcome(came));
  }

  /**
   * Of the stacks within tolerance the one that brings this spring here nearest to the wanted load;
   * where none is, the one nearest to its height. Nothing is ever machined in silence.
   */
  private static Placed best(Boxed spring, Pocket pocket, Wanted w, double aim) {
    PocketPlay play =
        pocket.diameterIn() <= 0 || spring.odIn() <= 0
            ? null
            : PocketPlay.of(pocket.diameterIn() - spring.odIn(), w.play());
    return HeightPlan.withStock(
            new HeightPlan.Wanted(
                pocket.heightIn(),
                pocket.target(w),
                w.toleranceIn(),
                w.shimsIn(),
                List.of(),
                null,
                HeightPlan.School.FEWEST_PIECES,
                null))
        .stream()
        .map(way -> placed(spring, pocket, w, way, play))
        .min(Comparator.comparingDouble(p -> cost(p, w, aim)))
        .orElseThrow();
  }

  private static Placed placed(
      Boxed spring, Pocket pocket, Wanted w, HeightPlan.Way way, @Nullable PocketPlay play) {
    double load = w.curve().move(spring.loadLbf(), spring.atHeightIn(), way.heightIn()).loadLbf();
    double cut = way.within() || way.offIn() > 0 ? 0 : -way.offIn();
    return new Placed(
        pocket.position(),
        spring.mark(),
        way.heightIn(),
        way.shimsIn(),
        load,
        way.offIn(),
        play,
        cut,
        way.within() && (play == null || play.fits()));
  }

  private static double cost(Placed p, Wanted w, double aim) {
    double away = p.seatLbf() - aim;
    double beyond = Math.max(0, Math.abs(p.offIn()) - w.toleranceIn());
    return (p.fits() ? 0 : MISFIT)
        + BEYOND * beyond
        + (p.play() == PocketPlay.MUCH ? DANCES : 0)
        + away * away
        + PIECE * p.shimsIn().size();
  }

  private static List<Placed> assign(Placed[][] all, Wanted wanted, double aim) {
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
        double cost = p < all[b].length ? cost(all[b][p], wanted, aim) : SPARE;
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
