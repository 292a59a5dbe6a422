package shim.bench.judgement;

/**
 * How a set is made up and read.
 *
 * @param sizes springs of a set, one after the other
 * @param checked a check spring is read at start and end
 * @param repeats readings of one setting
 * @param rereads what moved against its set by more than 2.5 % is set up again, whoever asks
 * @param halfNew half of the springs were new in the middle of the season
 * @param jumpLn size of a jump of the tester between two days, either way
 * @param settingSd error of a setting, the same for all its repeats, ln
 * @param slipLn largest wrong setting, ln; one in a hundred is wrong by at least a third of it
 */
record Conditions(
    int[] sizes,
    boolean checked,
    int repeats,
    boolean rereads,
    boolean halfNew,
    double jumpLn,
    double settingSd,
    double slipLn) {
  private static final int[] MIXED = {4, 8, 12, 16, 24, 32};

  /** With a check spring, two repeats, and a second setting for what does not fit. */
  static final Conditions USUAL = new Conditions(MIXED, true, 2, true, false, 0, 0, 0.06);

  Conditions unchecked() {
    return new Conditions(sizes, false, repeats, rereads, halfNew, jumpLn, settingSd, slipLn);
  }

  Conditions of(int springs) {
    return new Conditions(
        new int[] {springs}, checked, repeats, rereads, halfNew, jumpLn, settingSd, slipLn);
  }

  /** Nobody sets up anything twice but what Shim asks for. */
  Conditions asRead() {
    return new Conditions(sizes, checked, repeats, false, halfNew, jumpLn, settingSd, slipLn);
  }

  Conditions repeats(int each) {
    return new Conditions(sizes, checked, each, rereads, halfNew, jumpLn, settingSd, slipLn);
  }

  Conditions halfRenewed() {
    return new Conditions(sizes, checked, repeats, rereads, true, jumpLn, settingSd, slipLn);
  }

  Conditions jumping(double ln) {
    return new Conditions(sizes, checked, repeats, rereads, halfNew, ln, settingSd, slipLn);
  }

  /** Heights tell more in a progressive spring: every setting is off a little, a wrong one more. */
  Conditions progressive() {
    return new Conditions(sizes, checked, repeats, rereads, halfNew, jumpLn, 0.006, 0.09);
  }
}
