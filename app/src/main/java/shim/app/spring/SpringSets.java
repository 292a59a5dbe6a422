package shim.app.spring;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.record.HeightIn;
import shim.app.record.Hours;
import shim.app.record.Ids;
import shim.app.record.Initials;
import shim.core.engine.Position;

/** Several springs in one act: all of it is done, or nothing. */
@Service
@Transactional
class SpringSets {
  private final Springs springs;

  SpringSets(Springs springs) {
    this.springs = springs;
  }

  /**
   * A new set for a whole engine: one spring a valve, marked by prefix and valve.
   *
   * @param heightIn installed height of all, when the same
   */
  record NewSet(
      @NotNull UUID typeId,
      @NotBlank(message = "give the set a name") @Size(max = 14, message = "14 letters at most")
          String setName,
      @Hours double engineHours,
      @Hours double hoursBefore,
      @HeightIn @Nullable Double heightIn,
      @Initials String hand) {}

  /**
   * An exchange.
   *
   * @param out fitting that ends
   * @param in fitting that begins
   */
  record Exchange(
      @NotNull UUID out, @NotNull Springs.Removal removal, @NotNull Springs.FittingEntry in) {}

  /** One spring out and another in. */
  void exchange(UUID id, Exchange exchange) {
    springs.remove(exchange.out(), exchange.removal());
    springs.fit(id, exchange.in());
  }

  /** Puts a new set into every valve that has no spring; safe to repeat. */
  void put(UUID engineId, UUID id, NewSet set) {
    String name = set.setName().strip();
    for (Position valve : springs.bare(engineId)) {
      UUID spring = Ids.of(id + "spring " + valve);
      springs.put(
          spring,
          new Springs.SpringEntry(
              set.typeId(),
              name + " " + valve,
              name,
              null,
              set.hoursBefore(),
              null,
              false,
              null,
              null),
          set.hand());
      springs.fit(
          Ids.of(id + "fitting " + valve),
          Springs.FittingEntry.bare(
              spring, engineId, valve, set.engineHours(), set.heightIn(), set.hand(), "new set"));
    }
  }
}
