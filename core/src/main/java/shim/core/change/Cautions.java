package shim.core.change;

import java.util.ArrayList;
import java.util.List;
import shim.core.engine.Position;

/** What is dangerous in a job, said before it begins and when it happens. */
public final class Cautions {
  private Cautions() {}

  /** What is shown before the first step, to be read and accepted. */
  public static List<String> of(JobPlan plan) {
    List<String> all = new ArrayList<>();
    all.add(
        "Safety glasses. Nobody in front of a compressed spring: it can blind or break fingers.");
    if (plan.hold() == Hold.AIR) {
      all.add("Air turns the crank. Hands and tools off it when air goes on.");
      all.add("Never leave air on with a valve unhooked: if it leaks away, the head comes off.");
    }
    if (plan.hold().onTheCrank()) {
      all.add("Nobody bars the crank and nobody lets a hold go while a valve is unhooked.");
    }
    all.add("One valve at a time. Locks, shims and valves are never mixed between positions.");
    if (plan.drive().fixingClampsHead()) {
      all.add("The rocker fixings clamp the head: loosen one at a time, by its own torque rule.");
    }
    all.add("The engine builder's sheet and the maker's limits come before anything said here.");
    return List.copyOf(all);
  }

  /** What to do now that a hold has failed under an unhooked valve. Common practice, no source. */
  public static List<String> whenLost(Hold hold, Position valve) {
    List<String> now = new ArrayList<>();
    now.add(
        "Fingers on the stem of " + valve + " now: a valve weighs little. Clip or band round it.");
    now.add("Nobody bars the crank. The piston stands at TDC and is what it would land on.");
    now.add(
        hold == Hold.AIR
            ? "Then hose, fitting and gauge: put the air back."
            : "Then bring the hold back: " + hold.by() + ", or air through the plug hole.");
    now.add("It will not come back: spring and locks on again by hand, before anything else.");
    now.add(
        "It has dropped: leave the crank where it is. A magnet on the stem's end may lift it back"
            + " through the guide; if not, the head comes off.");
    return List.copyOf(now);
  }
}
