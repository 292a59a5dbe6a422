package shim.core.change;

import shim.core.walk.Act;

/**
 * What is done in a spring change beside what is done in every walk. What refuses each is in {@link
 * Guard}.
 */
public enum SpringAct implements Act {
  BAR("barred"),
  LOCK("crank locked"),
  UNLOCK("crank free"),
  ROCKERS_OFF("rockers and pushrods off, in order"),
  ROCKERS_ON("rockers on"),
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
  ZERO_LASH("length at zero lash measured"),
  LASH("lash set");

  private final String words;

  SpringAct(String words) {
    this.words = words;
  }

  @Override
  public String words() {
    return words;
  }
}
