package shim.core.walk;

/** What can be done in every walk. */
public enum WalkAct implements Act {
  ACCEPT("cautions read and accepted", Where.WHOLE),
  LAY_OUT("laid out", Where.WHOLE),
  TICK("done", Where.ANY),
  UNTICK("taken back", Where.WHOLE),
  /** A figure that is read and held against its limit; one that is out wants a reason. */
  READ("read", Where.ANY),
  HOLD("held", Where.CYLINDER),
  RELEASE("hold let go", Where.CYLINDER),
  AIR_LOST("hold lost", Where.CYLINDER),
  REHELD("held again", Where.CYLINDER),
  /** What hung by a hold that was lost. */
  DROPPED("dropped", Where.VALVE),
  TORQUE("torqued", Where.ANY),
  COUNTED("counted", Where.WHOLE),
  PUT_AWAY("old ones put away", Where.WHOLE),
  PARK("parked", Where.WHOLE),
  ORDER("parked for a part on order", Where.WHOLE),
  RESUME("taken up again", Where.WHOLE),
  ABANDON("ended unfinished", Where.WHOLE),
  SIGN("signed off", Where.WHOLE);

  /** Where an act is done. */
  enum Where {
    WHOLE,
    CYLINDER,
    VALVE,
    ANY
  }

  private final String words;
  private final Where where;

  WalkAct(String words, Where where) {
    this.words = words;
    this.where = where;
  }

  @Override
  public String words() {
    return words;
  }

  /** It says where it was done, as far as it must. */
  boolean placed(Done d) {
    return switch (where) {
      case WHOLE -> d.cylinder() == null && d.valve() == null;
      case CYLINDER -> d.cylinder() != null && d.valve() == null;
      case VALVE -> d.valve() != null;
      case ANY -> true;
    };
  }
}
