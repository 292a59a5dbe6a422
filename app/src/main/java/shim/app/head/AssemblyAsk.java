package shim.app.head;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;

/**
 * What is wanted of an assembly.
 *
 * @param typeIntake kind of spring at the intakes
 * @param valves those that are assembled; none is every one that has no spring yet
 * @param sealIntake blank where the seals that are on stay
 */
public record AssemblyAsk(
    @NotNull(message = "choose a kind of spring") UUID typeIntake,
    @NotNull(message = "choose a kind of spring") UUID typeExhaust,
    @NotNull List<Position> valves,
    @Size(max = 40, message = "40 letters at most") @Nullable String sealIntake,
    @Size(max = 40, message = "40 letters at most") @Nullable String sealExhaust) {
  UUID type(ValveKind kind) {
    return kind == ValveKind.INTAKE ? typeIntake : typeExhaust;
  }

  String seal(ValveKind kind) {
    String seal = kind == ValveKind.INTAKE ? sealIntake : sealExhaust;
    return Objects.requireNonNullElse(seal, "").strip();
  }
}
