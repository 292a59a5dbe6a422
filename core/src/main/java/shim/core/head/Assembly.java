package shim.core.head;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import shim.core.change.Answer;
import shim.core.change.Item;
import shim.core.change.SpringAct;
import shim.core.engine.Position;
import shim.core.head.Bench.OnBench;
import shim.core.head.Bench.Stage;
import shim.core.walk.Done;
import shim.core.walk.Folding;
import shim.core.walk.Otherwise;
import shim.core.walk.Procedure;
import shim.core.walk.Step;
import shim.core.walk.Walk;
import shim.core.walk.WalkAct;

/** Assembling a head at the bench, by the book. */
public final class Assembly implements Procedure<Bench> {
  private final AssemblyPlan plan;
  private final List<Step> steps;

  public Assembly(AssemblyPlan plan) {
    this.plan = plan;
    this.steps = new AssemblyScript(plan).write();
  }

  @Override
  public String title() {
    return "Assembling heads";
  }

  @Override
  public List<Step> steps() {
    return steps;
  }

  @Override
  public Bench begin() {
    return Bench.bare(plan);
  }

  @Override
  public List<Item> things() {
    return List.of(Item.values());
  }

  @Override
  public Optional<String> leaving(Walk<Bench> walk, String how) {
    return walk.own()
        .underTool()
        .map(p -> p + " is " + walk.own().at(p).stage().words() + ": a job is not " + how + " so");
  }

  @Override
  public List<String> open(Walk<Bench> walk) {
    List<String> open = new ArrayList<>();
    walk.own()
        .valves()
        .forEach(
            (p, v) -> {
              if (v.stage() != Stage.PROVED) {
                open.add(p + " is not finished: " + v.stage().words());
              }
            });
    return open;
  }

  @Override
  public List<Otherwise> others(Walk<Bench> walk, @Nullable Step next) {
    List<Otherwise> all = new ArrayList<>();
    for (Position p : walk.own().valves().keySet()) {
      all.add(Otherwise.at(p, SpringAct.JUMPED, "A lock of " + p + " jumped", ""));
      all.add(Otherwise.at(p, SpringAct.STACK, p + ": another stack of shims", "pieces"));
      all.add(Otherwise.at(p, SpringAct.SPRING_OUT, p + ": take the spring off again", "why"));
      all.add(Otherwise.at(p, SpringAct.UNHOOK, p + ": take the locks out again", ""));
      all.add(Otherwise.at(p, SpringAct.CLOSE, p + ": let it up again", ""));
    }
    for (Item i : List.of(Item.LOCKS, Item.RETAINERS, Item.SEALS, Item.SPRINGS)) {
      all.add(Otherwise.more(i));
    }
    return all;
  }

  // ---- why not

  @Override
  public Optional<String> refuses(Walk<Bench> walk, Done d) {
    Position p = d.valve();
    if (p == null) {
      return d.act() instanceof SpringAct ? Optional.of("say at which valve") : Optional.empty();
    }
    if (plan.at(p).isEmpty()) {
      return Optional.of(p + " is not in this job");
    }
    OnBench v = walk.own().at(p);
    if (d.act() instanceof SpringAct act) {
      return refuses(walk, act, d, p, v);
    }
    boolean early =
        d.act() == WalkAct.READ
            && v.stage() != Stage.PROVED
            && AssemblyScript.AFTER_PROVING.stream()
                .anyMatch(s -> d.step().equals("read:" + p + ":" + s));
    return early ? Optional.of("prove the locks of " + p + " first") : Optional.empty();
  }

  private static Optional<String> refuses(
      Walk<Bench> walk, SpringAct act, Done d, Position p, OnBench v) {
    Optional<String> isNow = Optional.of(p + " is " + v.stage().words());
    return switch (act) {
      case STACK -> stack(d, v, isNow);
      case SEAL -> v.stage() == Stage.BARE ? Optional.empty() : isNow;
      case SPRING_IN -> v.stage() == Stage.BARE ? springIn(walk, d, p) : isNow;
      case COMPRESS -> compress(walk, p, v, isNow);
      case HOOK -> hook(d, v, isNow);
      case CLOSE ->
          v.stage() == Stage.HOOKED
              ? Optional.empty()
              : v.stage() == Stage.COMPRESSED
                  ? Optional.of("the locks of " + p + " are not in: it would lose everything")
                  : isNow;
      case PROVE -> v.stage() == Stage.CLOSED ? Optional.empty() : isNow;
      case JUMPED ->
          v.stage() == Stage.CLOSED || v.stage() == Stage.PROVED ? Optional.empty() : isNow;
      case UNHOOK -> v.stage() == Stage.HOOKED ? Optional.empty() : isNow;
      case SPRING_OUT ->
          v.stage() == Stage.COMPRESSED || v.stage() == Stage.SPRING_ON ? Optional.empty() : isNow;
      default -> Optional.of("that has no part in this work");
    };
  }

  private static Optional<String> stack(Done d, OnBench v, Optional<String> isNow) {
    if (v.stage() != Stage.BARE) {
      return isNow;
    }
    return d.number() >= 0 && d.number() <= 20 ? Optional.empty() : Optional.of("how many pieces?");
  }

  private static Optional<String> springIn(Walk<Bench> walk, Done d, Position p) {
    if (d.text().isEmpty()) {
      return Optional.of("which spring goes in?");
    }
    if (!walk.ticked().contains("read:" + p + ":height")) {
      return Optional.of("measure " + p + "'s height with the parts that go in first");
    }
    return walk.own().valves().entrySet().stream()
        .filter(e -> !e.getKey().equals(p) && d.text().equals(e.getValue().spring()))
        .findFirst()
        .map(e -> d.text() + " is in at " + e.getKey());
  }

  private static Optional<String> compress(
      Walk<Bench> walk, Position p, OnBench v, Optional<String> isNow) {
    if (v.stage() == Stage.BARE) {
      return Optional.of("no spring is on " + p);
    }
    if (v.stage() != Stage.SPRING_ON) {
      return isNow;
    }
    return walk.own().underTool().map(o -> "finish " + o + " first: one valve at a time");
  }

  private static Optional<String> hook(Done d, OnBench v, Optional<String> isNow) {
    if (v.stage() != Stage.COMPRESSED) {
      return isNow;
    }
    return Answer.of(d.text()).filter(a -> a == Answer.GAP).isPresent()
        ? Optional.empty()
        : Optional.of(
            "without a gap between its halves a lock is not home: relieve its ends, set it again");
  }

  // ---- what an act makes of it

  @Override
  public void undo(Folding<Bench> w, Done d) {
    if (d.valve() == null || !(d.act() instanceof SpringAct act)) {
      return;
    }
    Position p = d.valve();
    switch (act) {
      case STACK -> w.again("read:" + p + ":height");
      case UNHOOK -> w.again(p + ":HOOK");
      case SPRING_OUT -> {
        w.again(p + ":SPRING_IN");
        w.again(p + ":COMPRESS");
      }
      case JUMPED -> {
        List.of("COMPRESS", "HOOK", "CLOSE", "PROVE").forEach(s -> w.again(p + ":" + s));
        AssemblyScript.AFTER_PROVING.forEach(s -> w.again("read:" + p + ":" + s));
      }
      default -> {
        // Nothing before it is undone.
      }
    }
  }

  @Override
  public void follow(Folding<Bench> w, Done d) {
    if (d.valve() == null || !(d.act() instanceof SpringAct act)) {
      return;
    }
    Position p = Objects.requireNonNull(d.valve());
    OnBench v = w.own().at(p);
    switch (act) {
      case STACK -> {
        int pieces = (int) d.number();
        w.count(Item.SHIMS, t -> t.takenOff(v.shims()).putOn(pieces).fromStock());
        set(w, p, new OnBench(v.stage(), v.spring(), pieces));
      }
      case SEAL -> w.count(Item.SEALS, t -> t.putOn(1));
      case SPRING_IN -> {
        w.count(Item.SPRINGS, t -> t.putOn(1));
        set(w, p, new OnBench(Stage.SPRING_ON, d.text(), v.shims()));
      }
      case SPRING_OUT -> {
        w.count(Item.SPRINGS, t -> t.takenOff(1));
        set(w, p, new OnBench(Stage.BARE, null, v.shims()));
      }
      case COMPRESS -> set(w, p, v.to(Stage.COMPRESSED));
      case HOOK -> {
        locks(w, 1);
        set(w, p, v.to(Stage.HOOKED));
      }
      case UNHOOK -> {
        locks(w, -1);
        set(w, p, v.to(Stage.COMPRESSED));
      }
      case JUMPED -> {
        locks(w, -1);
        set(w, p, v.to(Stage.SPRING_ON));
      }
      case CLOSE -> set(w, p, v.to(Stage.CLOSED));
      case PROVE -> set(w, p, v.to(Stage.PROVED));
      default -> {
        // Refused before it came here.
      }
    }
  }

  private static void locks(Folding<Bench> w, int pairs) {
    int on = Math.max(0, pairs);
    int off = Math.max(0, -pairs);
    w.count(Item.LOCKS, t -> t.takenOff(2 * off).putOn(2 * on));
    w.count(Item.RETAINERS, t -> t.takenOff(off).putOn(on));
  }

  private static void set(Folding<Bench> w, Position p, OnBench next) {
    w.own(w.own().with(p, next));
  }
}
