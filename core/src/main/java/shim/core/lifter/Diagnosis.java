package shim.core.lifter;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Causes of what a valve shows, likeliest first, and what to look at next. Each rule of the table
 * multiplies a cause's odds; causes begin equal among those that some symptom speaks for. The share
 * of a cause is its part of all: a guide to where to look, not a measured probability.
 *
 * @param causes likeliest first
 * @param looks not yet made, in the order worth making them
 */
public record Diagnosis(List<Suspect> causes, List<NextLook> looks) {
  /** Below this a cause counts as ruled out. */
  private static final double RULED_OUT = 0.01;

  /** A look is worth making when it could move the shares by this part of what the best could. */
  private static final double WORTH = 0.2;

  /** And by at least this. */
  private static final double LEAST = 0.02;

  /**
   * One cause.
   *
   * @param share of all causes, 0 to 1
   * @param saysFor reasons for it, strongest first
   * @param saysAgainst reasons against it
   */
  public record Suspect(
      Cause cause,
      double share,
      boolean ruledOut,
      List<String> saysFor,
      List<String> saysAgainst) {}

  /**
   * A look worth making.
   *
   * @param tells what each grade would do: "pitted: for lifter; smooth: against lifter"
   * @param gain how far it may move the shares, 0 to 1
   */
  public record NextLook(Look look, List<String> tells, double gain) {}

  /** A finding of one look. */
  public record Seen(Look look, Grade grade) {}

  public Diagnosis {
    causes = List.copyOf(causes);
    looks = List.copyOf(looks);
  }

  /** Findings of one look: the last one counts. */
  public static Diagnosis of(Set<Symptom> symptoms, List<Seen> seen) {
    Map<Look, String> latest = latest(seen);
    return new Diagnosis(
        suspects(symptoms, seen), looks(symptoms, latest, shares(symptoms, latest)));
  }

  /** The causes alone, likeliest first, where nobody asks what to look at next. */
  public static List<Suspect> suspects(Set<Symptom> symptoms, List<Seen> seen) {
    Map<Look, String> latest = latest(seen);
    return shares(symptoms, latest).entrySet().stream()
        .sorted(Map.Entry.<Cause, Double>comparingByValue().reversed())
        .map(e -> suspect(e.getKey(), e.getValue(), symptoms, latest))
        .toList();
  }

  private static Map<Look, String> latest(List<Seen> seen) {
    Map<Look, String> latest = new EnumMap<>(Look.class);
    seen.forEach(s -> latest.put(s.look(), s.grade().word()));
    return latest;
  }

  private static Map<Cause, Double> shares(Set<Symptom> symptoms, Map<Look, String> seen) {
    Map<Cause, Double> logs = new EnumMap<>(Cause.class);
    for (Cause c : asked(symptoms, seen)) {
      logs.put(
          c,
          Rules.ALL.stream()
              .filter(r -> r.cause() == c && applies(r, symptoms, seen))
              .mapToDouble(Rules.Rule::weight)
              .sum());
    }
    double top = logs.values().stream().mapToDouble(d -> d).max().orElse(0);
    double sum = logs.values().stream().mapToDouble(d -> Math.exp(d - top)).sum();
    logs.replaceAll((c, log) -> Math.exp(log - top) / sum);
    return logs;
  }

  /** Causes that a symptom or a finding speaks of. */
  private static Set<Cause> asked(Set<Symptom> symptoms, Map<Look, String> seen) {
    Set<Cause> result = EnumSet.noneOf(Cause.class);
    Rules.ALL.stream()
        .filter(r -> r.weight() > 0 && applies(r, symptoms, seen))
        .forEach(r -> result.add(r.cause()));
    return result;
  }

  private static boolean applies(Rules.Rule r, Set<Symptom> symptoms, Map<Look, String> seen) {
    return r.symptom().map(symptoms::contains).orElse(false)
        || r.look().map(l -> r.grade().equals(seen.get(l))).orElse(false);
  }

  private static Suspect suspect(
      Cause cause, double share, Set<Symptom> symptoms, Map<Look, String> seen) {
    List<Rules.Rule> rules =
        Rules.ALL.stream()
            .filter(r -> r.cause() == cause && applies(r, symptoms, seen))
            .sorted(Comparator.comparingDouble(r -> -Math.abs(r.weight())))
            .toList();
    return new Suspect(
        cause,
        share,
        share < RULED_OUT,
        rules.stream().filter(r -> r.weight() > 0).map(Diagnosis::words).toList(),
        rules.stream().filter(r -> r.weight() < 0).map(Diagnosis::words).toList());
  }

  private static String words(Rules.Rule r) {
    String what =
        r.symptom()
            .map(Symptom::words)
            .orElseGet(() -> r.look().orElseThrow().title() + " " + r.grade());
    return what + ": " + r.reason();
  }

  private static List<NextLook> looks(
      Set<Symptom> symptoms, Map<Look, String> seen, Map<Cause, Double> shares) {
    List<NextLook> result = new ArrayList<>();
    for (Look look : Look.values()) {
      if (!seen.containsKey(look)) {
        double gain = gain(look, symptoms, seen, shares);
        List<String> tells = tells(look, shares.keySet());
        if (gain > LEAST && !tells.isEmpty()) {
          result.add(new NextLook(look, tells, gain));
        }
      }
    }
    double best = result.stream().mapToDouble(NextLook::gain).max().orElse(0);
    result.removeIf(l -> l.gain() < WORTH * best);
    result.sort(
        Comparator.<NextLook>comparingInt(l -> l.look().minutes())
            .thenComparing(Comparator.comparingDouble(NextLook::gain).reversed()));
    return result;
  }

  /** How far the shares could move: the mean over the grades, all held equally likely. */
  private static double gain(
      Look look, Set<Symptom> symptoms, Map<Look, String> seen, Map<Cause, Double> shares) {
    double sum = 0;
    for (Grade g : look.grades()) {
      Map<Look, String> then = new EnumMap<>(Look.class);
      then.putAll(seen);
      then.put(look, g.word());
      Map<Cause, Double> after = shares(symptoms, then);
      for (Map.Entry<Cause, Double> e : shares.entrySet()) {
        sum += Math.abs(after.getOrDefault(e.getKey(), 0.0) - e.getValue()) / 2;
      }
    }
    return look.grades().isEmpty() ? 0 : sum / look.grades().size();
  }

  private static List<String> tells(Look look, Set<Cause> open) {
    List<String> result = new ArrayList<>();
    for (Grade g : look.grades()) {
      for (Rules.Rule r : Rules.ALL) {
        if (open.contains(r.cause()) && r.isOf(look, g.word())) {
          result.add(
              g.word()
                  + (r.weight() > 0
                      ? " speaks for: "
                      : r.weight() < -5 ? " rules out: " : " speaks against: ")
                  + r.cause().words());
        }
      }
    }
    return result;
  }
}
