package shim.core.drift;

/**
 * What is taken as known of reading lash and of healthy wear. All from practice and simulated
 * seasons, no source; the team may change them.
 *
 * @param feelThou scatter of one reading beyond its leaf, standard deviation
 * @param tails degrees of freedom of that scatter: the fewer, the more a single wild reading is
 *     forgiven
 * @param settleThou scatter by which a lash set and locked moves when the engine first runs
 * @param wanderThou scatter of a healthy valve's lash over one hour, growing with its root
 * @param healthyThouPerHour spread of the healthy valves' own rates about their kind
 * @param smallestThouPerHour the smallest rate worth finding; twice and four times it are tried too
 * @param growthSpreadThou spread of the valves' own growth about their kind
 * @param watchAt weight of what speaks for a change, ln(1 + 1000 × odds), from which a valve is
 *     watched: one to four
 * @param findingAt the same from which it is a finding: even odds
 */
public record DriftRules(
    double feelThou,
    double tails,
    double settleThou,
    double wanderThou,
    double healthyThouPerHour,
    double smallestThouPerHour,
    double growthSpreadThou,
    double watchAt,
    double findingAt) {
  public static final DriftRules USUAL =
      new DriftRules(0.5, 8, 0.4, 0.15, 0.05, 0.5, 0.5, 5.5, 6.9);

  /** The same with another smallest rate, thou an hour. */
  public DriftRules smallest(double thouPerHour) {
    return new DriftRules(
        feelThou,
        tails,
        settleThou,
        wanderThou,
        healthyThouPerHour,
        thouPerHour,
        growthSpreadThou,
        watchAt,
        findingAt);
  }
}
