package shim.core.lifter;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import shim.core.drift.CommonStory;
import shim.core.drift.LashDrift;
import shim.core.drift.ValveDrift;
import shim.core.drift.ValveDrift.Strength;
import shim.core.engine.Position;
import shim.core.lash.RoundStory;
import shim.core.lash.RoundStory.Weight;

/** What to look at first at the end of a round: the round itself, and all rounds up to it. */
public final class RoundLooks {
  private RoundLooks() {}

  /**
   * @param story the round by itself
   * @param drift all rounds up to it
   * @param round its name among them
   * @param seen findings that speak of a valve
   * @return most pressing first
   */
  public static List<RoundStory.Look> of(
      RoundStory story,
      LashDrift drift,
      CommonStory common,
      String round,
      Function<Position, List<Diagnosis.Seen>> seen) {
    List<RoundStory.Look> looks = new ArrayList<>(story.first());
    drift.valves().values().stream()
        .filter(v -> v.strength() == Strength.FINDING || v.strength() == Strength.WATCH)
        .sorted(Comparator.comparingDouble(ValveDrift::sum).reversed())
        .forEach(v -> looks.add(valve(v, seen.apply(v.position()))));
    looks.addAll(together(story, common, round));
    looks.sort(Comparator.comparing(RoundStory.Look::weight));
    return looks;
  }

  private static RoundStory.Look valve(ValveDrift v, List<Diagnosis.Seen> seen) {
    Set<Symptom> symptoms = Symptom.of(v.signal()).map(Set::of).orElse(Set.of());
    List<Diagnosis.NextLook> next = Diagnosis.of(symptoms, seen).looks();
    return new RoundStory.Look(
        RoundStory.About.DRIFT,
        v.strength() == Strength.FINDING ? Weight.FIRST : Weight.SOON,
        v.position(),
        next.isEmpty() ? v.said() : v.said().named(next.get(0).look().title()));
  }

  /** Three rounds tell a rate and an odd round; two tell only that all moved. */
  private static List<RoundStory.Look> together(
      RoundStory story, CommonStory common, String round) {
    if (common.trends().isEmpty()) {
      return story.moved();
    }
    List<RoundStory.Look> looks = new ArrayList<>();
    common.trends().stream()
        .filter(CommonStory.Trend::clear)
        .forEach(
            t ->
                looks.add(
                    new RoundStory.Look(RoundStory.About.TOGETHER, Weight.SOON, null, t.said())));
    common.offRounds().stream()
        .filter(r -> r.round().equals(round))
        .forEach(
            r ->
                looks.add(
                    new RoundStory.Look(RoundStory.About.TOGETHER, Weight.SOON, null, r.said())));
    return looks;
  }
}
