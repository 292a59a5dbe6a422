package shim.bench.lash;

/**
 * How lash moves and is read in one population. None is the analysis's own model: feel is not
 * normal in two of them, rounds share errors, faults speed up, nuts slip. All thou and hours.
 *
 * @param banks banks of four cylinders, or one of six
 * @param rounds rounds a season
 * @param hoursBetween mean running between rounds
 * @param coldShare share of rounds made cold
 * @param laplace feel has long tails
 * @param feel standard deviation of one feel
 * @param leaf step between leaves
 * @param roundOffset standard deviation of what a whole round reads off
 * @param hands how far each of two persons reads off
 * @param cooling how far the last valve of a hot round reads off the first
 * @param exhaustsClosePerHour seats that all sink, thou an hour
 * @param own standard deviation of the valves' own healthy rates
 * @param slipShare share of valves whose jam nut slips once
 * @param speedsUp faults begin slowly and speed up
 * @param atOnce faults of a season that has any
 */
record LashLaw(
    String words,
    int banks,
    int cylindersInBank,
    int rounds,
    double hoursBetween,
    double coldShare,
    boolean laplace,
    double feel,
    double leaf,
    double roundOffset,
    double[] hands,
    double cooling,
    double exhaustsClosePerHour,
    double own,
    double slipShare,
    boolean speedsUp,
    int atOnce) {

  /** In few words. */
  String name() {
    int end = words.indexOf(',', words.indexOf(',') + 1);
    return end < 0 ? words : words.substring(0, end);
  }

  static java.util.List<LashLaw> all() {
    return java.util.List.of(
        new LashLaw(
            "V8, hot rounds, two hands, whole leaves",
            2,
            4,
            12,
            1.2,
            0,
            false,
            0.5,
            1,
            0.8,
            new double[] {0.5, -0.5},
            0,
            0,
            0.03,
            0,
            false,
            1),
        new LashLaw(
            "V8, three hands, cooling, uneven running, half leaves",
            2,
            4,
            12,
            1.2,
            0,
            false,
            0.5,
            0.5,
            0.8,
            new double[] {0.5, 0, -0.5},
            0.8,
            0.05,
            0.05,
            0,
            false,
            1),
        new LashLaw(
            "six, long-tailed feel, nuts slipping, exhaust seats sinking",
            1,
            6,
            12,
            1.2,
            0,
            true,
            0.45,
            1,
            0.8,
            new double[] {0.5, -0.5},
            0.5,
            0.08,
            0.04,
            0.03,
            false,
            1),
        new LashLaw(
            "V8, hot and cold, two hands, cooling, all exhaust seats sinking",
            2,
            4,
            12,
            1.2,
            0.5,
            false,
            0.5,
            1,
            1.2,
            new double[] {0.7, -0.7},
            1.0,
            0.1,
            0.05,
            0.02,
            false,
            1),
        new LashLaw(
            "four, long-tailed feel, uneven running, nuts slipping",
            1,
            4,
            10,
            1.5,
            0,
            true,
            0.6,
            1,
            1.0,
            new double[] {0.5, -0.5},
            0.5,
            0.05,
            0.06,
            0.05,
            false,
            1),
        new LashLaw(
            "six, faults that speed up, hot and cold, half leaves",
            1,
            6,
            12,
            1.2,
            0.3,
            true,
            0.5,
            0.5,
            0.8,
            new double[] {0.5, 0, -0.5},
            0.5,
            0.05,
            0.05,
            0.02,
            true,
            1),
        new LashLaw(
            "V8, two valves at once, half leaves, two hands, cooling",
            2,
            4,
            12,
            1.2,
            0,
            false,
            0.6,
            0.5,
            1.0,
            new double[] {0.8, -0.8},
            1.2,
            0,
            0.05,
            0.02,
            false,
            2),
        new LashLaw(
            "V8, exhaust seats sinking fast, long-tailed feel, cooling, nuts slipping",
            2,
            4,
            12,
            1.2,
            0,
            true,
            0.5,
            1,
            0.8,
            new double[] {0.5, -0.5},
            1.0,
            0.2,
            0.05,
            0.04,
            false,
            1));
  }
}
