package shim.core.change;

/** Everything that can be done to a job. What refuses each is in {@link Guard}. */
public enum Act {
  ACCEPT("cautions read and accepted"),
  LAY_OUT("laid out"),
  TICK("done"),
  UNTICK("taken back"),
  BAR("barred"),
  LOCK("crank locked"),
  UNLOCK("crank free"),
  ROCKERS_OFF("rockers and pushrods off, in order"),
  ROCKERS_ON("rockers on"),
  HOLD("held"),
  RELEASE("hold let go"),
  AIR_LOST("hold lost"),
  REHELD("held again"),
  DROPPED("dropped"),
  FREE("locks freed"),
  COMPRESS("compressed"),
  UNHOOK("locks out: unhooked"),
  SPRING_OUT("spring out"),
  SEAL("new seal on"),
  STACK("shims counted"),
  HEIGHT("height measured"),
  SKIP_HEIGHT("height not measured"),
  ACCEPT_HEIGHT("height accepted as it is"),
  SPRING_IN("spring in"),
  HOOK("locks in, gap seen"),
  CLOSE("let up slowly"),
  PROVE("locks proved"),
  JUMPED("a lock jumped"),
  SEATED("pushrod in its cup"),
  KEPT_OUT("pushrods still out"),
  TORQUE("torqued"),
  ZERO_LASH("length at zero lash measured"),
  LASH("lash set"),
  COUNTED("counted"),
  PUT_AWAY("old ones put away"),
  PARK("parked"),
  ORDER("parked for a part on order"),
  RESUME("taken up again"),
  ABANDON("ended unfinished"),
  SIGN("signed off");

  private final String words;

  Act(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }
}
