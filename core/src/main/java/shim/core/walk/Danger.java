package shim.core.walk;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import shim.core.engine.Position;

/**
 * A valve that nothing but its hold keeps up.
 *
 * @param heldBy empty where nothing does
 * @param since when it was unhooked
 * @param lost its hold failed, or there is none
 * @param harder warned of harder: lost, or so for longer than the team allows
 */
public record Danger(
    Position valve,
    Optional<String> heldBy,
    Optional<Instant> since,
    boolean lost,
    boolean harder) {
  /** Common practice, no source, minutes. */
  public static final double USUAL_WARN_AFTER = 20;

  /** Every valve of a walk that could drop. */
  public static List<Danger> in(Walk<?> walk, Instant now, double warnAfterMinutes) {
    return walk.procedure().mayDrop() ? all(walk, now, warnAfterMinutes) : List.of();
  }

  private static <S> List<Danger> all(Walk<S> walk, Instant now, double warnAfterMinutes) {
    return walk.procedure().hanging(walk.own()).entrySet().stream()
        .sorted(Map.Entry.comparingByKey())
        .map(e -> at(walk, e.getKey(), e.getValue(), now, warnAfterMinutes))
        .toList();
  }

  private static Danger at(
      Walk<?> walk, Position p, Optional<Instant> since, Instant now, double warnAfterMinutes) {
    Optional<Held> held = Optional.ofNullable(walk.held().get(p.cylinder()));
    boolean lost = held.map(Held::lost).orElse(true);
    long allowed = Math.round(60 * warnAfterMinutes);
    boolean tooLong = since.filter(s -> Duration.between(s, now).toSeconds() > allowed).isPresent();
    return new Danger(p, held.map(Held::by), since, lost, lost || tooLong);
  }
}
