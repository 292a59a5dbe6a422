package shim.core.lash;

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
import shim.core.unit.Known;

/**
 * Which shims already in the engine fit another valve: the exchange that brings most valves within
 * tolerance while moving as few shims as possible (an assignment problem, solved exactly).
 *
 * @param moves shims that change place
 * @param wanted valves no shim of the engine serves, with the size that would give the target, inch
 * @param within valves within tolerance afterwards
 */
public record ShimSwaps(List<Move> moves, List<ToBuy> wanted, int within) {
  /** Cost scale: a valve out of tolerance weighs more than moving every shim there is. */
  private static final double OUT = 1_000;

  private static final double MOVED = 1;

  /** One valve as measured; inch. */
  public record Measured(Position position, double shimIn, double foundIn, LashTarget target) {
    double lashWith(double otherShimIn) {
      return foundIn + shimIn - otherShimIn;
    }
  }

  /** A shim that changes place and the lash it gives there; inch. */
  public record Move(Position from, Position to, double shimIn, double lashIn) {}

  /** A valve that wants a shim from outside; inch. */
  public record ToBuy(Position position, double shimIn) {}

  public ShimSwaps {
    moves = List.copyOf(moves);
    wanted = List.copyOf(wanted);
  }

  public static ShimSwaps of(List<Measured> valves) {
    if (valves.isEmpty()) {
      return new ShimSwaps(List.of(), List.of(), 0);
    }
    Map<Integer, Integer> chosen = assign(valves);
    List<Move> moves = new ArrayList<>();
    List<ToBuy> wanted = new ArrayList<>();
    for (int to = 0; to < valves.size(); to++) {
      Measured valve = valves.get(to);
      int from = Known.in(chosen, to);
      Measured donor = valves.get(from);
      double lash = valve.lashWith(donor.shimIn());
      if (valve.target().judge(lash) != LashVerdict.IN) {
        wanted.add(
            new ToBuy(
                valve.position(), valve.shimIn() + valve.foundIn() - valve.target().targetIn()));
      } else if (from != to) {
        moves.add(new Move(donor.position(), valve.position(), donor.shimIn(), lash));
      }
    }
    return new ShimSwaps(moves, wanted, valves.size() - wanted.size());
  }

  private static Map<Integer, Integer> assign(List<Measured> valves) {
    var graph = new SimpleWeightedGraph<String, DefaultWeightedEdge>(DefaultWeightedEdge.class);
    Set<String> places = new LinkedHashSet<>();
    Set<String> shims = new LinkedHashSet<>();
    for (int i = 0; i < valves.size(); i++) {
      places.add("v" + i);
      shims.add("s" + i);
    }
    places.forEach(graph::addVertex);
    shims.forEach(graph::addVertex);
    for (int to = 0; to < valves.size(); to++) {
      for (int from = 0; from < valves.size(); from++) {
        DefaultWeightedEdge edge = graph.addEdge("v" + to, "s" + from);
        graph.setEdgeWeight(edge, cost(valves.get(to), valves.get(from)));
      }
    }
    var matching =
        new KuhnMunkresMinimalWeightBipartitePerfectMatching<>(graph, places, shims).getMatching();
    Map<Integer, Integer> result = new HashMap<>();
    for (DefaultWeightedEdge edge : matching.getEdges()) {
      result.put(
          Integer.valueOf(graph.getEdgeSource(edge).substring(1)),
          Integer.valueOf(graph.getEdgeTarget(edge).substring(1)));
    }
    return result;
  }

  private static double cost(Measured valve, Measured donor) {
    double lash = valve.lashWith(donor.shimIn());
    double miss = Math.abs(lash - valve.target().targetIn());
    double out = valve.target().judge(lash) == LashVerdict.IN ? 0 : OUT;
    return out + (valve == donor ? 0 : MOVED) + miss;
  }
}
