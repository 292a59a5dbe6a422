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

  /** Where a spring of a kind would stand. */
  record Seat(UUID typeId, double heightIn, @Nullable Double pocketIn) {}

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

    List<Offer> offers(Pockets.PocketView pocket, Seat seat) {
      return bestFirst(pocket, seat).stream()
          .map(
              s ->
                  new Offer(
                      stored(s).id(),
                      s.mark(),
                      stored(s).spring().setName(),
                      Maybe.orNull(s.loadLbf()),
                      seat.heightIn(),
                      s.hours(),
                      Maybe.orNull(s.playIn())))
          .toList();
    }

    private UUID typeOf(UUID spring) {
      return Known.in(known, spring).spring().typeId();
    }

    private Springs.StoredSpring stored(Spare s) {
      return Known.in(known, UUID.fromString(s.id()));
    }

    /** Springs of a kind that could go in here at a height, the best match first. */
    List<Spare> bestFirst(Pockets.PocketView pocket, Seat seat) {
      UUID own = pocket.fitting().springId();
      List<Double> others =
          fitted.stream()
              .filter(f -> f.valve().kind() == pocket.position().kind())
              .filter(f -> typeOf(f.springId()).equals(seat.typeId()))
              .map(Springs.FittingEntry::springId)
              .filter(id -> !id.equals(own))
              .map(id -> load(id, seat))
              .filter(OptionalDouble::isPresent)
              .map(OptionalDouble::getAsDouble)
              .toList();
      List<Spare> spares =
          free.stream()
              .filter(s -> s.spring().typeId().equals(seat.typeId()))
              .map(s -> spare(s, pocket, seat))
              .toList();
      double sheetLbf = Known.in(curves, seat.typeId()).loadAt(seat.heightIn());
      double wanted = Spare.wantedLbf(others, sheetLbf);
      return Spare.bestFirst(spares, wanted);
    }

    private Spare spare(Springs.StoredSpring s, Pockets.PocketView pocket, Seat seat) {
      return new Spare(
          s.id().toString(),
          s.spring().mark(),
          sameSet(s, Known.in(known, pocket.fitting().springId())),
          play(s, seat),
          load(s.id(), seat),
          s.spring().hoursBefore());
    }

    /** Its last reading moved to the height that is wanted here. */
    private OptionalDouble load(UUID spring, Seat seat) {
      SpringTests.LastLoad last = read.get(spring);
      return last == null
          ? OptionalDouble.empty()
          : OptionalDouble.of(
              Known.in(curves, seat.typeId())
                  .move(last.loadLbf(), last.heightIn(), seat.heightIn())
                  .loadLbf());
    }
  }

  private static boolean sameSet(Springs.StoredSpring a, Springs.StoredSpring b) {
    return a.spring().setName() != null && a.spring().setName().equals(b.spring().setName());
  }

  private static OptionalDouble play(Springs.StoredSpring s, Seat seat) {
    Double od = s.spring().odIn();
    Double hole = seat.pocketIn();
    return od == null || hole == null ? OptionalDouble.empty() : OptionalDouble.of(hole - od);
  }
}
