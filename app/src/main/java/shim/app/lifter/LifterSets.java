package shim.app.lifter;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
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

  LifterSets(Lifters lifters) {
    this.lifters = lifters;
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
    String name = set.setName().strip();
    Map<Integer, UUID> alone = new HashMap<>();
    for (Position valve : lifters.bare(engineId)) {
      UUID lifter = Ids.of(id + "lifter " + valve);
      UUID partner = set.linkBars() ? alone.remove(valve.cylinder()) : null;
      lifters.put(
          lifter,
          new Lifters.LifterEntry(
              set.kind(), name + " " + valve, name, partner, set.hoursBefore(), false, null),
          set.hand());
      lifters.fit(
          Ids.of(id + "fitting " + valve),
          Lifters.LifterFitting.bare(
              lifter, engineId, valve, set.fromHours(), set.hand(), "new set"));
      if (partner == null) {
        alone.put(valve.cylinder(), lifter);
      }
    }
  }
}
