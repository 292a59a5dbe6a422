package shim.app.change;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import shim.app.fatigue.SpringTests;
import shim.app.record.Maybe;
import shim.app.spring.Pockets;
import shim.app.spring.SpringTypes;
import shim.app.spring.Springs;
import shim.core.change.Spare;
import shim.core.spring.LoadCurve;
import shim.core.unit.Known;

/** Springs that lie in stock, as core ranks them for a pocket. */
@Component
class SpringShelf {
  private final Springs springs;
  private final SpringTypes types;
  private final SpringTests tests;

  SpringShelf(Springs springs, SpringTypes types, SpringTests tests) {
    this.springs = springs;
    this.types = types;
    this.tests = tests;
  }

  /**
   * A spring that could go in.
   *
   * @param loadLbf its last reading at the height wanted there; missing when it was never read
   * @param playIn pocket less outer diameter; missing where one of them is not known
   */
  record Offer(
      UUID spring,
      String mark,
      @Nullable String setName,
      @Nullable Double loadLbf,
      double heightIn,
      double hours,
      @Nullable Double playIn) {}

  /** What lies on the shelf for an engine's pockets, looked up once for all of them. */
  Shelf of(UUID engineId) {
    List<Springs.StoredSpring> all = springs.all();
    Map<UUID, Springs.StoredSpring> known = new HashMap<>();
    all.forEach(s -> known.put(s.id(), s));
    Map<UUID, LoadCurve> curves = new HashMap<>();
    types.all().forEach(t -> curves.put(t.id(), t.type().curve()));
    List<Springs.FittingEntry> fitted =
        springs.fitted(engineId).values().stream().map(Springs.StoredFitting::fitting).toList();
    List<Springs.StoredSpring> free = springs.free();
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
      return bestFirst(pocket).stream()
          .map(
              s ->
                  new Offer(
                      stored(s).id(),
                      s.mark(),
                      stored(s).spring().setName(),
                      Maybe.orNull(s.loadLbf()),
                      pocket.targetIn(),
                      s.hours(),
                      Maybe.orNull(s.playIn())))
          .toList();
    }

    private Springs.StoredSpring stored(Spare s) {
      return Known.in(known, UUID.fromString(s.id()));
    }

    /** Springs that could go in here, the best match first. */
    List<Spare> bestFirst(Pockets.PocketView pocket) {
      UUID own = pocket.fitting().springId();
      List<Double> others =
          fitted.stream()
              .filter(f -> f.valve().kind() == pocket.position().kind())
              .map(Springs.FittingEntry::springId)
              .filter(id -> !id.equals(own))
              .map(id -> load(id, pocket))
              .filter(OptionalDouble::isPresent)
              .map(OptionalDouble::getAsDouble)
              .toList();
      List<Spare> spares =
          free.stream()
              .filter(s -> s.spring().typeId().equals(pocket.typeId()))
              .map(s -> spare(s, pocket))
              .toList();
      double wanted = Spare.wantedLbf(others, pocket.fit().seatLbf());
      return Spare.bestFirst(spares, wanted);
    }

    private Spare spare(Springs.StoredSpring s, Pockets.PocketView pocket) {
      return new Spare(
          s.id().toString(),
          s.spring().mark(),
          sameSet(s, Known.in(known, pocket.fitting().springId())),
          play(s, pocket),
          load(s.id(), pocket),
          s.spring().hoursBefore());
    }

    /** Its last reading moved to the height that is wanted here. */
    private OptionalDouble load(UUID spring, Pockets.PocketView pocket) {
      SpringTests.LastLoad last = read.get(spring);
      return last == null
          ? OptionalDouble.empty()
          : OptionalDouble.of(
              Known.in(curves, pocket.typeId())
                  .move(last.loadLbf(), last.heightIn(), pocket.targetIn())
                  .loadLbf());
    }
  }

  private static boolean sameSet(Springs.StoredSpring a, Springs.StoredSpring b) {
    return a.spring().setName() != null && a.spring().setName().equals(b.spring().setName());
  }

  private static OptionalDouble play(Springs.StoredSpring s, Pockets.PocketView pocket) {
    Double od = s.spring().odIn();
    Double hole = pocket.fitting().pocketIn();
    return od == null || hole == null ? OptionalDouble.empty() : OptionalDouble.of(hole - od);
  }
}
