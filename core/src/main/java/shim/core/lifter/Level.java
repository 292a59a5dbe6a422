package shim.core.lifter;

import shim.core.fatigue.Verdict;

/** How bad a finding is. */
public enum Level {
  GOOD(Verdict.RUN),
  WORN(Verdict.WATCH),
  BAD(Verdict.CHANGE);

  private final Verdict asks;

  Level(Verdict asks) {
    this.asks = asks;
  }

  /** What it asks for when it is seen on the lifter itself. */
  public Verdict asks() {
    return asks;
  }
}
