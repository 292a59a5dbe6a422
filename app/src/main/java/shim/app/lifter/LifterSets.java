package shim.app.lifter;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.record.Hours;
import shim.app.record.Ids;
import shim.app.record.Initials;
import shim.core.engine.Lifter;
import shim.core.engine.Position;

/** A whole set of lifters put in at once: all of them or none. */
@Service
@Transactional
class LifterSets {
  private final Lifters lifters;
  private final Engines engines;

  LifterSets(Lifters lifters, Engines engines) {
    this.lifters = lifters;
    this.engines = engines;
  }

  /**
   * A set under the valves that have no lifter on record.
   *
   * @param linkBars two lifters of a cylinder are tied by a link bar
   * @param hoursBefore hours it has run already
   * @param fromHours engine hours when it went in
   */
  record NewLifters(
      @NotNull(message = "say what kind of lifter") Lifter kind,
      @NotBlank(message = "give the set a name") @Size(max = 12, message = "12 letters at most")
          String setName,
      boolean linkBars,
      @Hours double hoursBefore,
      @Hours double fromHours,
      @Initials String hand) {}

  /** Safe to repeat. */
  void put(UUID engineId, UUID id, NewLifters set) {
    Set<String> taken =
        lifters.fittings(engineId).stream()
            .filter(LifterFittingRow::open)
            .map(f -> f.valve)
            .collect(Collectors.toSet());
    String name = set.setName().strip();
    Map<Integer, UUID> alone = new HashMap<>();
    for (Position valve : engines.get(engineId).engine().layout().positions()) {
      UUID lifter = Ids.of(id + "lifter " + valve);
      if (!taken.contains(valve.toString())) {
        UUID partner = set.linkBars() ? alone.remove(valve.cylinder()) : null;
        lifters.put(
            lifter,
            new Lifters.LifterEntry(
                set.kind(), name + " " + valve, name, partner, set.hoursBefore(), false, null),
            set.hand());
        lifters.fit(
            Ids.of(id + "fitting " + valve),
            new Lifters.LifterFitting(
                lifter,
                null,
                engineId,
                valve,
                set.fromHours(),
                null,
                null,
                null,
                set.hand(),
                "new set"));
        if (partner == null) {
          alone.put(valve.cylinder(), lifter);
        }
      }
    }
  }
}
