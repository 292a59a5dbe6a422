package shim.core.head;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import shim.core.change.Schools;
import shim.core.engine.Position;

/**
 * What an assembly is to do; fixed when it begins.
 *
 * @param bought it came assembled: it is opened and measured before anything goes together
 * @param sides the heads of it, each with its valves in working order
 */
public record AssemblyPlan(
    String head,
    boolean bought,
    List<Side> sides,
    List<ValveParts> valves,
    Schools.Lubricant lubricant,
    Schools.Proving proving) {

  /** One head of a pair, as people call it. */
  public record Side(String name, List<Position> valves) {
    public Side {
      valves = List.copyOf(valves);
    }
  }

  /**
   * One valve and all that goes onto it.
   *
   * @param spring mark of the spring meant for it
   * @param damper it has one, which goes in first
   * @param shimsIn under it, thinnest first
   * @param cup under it; blank for none
   * @param seal blank where the one that is on stays
   */
  public record ValveParts(
      Position valve,
      String spring,
      boolean damper,
      List<Double> shimsIn,
      String cup,
      String seal,
      String retainer,
      String locks,
      Wanted wanted) {
    public ValveParts {
      shimsIn = List.copyOf(shimsIn);
    }
  }

  /**
   * What is read at a valve, and what it is held against.
   *
   * @param seatLbf by the data sheet at the height
   * @param openLbf by the data sheet at net lift; null without a cam card
   * @param grossIn lift; null without a cam card
   * @param coilGapIn least gap of the two lowest coils at full lift
   * @param sealIn least gap of retainer and seal at full lift
   * @param guidePlayIn most play of stem and guide; null where the builder named none
   */
  public record Wanted(
      double heightIn,
      double toleranceIn,
      double seatLbf,
      @Nullable Double openLbf,
      @Nullable Double grossIn,
      double coilGapIn,
      double sealIn,
      @Nullable Double guidePlayIn) {}

  public AssemblyPlan {
    sides = List.copyOf(sides);
    valves = List.copyOf(valves);
    if (valves.isEmpty()) {
      throw new IllegalArgumentException("choose the valves that are assembled");
    }
  }

  public Optional<ValveParts> at(Position valve) {
    return valves.stream().filter(v -> v.valve().equals(valve)).findFirst();
  }

  int shims() {
    return valves.stream().mapToInt(v -> v.shimsIn().size()).sum();
  }

  int seals() {
    return (int) valves.stream().filter(v -> !v.seal().isBlank()).count();
  }
}
