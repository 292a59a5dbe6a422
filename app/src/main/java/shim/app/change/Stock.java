package shim.app.change;

import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import shim.app.spring.Pockets;
import shim.app.spring.Springs;

/** Springs that lie in stock, as they suit a pocket. */
@Component
class Stock {
  private final Springs springs;

  Stock(Springs springs) {
    this.springs = springs;
  }

  /** A spring that could go in, with why it stands where it does among the others. */
  record Offer(UUID spring, String mark, @Nullable String setName, String words) {}

  List<Offer> offers(Pockets.PocketView pocket) {
    return bestFirst(pocket).stream().map(s -> offer(s, pocket)).toList();
  }

  /** Springs in stock that could go in here, the best match first. */
  List<Springs.StoredSpring> bestFirst(Pockets.PocketView pocket) {
    Springs.StoredSpring old = springs.get(pocket.fitting().springId());
    List<Springs.StoredSpring> same =
        springs.all().stream()
            .filter(s -> !s.spring().scrapped() && s.spring().typeId().equals(pocket.typeId()))
            .toList();
    Set<UUID> fitted = new HashSet<>();
    springs.fittingsOf(same.stream().map(Springs.StoredSpring::id).toList()).stream()
        .filter(Springs.StoredFitting::open)
        .forEach(f -> fitted.add(f.fitting().springId()));
    return same.stream()
        .filter(s -> !fitted.contains(s.id()))
        .sorted(
            Comparator.comparing((Springs.StoredSpring s) -> play(s, pocket) < 0)
                .thenComparing(s -> !sameSet(s, old))
                .thenComparingDouble(s -> s.spring().hoursBefore())
                .thenComparing(s -> s.spring().mark()))
        .toList();
  }

  private static boolean sameSet(Springs.StoredSpring a, Springs.StoredSpring b) {
    return a.spring().setName() != null && a.spring().setName().equals(b.spring().setName());
  }

  private static double play(Springs.StoredSpring s, Pockets.PocketView pocket) {
    Double od = s.spring().odIn();
    Double hole = pocket.fitting().pocketIn();
    return od == null || hole == null ? 0 : hole - od;
  }

  private static Offer offer(Springs.StoredSpring s, Pockets.PocketView pocket) {
    double play = play(s, pocket);
    String hours =
        s.spring().hoursBefore() > 0
            ? String.format(Locale.ROOT, "%.1f h run", s.spring().hoursBefore())
            : "new";
    String fit =
        play < 0
            ? String.format(Locale.ROOT, ", %.3f too wide for the pocket", -play)
            : play > 0 ? String.format(Locale.ROOT, ", %.3f play in the pocket", play) : "";
    return new Offer(s.id(), s.spring().mark(), s.spring().setName(), hours + fit);
  }
}
