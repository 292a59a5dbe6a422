package shim.core.turnaround;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jgrapht.Graph;
import org.jgrapht.GraphPath;
import org.jgrapht.alg.shortestpath.BFSShortestPath;
import org.jgrapht.graph.DefaultDirectedGraph;
import org.jgrapht.graph.DefaultEdge;
import org.jgrapht.traverse.TopologicalOrderIterator;
import shim.core.unit.Known;

/** What comes before what. */
final class Order {
  private Order() {}

  /** Each work after all that comes before it; there must be no circle. */
  static List<Work> of(List<Work> work) {
    var byId = new Situation(0, 0, work, List.of()).byId();
    List<Work> order = new ArrayList<>();
    new TopologicalOrderIterator<>(graph(work))
        .forEachRemaining(id -> order.add(Known.in(byId, id)));
    return order;
  }

  /** The shortest row of ids that wait for one another in a circle, each before the next. */
  static Optional<List<String>> circle(List<Work> work) {
    Graph<String, DefaultEdge> graph = graph(work);
    BFSShortestPath<String, DefaultEdge> paths = new BFSShortestPath<>(graph);
    return graph.edgeSet().stream()
        .map(e -> paths.getPath(graph.getEdgeTarget(e), graph.getEdgeSource(e)))
        .filter(Objects::nonNull)
        .map(GraphPath::getVertexList)
        .min(Comparator.comparingInt(List::size));
  }

  private static Graph<String, DefaultEdge> graph(List<Work> work) {
    Graph<String, DefaultEdge> graph = new DefaultDirectedGraph<>(DefaultEdge.class);
    work.forEach(w -> graph.addVertex(w.id()));
    work.forEach(w -> w.after().forEach(a -> graph.addEdge(a.id(), w.id())));
    return graph;
  }
}
