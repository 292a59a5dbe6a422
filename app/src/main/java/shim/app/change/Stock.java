package shim.app.change;

import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import shim.app.fatigue.SpringTests;
import shim.app.spring.Pockets;
import shim.app.spring.SpringTypes;
import shim.app.spring.Springs;
import shim.core.spring.LoadCurve;
import shim.core.stats.Robust;

/**
 * Springs that lie in stock, as they suit a pocket: those that fit first, of its own set first,
 * then the nearest in load, at the height that is wanted there, to what the others of its kind
 * show.
 */
@Component
class Stock {
  private final Springs springs;
  private final SpringTypes types;
  private final SpringTests tests;

  Stock(Springs springs, SpringTypes types, SpringTests tests) {
    this.springs = springs;
    this.types = types;
    this.tests = tests;
  }

  /** A spring that could go in, with why it stands where it does among the others. */
  record Offer(UUID spring, String mark, @Nullable String setName, String words) {}

  /** A spring in stock with its load where it would stand; blank when it was never read. */
  private record Match(
      Springs.StoredSpring spring, double playIn, boolean ownSet, @Nullable Double loadLbf) {
    double awayLbf(double wantedLbf) {
      return loadLbf == null ? Double.MAX_VALUE : Math.abs(loadLbf - wantedLbf);
    }
  }

  List<Offer> offers(Pockets.PocketView pocket, UUID engineId) {
    return matches(pocket, engineId).stream().map(m -> offer(m, pocket)).toList();
  }

  /** Springs in stock that could go in here, the best match first. */
  List<Springs.StoredSpring> bestFirst(Pockets.PocketView pocket, UUID engineId) {
    return matches(pocket, engineId).stream().map(Match::spring).toList();
  }

  private List<Match> matches(Pockets.PocketView pocket, UUID engineId) {
    Springs.StoredSpring old = springs.get(pocket.fitting().springId());
    List<Springs.StoredSpring> stock = inStock(pocket.typeId());
    List<UUID> others = fittedOfKind(pocket, engineId);
    Map<UUID, Double> loads =
        loads(
            pocket,
            Stream.concat(stock.stream().map(Springs.StoredSpring::id), others.stream()).toList());
    double wanted =
        Robust.median(others.stream().filter(loads::containsKey).map(loads::get).toList())
            .orElse(pocket.fit().seatLbf());
    return stock.stream()
        .map(s -> new Match(s, play(s, pocket), sameSet(s, old), loads.get(s.id())))
        .sorted(
            Comparator.comparing((Match m) -> m.playIn() < 0)
                .thenComparing(m -> !m.ownSet())
                .thenComparingDouble(m -> m.awayLbf(wanted))
                .thenComparingDouble(m -> m.spring().spring().hoursBefore())
                .thenComparing(m -> m.spring().spring().mark()))
        .toList();
  }

  private List<Springs.StoredSpring> inStock(UUID typeId) {
    List<Springs.StoredSpring> same =
        springs.all().stream()
            .filter(s -> !s.spring().scrapped() && s.spring().typeId().equals(typeId))
            .toList();
    Set<UUID> fitted = new HashSet<>();
    springs.fittingsOf(same.stream().map(Springs.StoredSpring::id).toList()).stream()
        .filter(Springs.StoredFitting::open)
        .forEach(f -> fitted.add(f.fitting().springId()));
    return same.stream().filter(s -> !fitted.contains(s.id())).toList();
  }

  /** The other springs on this engine at valves of the same kind. */
  private List<UUID> fittedOfKind(Pockets.PocketView pocket, UUID engineId) {
    return springs.fitted(engineId).values().stream()
        .map(Springs.StoredFitting::fitting)
        .filter(f -> f.valve().kind() == pocket.position().kind())
        .map(Springs.FittingEntry::springId)
        .filter(id -> !id.equals(pocket.fitting().springId()))
        .toList();
  }

  /** Last readings moved to the height that is wanted here. */
  private Map<UUID, Double> loads(Pockets.PocketView pocket, List<UUID> ids) {
    LoadCurve curve = types.get(pocket.typeId()).type().curve();
    Map<UUID, Double> moved = new HashMap<>();
    tests
        .lastLoads(ids)
        .forEach(
            (id, last) ->
                moved.put(
                    id, curve.move(last.loadLbf(), last.heightIn(), pocket.targetIn()).loadLbf()));
    return moved;
  }

  private static boolean sameSet(Springs.StoredSpring a, Springs.StoredSpring b) {
    return a.spring().setName() != null && a.spring().setName().equals(b.spring().setName());
  }

  private static double play(Springs.StoredSpring s, Pockets.PocketView pocket) {
    Double od = s.spring().odIn();
    Double hole = pocket.fitting().pocketIn();
    return od == null || hole == null ? 0 : hole - od;
  }

  private static Offer offer(Match m, Pockets.PocketView pocket) {
    Springs.SpringEntry s = m.spring().spring();
    String load =
        m.loadLbf() == null
            ? ""
            : String.format(Locale.ROOT, "%.0f lbf at %.3f, ", m.loadLbf(), pocket.targetIn());
    String hours =
        s.hoursBefore() > 0 ? String.format(Locale.ROOT, "%.1f h run", s.hoursBefore()) : "new";
    String fit =
        m.playIn() < 0
            ? String.format(Locale.ROOT, ", %.3f too wide for the pocket", -m.playIn())
            : m.playIn() > 0
                ? String.format(Locale.ROOT, ", %.3f play in the pocket", m.playIn())
                : "";
    return new Offer(m.spring().id(), s.mark(), s.setName(), load + hours + fit);
  }
}
