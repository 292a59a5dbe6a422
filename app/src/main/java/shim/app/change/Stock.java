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

  /** What lies on the shelf for an engine's pockets, looked up once for all of them. */
  Shelf of(UUID engineId) {
    List<Springs.StoredSpring> all = springs.all();
    Set<UUID> out = new HashSet<>();
    springs.fittingsOf(all.stream().map(Springs.StoredSpring::id).toList()).stream()
        .filter(Springs.StoredFitting::open)
        .forEach(f -> out.add(f.fitting().springId()));
    Map<UUID, Springs.StoredSpring> known = new HashMap<>();
    all.forEach(s -> known.put(s.id(), s));
    Map<UUID, LoadCurve> curves = new HashMap<>();
    types.all().forEach(t -> curves.put(t.id(), t.type().curve()));
    List<Springs.FittingEntry> fitted =
        springs.fitted(engineId).values().stream().map(Springs.StoredFitting::fitting).toList();
    List<Springs.StoredSpring> free =
        all.stream().filter(s -> !s.spring().scrapped() && !out.contains(s.id())).toList();
    Map<UUID, SpringTests.LastLoad> read =
        tests.lastLoads(
            Stream.concat(
                    free.stream().map(Springs.StoredSpring::id),
                    fitted.stream().map(Springs.FittingEntry::springId))
                .toList());
    return new Shelf(known, free, fitted, curves, read);
  }

  /** Springs in stock, and what the fitted ones show. */
  record Shelf(
      Map<UUID, Springs.StoredSpring> known,
      List<Springs.StoredSpring> free,
      List<Springs.FittingEntry> fitted,
      Map<UUID, LoadCurve> curves,
      Map<UUID, SpringTests.LastLoad> read) {

    List<Offer> offers(Pockets.PocketView pocket) {
      return matches(pocket).stream().map(m -> offer(m, pocket)).toList();
    }

    /** Springs that could go in here, the best match first. */
    List<Springs.StoredSpring> bestFirst(Pockets.PocketView pocket) {
      return matches(pocket).stream().map(Match::spring).toList();
    }

    private List<Match> matches(Pockets.PocketView pocket) {
      UUID own = pocket.fitting().springId();
      Springs.StoredSpring old = known.get(own);
      double wanted =
          Robust.median(
                  fitted.stream()
                      .filter(f -> f.valve().kind() == pocket.position().kind())
                      .map(Springs.FittingEntry::springId)
                      .filter(id -> !id.equals(own) && read.containsKey(id))
                      .map(id -> load(id, pocket))
                      .toList())
              .orElse(pocket.fit().seatLbf());
      return free.stream()
          .filter(s -> s.spring().typeId().equals(pocket.typeId()))
          .map(
              s ->
                  new Match(
                      s,
                      play(s, pocket),
                      sameSet(s, old),
                      read.containsKey(s.id()) ? load(s.id(), pocket) : null))
          .sorted(
              Comparator.comparing((Match m) -> m.playIn() < 0)
                  .thenComparing(m -> !m.ownSet())
                  .thenComparingDouble(m -> m.awayLbf(wanted))
                  .thenComparingDouble(m -> m.spring().spring().hoursBefore())
                  .thenComparing(m -> m.spring().spring().mark()))
          .toList();
    }

    /** Its last reading moved to the height that is wanted here. */
    private double load(UUID spring, Pockets.PocketView pocket) {
      SpringTests.LastLoad last = read.get(spring);
      return curves
          .get(pocket.typeId())
          .move(last.loadLbf(), last.heightIn(), pocket.targetIn())
          .loadLbf();
    }
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
