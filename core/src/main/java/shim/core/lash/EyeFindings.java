package shim.core.lash;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;
import shim.core.unit.Said;

/**
 * What the eye saw at the valves of an engine in its rounds, and what of it still stands: until the
 * part is renewed, or a later round has seen it whole. "Order" is any number that grows with time.
 */
public final class EyeFindings {
  private EyeFindings() {}

  /** What was looked at. */
  public enum Part {
    SPRING,
    ROCKER
  }

  /** What is wrong with it. */
  public enum Code implements Said.Code {
    SPRING_BROKEN,
    SPRING_LOOSE,
    SPRING_WORN,
    ROCKER_BROKEN,
    ROCKER_LOOSE,
    ROCKER_WORN;

    @Override
    public Said.Form form() {
      return Said.form("SEEN");
    }
  }

  /**
   * One valve looked at in one round.
   *
   * @param spring null where nobody said
   * @param rocker null where nobody said
   */
  public record Look(
      Position valve,
      long order,
      double engineHours,
      @Nullable Seen spring,
      @Nullable Seen rocker) {
    private Optional<Seen> of(Part part) {
      return Optional.ofNullable(part == Part.SPRING ? spring : rocker);
    }
  }

  /** A part renewed at a valve. */
  public record Renewed(Position valve, Part part, long order) {}

  /** Something that still stands, with the engine hours it was seen at. */
  public record Finding(Position valve, Part part, double engineHours, Said said) {}

  /** What is wrong with a part as it was seen; nothing with a whole one. */
  public static Optional<Said> said(Part part, @Nullable Seen seen) {
    return seen == null || seen == Seen.WHOLE
        ? Optional.empty()
        : Optional.of(Said.of(Code.valueOf(part + "_" + seen)));
  }

  /** What is wrong at one valve, the spring first. */
  public static List<Said> at(@Nullable Seen spring, @Nullable Seen rocker) {
    List<Said> wrong = new ArrayList<>();
    said(Part.SPRING, spring).ifPresent(wrong::add);
    said(Part.ROCKER, rocker).ifPresent(wrong::add);
    return wrong;
  }

  /** What still stands, valve by valve. */
  public static List<Finding> standing(Collection<Look> looks, Collection<Renewed> renewed) {
    List<Finding> standing = new ArrayList<>();
    for (Part part : Part.values()) {
      Map<Position, Look> latest = new TreeMap<>();
      looks.stream()
          .filter(l -> l.of(part).isPresent())
          .sorted(Comparator.comparingLong(Look::order))
          .forEach(l -> latest.put(l.valve, l));
      latest.values().stream()
          .filter(l -> renewed.stream().noneMatch(r -> renews(r, l, part)))
          .forEach(
              l ->
                  said(part, l.of(part).orElseThrow())
                      .ifPresent(s -> standing.add(new Finding(l.valve, part, l.engineHours, s))));
    }
    return standing;
  }

  private static boolean renews(Renewed r, Look look, Part part) {
    return r.part == part && r.valve.equals(look.valve) && r.order > look.order;
  }
}
