package shim.app.head;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import shim.core.head.Fixings;
import shim.core.spring.Kit;

/**
 * Heads as written down: all heads of one engine, usually a pair.
 *
 * @param madeFor an engine whose valves they have
 * @param bought they came assembled: opened and measured before anything goes together
 * @param grooveIntake the cut in the intake stems that locks grip
 * @param guidePlayIn most play of stem and guide that the builder allows
 * @param fixings how they are held down; missing until it is written
 */
public record HeadSheet(
    @NotBlank(message = "give the heads a name") @Size(max = 40, message = "40 letters at most")
        String name,
    @NotNull(message = "say for which engine they are made") UUID madeFor,
    boolean bought,
    Kit.@Nullable Groove grooveIntake,
    Kit.@Nullable Groove grooveExhaust,
    @Nullable
        @DecimalMin(value = "0", message = "play of {0 in} to {0.05 in}")
        @DecimalMax(value = "0.05", message = "play of {0 in} to {0.05 in}")
        Double guidePlayIn,
    @Nullable Fixings fixings,
    @Nullable @Size(max = 400, message = "400 letters at most") String note) {}
