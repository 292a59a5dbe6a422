package shim.core.turnaround;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What is other in a plan than in the one people work to.
 *
 * @param earlier begin there in minutes; later the begin here; either may be missing
 */
public record Slip(String id, Kind kind, int earlier, int later) {
  /** Kinds of change, the gravest first. */
  public enum Kind {
    /** It was in the plan and is no more. */
    LEFT_OUT,
    LATER,
    /** It is new. */
    CAME,
    OTHER_HANDS,
    EARLIER,
    /** It is done or no more due. */
    GONE
  }

  /** What is agreed on: a start with its hands, in minutes since the same begin. */
  public record Agreed(int start, List<String> hands) {
    public Agreed {
      hands = List.copyOf(hands);
    }
  }

  /** Minutes by which a start may move without being a change. */
  static final int NOTHING = 10;

  public static List<Slip> between(Map<String, Agreed> agreed, Plan now) {
    List<Slip> slips = new ArrayList<>();
    Map<String, Placed> placed = new LinkedHashMap<>();
    now.placed().forEach(p -> placed.put(p.work().id(), p));
    agreed.forEach(
        (id, a) -> {
          Placed p = placed.get(id);
          if (p == null) {
            boolean left = now.left().stream().anyMatch(l -> l.work().id().equals(id));
            slips.add(new Slip(id, left ? Kind.LEFT_OUT : Kind.GONE, a.start(), a.start()));
          } else if (p.start() - a.start() > NOTHING) {
            slips.add(new Slip(id, Kind.LATER, a.start(), p.start()));
          } else if (!List.copyOf(p.hands()).containsAll(a.hands())
              || p.hands().size() != a.hands().size()) {
            slips.add(new Slip(id, Kind.OTHER_HANDS, a.start(), p.start()));
          } else if (a.start() - p.start() > NOTHING) {
            slips.add(new Slip(id, Kind.EARLIER, a.start(), p.start()));
          }
        });
    placed.forEach(
        (id, p) -> {
          if (!agreed.containsKey(id)) {
            slips.add(new Slip(id, Kind.CAME, p.start(), p.start()));
          }
        });
    slips.sort(Comparator.comparing(Slip::kind));
    return slips;
  }
}
