package shim.core.change;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import shim.core.change.ValveState.Pushrod;
import shim.core.change.ValveState.Stage;
import shim.core.engine.Position;
import shim.core.unit.Figures;
import shim.core.unit.InWords;
import shim.core.walk.Done;
import shim.core.walk.Held;
import shim.core.walk.Walk;
import shim.core.walk.WalkAct;

/** Why something must not be done now, in the words of whoever stands beside the engine. */
final class Guard {
  private final Walk<Job> walk;
  private final Job job;
  private final JobPlan plan;

  Guard(Walk<Job> walk) {
    this.walk = walk;
    this.job = walk.own();
    this.plan = job.plan();
  }

  Optional<String> refuses(Done d) {
    if (d.valve() != null) {
      return plan.work(d.valve()).isEmpty()
          ? Optional.of(d.valve() + " is not in this job")
          : valve(d, d.valve(), job.valve(d.valve()));
    }
    if (d.cylinder() != null) {
      return plan.of(d.cylinder()).isEmpty()
          ? Optional.of("cylinder " + d.cylinder() + " is not in this job")
          : cylinder(d, d.cylinder());
    }
    return engine(d);
  }

  // ---- the engine as a whole

  private Optional<String> engine(Done d) {
    if (!(d.act() instanceof SpringAct act)) {
      return Optional.empty();
    }
    return switch (act) {
      case BAR -> bar(d);
      case LOCK -> when(job.crankLocked(), "the crank is locked already");
      case UNLOCK ->
          first(
              when(
                  !walk.held().isEmpty() && plan.hold() == Hold.AIR,
                  "air is on: it would turn the crank"),
              open("a crank that is free"),
              when(!job.crankLocked(), "the crank is not locked"));
      default -> Optional.of("say at which cylinder or valve");
    };
  }

  private Optional<String> bar(Done d) {
    if (!plan.hold().onTheCrank()) {
      return Optional.of("the crank has no part in this job");
    }
    return first(
        AtStop.nowhere(d),
        open("turning the crank"),
        walk.held().keySet().stream()
            .findFirst()
            .map(
                c ->
                    plan.hold() == Hold.AIR
                        ? "air is on in cylinder " + c + ": let it off before anyone bars"
                        : "cylinder " + c + " is still held by " + plan.hold().by() + ": end that"),
        when(job.crankLocked(), "the crank is locked"),
        eachFinished(
            p -> job.valve(p).pushrod() == Pushrod.OUT,
            "'s pushrod is not confirmed in its cup, nor kept out: barring bends it"));
  }

  /** Nobody walks away from a valve without its locks, nor from air that is on. */
  Optional<String> leaving(String how) {
    return first(
        plan.hold() == Hold.BLOCK ? Optional.empty() : open("a job so"),
        walk.held().keySet().stream()
            .filter(c -> plan.hold() != Hold.BLOCK)
            .findFirst()
            .map(c -> "the hold is on at cylinder " + c + ": a job is not " + how + " so"));
  }

  // ---- one cylinder

  private Optional<String> cylinder(Done d, int c) {
    if (d.act() instanceof WalkAct act) {
      return switch (act) {
        case HOLD -> hold(d, c);
        case RELEASE -> release(c);
        case TORQUE -> torque(c);
        default -> Optional.empty();
      };
    }
    if (d.act() == SpringAct.ROCKERS_OFF) {
      return when(job.off().contains(c), "the rockers are off already");
    }
    if (d.act() == SpringAct.ROCKERS_ON) {
      return rockersOn(c);
    }
    return d.act() == SpringAct.KEPT_OUT
        ? when(!job.off().contains(c), "the rockers of cylinder " + c + " are on")
        : Optional.of("say at which valve");
  }

  private Optional<String> hold(Done d, int c) {
    if (walk.held().containsKey(c)) {
      return Optional.of("cylinder " + c + " is held already");
    }
    if (!plan.hold().onTheCrank()) {
      return Optional.empty();
    }
    return first(
        there(d, c),
        when(
            plan.hold() == Hold.AIR && plan.crankLock() && !job.crankLocked(),
            "lock the crank first: air turns it"),
        plan.hold() == Hold.AIR
            ? walk.held().keySet().stream()
                .findFirst()
                .map(o -> "air is on in cylinder " + o + ": one cylinder at a time")
            : Optional.empty());
  }

  /** At TDC; or with air off it on purpose, where the crank cannot turn and a person said so. */
  private Optional<String> there(Done d, int c) {
    double off = CrankOff.degrees(job, c);
    if (Figures.atMost(Math.abs(off), AtStop.THERE_DEG)) {
      return Optional.empty();
    }
    String bar = "the crank is not at TDC of cylinder " + c + ": bar there first";
    if (plan.hold() != Hold.AIR || !CrankOff.near(off)) {
      return Optional.of(bar);
    }
    Optional<CrankOff> here = job.offTdc(c);
    if (here.isEmpty()) {
      return Optional.of(bar + ". Without bore, stroke and rod nobody knows what air does here");
    }
    CrankOff at = here.get();
    if (at.turns()) {
      return Optional.of(
          at.words()
              + String.format(
                  Locale.ROOT,
                  "; by itself it holds to %.0f°: lock it, or bar to TDC",
                  Math.floor(at.holdsWithinDeg())));
    }
    return when(
        !Answer.of(d.text()).equals(Optional.of(Answer.OFF_TDC)),
        at.words() + ": accept it, or bar to TDC");
  }

  private Optional<String> release(int c) {
    if (!walk.held().containsKey(c)) {
      return Optional.of("no hold is on at cylinder " + c);
    }
    boolean atEnd = plan.schools().proving() == Schools.Proving.AT_END;
    return first(
        openIn(c, "letting the hold go"),
        plan.of(c).stream()
            .filter(w -> !atEnd && job.valve(w.valve()).stage() == Stage.CLOSED)
            .findFirst()
            .map(w -> "prove the locks of " + w.valve() + " first: one not home jumps now"));
  }

  private Optional<String> rockersOn(int c) {
    if (!job.off().contains(c)) {
      return Optional.of("the rockers of cylinder " + c + " are on");
    }
    return first(
        plan.of(c).stream()
            .filter(w -> job.valve(w.valve()).stage() != Stage.PROVED)
            .findFirst()
            .map(w -> w.valve() + " is not finished: " + job.valve(w.valve()).stage().words()),
        unseated(c));
  }

  private Optional<String> torque(int c) {
    return first(
        unseated(c),
        when(job.off().contains(c), "the rockers of cylinder " + c + " are not on yet"));
  }

  private Optional<String> unseated(int c) {
    return plan.of(c).stream()
        .filter(
            w ->
                switch (job.valve(w.valve()).pushrod()) {
                  case OUT, KEPT_OUT -> true;
                  case NONE, IN_PLACE, SEATED -> false;
                })
        .findFirst()
        .map(
            w ->
                w.valve() + "'s pushrod is not confirmed in its lifter's cup: the rocker bends it");
  }

  // ---- one valve

  private Optional<String> valve(Done d, Position p, ValveState v) {
    if (!(d.act() instanceof SpringAct act)) {
      return d.act() == WalkAct.TICK || d.act() == WalkAct.DROPPED
          ? Optional.empty()
          : Optional.of("that is not done at one valve");
    }
    return switch (act) {
      case FREE -> first(notHeld(p), when(v.stage() != Stage.ON_SPRING, isNow(p, v)));
      case COMPRESS -> compress(p, v);
      case UNHOOK ->
          first(
              notHeld(p),
              when(
                  v.stage() != Stage.COMPRESSED || !v.hooked(),
                  v.hooked() ? "compress " + p + " first" : p + "'s locks are out already"));
      case SPRING_OUT ->
          first(
              when(!v.loose(), p + " still has its locks in"),
              when(v.springIn() == null, p + "'s spring is out already"),
              when(
                  Answer.of(d.text()).filter(Answer::goesSomewhere).isEmpty(),
                  "say where it goes: scrap, spare or in again"));
      case SEAL -> bare(p, v);
      case STACK ->
          first(bare(p, v), when(!(d.number() >= 0 && d.number() <= 20), "how many pieces?"));
      case HEIGHT -> height(d, p, v);
      case SKIP_HEIGHT -> first(bare(p, v), when(d.text().isEmpty(), "say why it is not measured"));
      case ACCEPT_HEIGHT ->
          first(
              when(v.heightIn() == null, "measure the height first"),
              when(d.text().isEmpty(), "say why this height may stand"));
      case SPRING_IN -> springIn(d, p, v);
      case HOOK -> hook(d, p, v);
      case CLOSE -> close(p, v);
      case PROVE -> when(v.stage() != Stage.CLOSED, isNow(p, v));
      case JUMPED -> when(!v.stage().finished(), isNow(p, v));
      case SEATED -> seated(p, v);
      case ZERO_LASH, LASH -> lash(d, p);
      default -> Optional.of("that is not done at one valve");
    };
  }

  private static String isNow(Position p, ValveState v) {
    return p + " is " + v.stage().words();
  }

  private Optional<String> notHeld(Position p) {
    return when(
        !walk.held().containsKey(p.cylinder()),
        p + " is not held: " + plan.hold().by() + " first, or it drops");
  }

  private Optional<String> compress(Position p, ValveState v) {
    return first(
        notHeld(p),
        when(v.stage() == Stage.COMPRESSED || v.stage() == Stage.DROPPED, isNow(p, v)),
        when(v.stage() == Stage.UNHOOKED && v.springIn() == null, "no spring is on " + p),
        when(
            plan.kind() == JobPlan.Kind.IN_CAR && !job.off().contains(p.cylinder()),
            "the rockers of cylinder " + p.cylinder() + " are still on"),
        job.valves().entrySet().stream()
            .filter(e -> !e.getKey().equals(p) && e.getValue().stage().open())
            .filter(e -> plan.kind() != JobPlan.Kind.ASSEMBLE || e.getValue().springIn() != null)
            .findFirst()
            .map(e -> "finish " + e.getKey() + " first: one valve at a time"));
  }

  private static Optional<String> bare(Position p, ValveState v) {
    return when(
        v.stage() != Stage.UNHOOKED || v.springIn() != null, p + "'s spring is still there");
  }

  private Optional<String> height(Done d, Position p, ValveState v) {
    JobPlan.Height wanted = plan.work(p).orElseThrow().height();
    return first(
        bare(p, v),
        when(
            !(d.number() >= 0.5 && d.number() <= 6),
            "an installed height lies between " + InWords.inch(0.5) + " and " + InWords.inch(6)),
        wanted.beyondGauge(d.number()));
  }

  private Optional<String> springIn(Done d, Position p, ValveState v) {
    JobPlan.Height wanted = plan.work(p).orElseThrow().height();
    Double h = v.heightIn();
    return first(
        bare(p, v),
        when(d.text().isEmpty(), "which spring goes in?"),
        when(!v.heightDone(), "measure " + p + "'s height with the parts that go in first"),
        h == null || wanted.within(h) || v.heightAccepted()
            ? Optional.empty()
            : Optional.of(
                InWords.inch(h)
                    + " is out of "
                    + wanted.words()
                    + ": another stack, or say why it may stand"),
        when(job.scrapped().contains(d.text()), d.text() + " came out as scrap"),
        job.valves().entrySet().stream()
            .filter(e -> !e.getKey().equals(p) && d.text().equals(e.getValue().springIn()))
            .findFirst()
            .map(e -> d.text() + " is in at " + e.getKey()));
  }

  private static Optional<String> hook(Done d, Position p, ValveState v) {
    return first(
        when(v.stage() != Stage.COMPRESSED, "compress " + p + " first"),
        when(v.hooked(), p + "'s locks are in"),
        when(
            !Answer.of(d.text()).equals(Optional.of(Answer.GAP)),
            "without a gap between its halves a lock is not home: take them out, clean, again"));
  }

  private static Optional<String> close(Position p, ValveState v) {
    return first(
        when(v.stage() != Stage.COMPRESSED, isNow(p, v)),
        when(!v.hooked(), "the locks of " + p + " are not in: it would lose everything"));
  }

  private Optional<String> seated(Position p, ValveState v) {
    return first(
        when(v.pushrod() == Pushrod.NONE, "this engine has no pushrods"),
        when(!v.stage().finished(), p + "'s spring is not finished: " + v.stage().words()));
  }

  private Optional<String> lash(Done d, Position p) {
    DoubleStream stops =
        plan.route().legs().stream()
            .filter(l -> l.lash().contains(p))
            .mapToDouble(Route.Leg::crankDeg);
    return first(
        when(job.off().contains(p.cylinder()), "the rockers are not on yet"),
        when(job.valve(p).stage() != Stage.PROVED, isNow(p, job.valve(p))),
        AtStop.refuses(walk, d, p, job.crankDeg(), stops, plan.drive().sets()));
  }

  // ---- shared

  private Optional<String> open(String what) {
    return openIn(null, what);
  }

  private Optional<String> openIn(@Nullable Integer c, String what) {
    return job.valves().entrySet().stream()
        .filter(e -> c == null || e.getKey().cylinder() == c)
        .filter(e -> e.getValue().stage().open())
        .findFirst()
        .map(e -> words(e) + ": " + what + " drops it");
  }

  private String words(Map.Entry<Position, ValveState> e) {
    ValveState v = e.getValue();
    if (!v.loose()) {
      return e.getKey() + " is compressed";
    }
    Held h = walk.held().get(e.getKey().cylinder());
    String by = h == null ? plan.hold().by() : h.by();
    String since = v.since() == null ? "" : " since " + InWords.time(v.since());
    return e.getKey() + " is unhooked, held by " + by + since;
  }

  private Optional<String> eachFinished(Predicate<Position> wrong, String words) {
    return job.valves().entrySet().stream()
        .filter(e -> e.getValue().stage().finished() && wrong.test(e.getKey()))
        .findFirst()
        .map(e -> e.getKey() + words);
  }

  private static Optional<String> when(boolean wrong, String words) {
    return wrong ? Optional.of(words) : Optional.empty();
  }

  @SafeVarargs
  @SuppressWarnings("varargs") // only read
  private static Optional<String> first(Optional<String>... refusals) {
    return Stream.of(refusals).flatMap(Optional::stream).findFirst();
  }
}
