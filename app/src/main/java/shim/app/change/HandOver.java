package shim.app.change;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import shim.app.record.Maybe;
import shim.app.running.Runs;
import shim.app.spring.Springs;
import shim.app.walk.Begun;
import shim.app.walk.Jobs;
import shim.core.change.Job;
import shim.core.change.JobPlan;
import shim.core.change.SpringAct;
import shim.core.change.StaysOpen;
import shim.core.change.ValveState;
import shim.core.engine.Position;
import shim.core.spring.Stack;
import shim.core.walk.Act;
import shim.core.walk.Done;
import shim.core.walk.Walk;
import shim.core.walk.WalkAct;

/** What an act means for the other records: parts change hands, lash is read, items stay open. */
@Component
class HandOver {
  private static final String HEADS_ON = "heads on: gasket, torque and lash before anything runs";

  private final Springs springs;
  private final WalkLash lash;
  private final OpenItems items;
  private final ChangeRules rules;
  private final Runs runs;

  HandOver(Springs springs, WalkLash lash, OpenItems items, ChangeRules rules, Runs runs) {
    this.rules = rules;
    this.runs = runs;
    this.springs = springs;
    this.lash = lash;
    this.items = items;
  }

  /**
   * Lets an act be followed in the other records.
   *
   * @param acts all acts before this one
   */
  void follow(
      Begun<JobPlanner.Planned> job, List<Done> acts, Walk<Job> before, Walk<Job> after, Done d) {
    if (d.act() instanceof SpringAct act) {
      follow(act, job, acts, after, d);
    } else if (d.act() == WalkAct.ABANDON) {
      abandoned(job, d);
    } else if (d.act() == WalkAct.SIGN) {
      signed(job, before.own(), d);
    }
  }

  private void follow(
      SpringAct act, Begun<JobPlanner.Planned> job, List<Done> acts, Walk<Job> after, Done d) {
    switch (act) {
      case SPRING_IN -> spring(job.plan(), String.valueOf(d.word()));
      case PROVE -> {
        Position p = Objects.requireNonNull(d.valve());
        Measured m =
            new Measured(
                after.own().valve(p),
                last(acts, SpringAct.STACK, p),
                last(acts, SpringAct.SPRING_OUT, p),
                after.own().scrapped());
        change(job, p, m, d);
      }
      case ZERO_LASH, LASH -> lash.read(setting(job), d);
      default -> {
        // Nothing outside the job follows from it.
      }
    }
  }

  private void abandoned(Begun<JobPlanner.Planned> job, Done d) {
    String words = "job ended unfinished: " + d.word();
    open(job, "abandoned", StaysOpen.Kind.UNFINISHED, words, OpenItems.Due.AT_ONCE, d.hand());
    if (job.plan().plan().kind() != JobPlan.Kind.IN_CAR) {
      open(job, "heads", StaysOpen.Kind.HEADS_ON, HEADS_ON, OpenItems.Due.AT_ONCE, d.hand());
    }
  }

  /**
   * A valve as it was left.
   *
   * @param shims its stack as written; null where only pieces were counted
   * @param out where the old spring went, and why
   */
  private record Measured(
      ValveState valve, @Nullable String shims, @Nullable String out, Set<String> scrapped) {}

  /** What was written with the last act of a kind at a valve. */
  static @Nullable String last(List<Done> acts, Act act, Position p) {
    return Done.last(acts, d -> d.act() == act && p.equals(d.valve()) && d.word() != null)
        .map(Done::word)
        .orElse(null);
  }

  /** A spring that is not the plan's must be one that lies in stock. */
  private UUID spring(JobPlanner.Planned planned, String mark) {
    UUID meant = planned.springs().get(mark.strip());
    return meant != null ? meant : springs.named(mark);
  }

  /** Old spring out of the records, new one in, at these engine hours, with what was measured. */
  private void change(Begun<JobPlanner.Planned> row, Position p, Measured m, Done done) {
    ValveState v = m.valve();
    UUID in = spring(row.plan(), String.valueOf(v.springIn()));
    Map<Position, Springs.StoredFitting> fitted = springs.fitted(row.engine());
    Springs.StoredFitting old = fitted.get(p);
    if (old != null && old.fitting().springId().equals(in)) {
      springs.fit(old.id(), measured(old.fitting(), m, done));
      return;
    }
    JobPlan.Work work = row.plan().plan().work(p).orElseThrow();
    if (old != null) {
      springs.remove(
          old.id(),
          new Springs.Removal(
              row.engineHours(),
              done.at(),
              m.scrapped().contains(work.oldSpring()),
              done.hand(),
              "spring change: " + Objects.requireNonNullElse(m.out(), "out")));
    }
    Around around = around(old == null ? null : old.fitting(), work.to(), m);
    springs.fit(
        Jobs.named(row.id(), p + " " + in),
        new Springs.FittingEntry(
            in,
            row.engine(),
            p,
            row.engineHours(),
            done.at(),
            null,
            null,
            v.heightIn(),
            around.shims(),
            around.retainer(),
            around.locks(),
            around.locator(),
            around.sealGapIn(),
            around.pocketIn(),
            null,
            done.hand(),
            "spring change"));
  }

  /** What stands around a spring that goes in. */
  private record Around(
      @Nullable String shims,
      @Nullable String retainer,
      @Nullable String locks,
      @Nullable String locator,
      @Nullable Double sealGapIn,
      @Nullable Double pocketIn) {
    static final Around UNKNOWN = new Around(null, null, null, null, null, null);
  }

  /** As it was; with a spring of another kind, what the plan put in with it. */
  private static Around around(
      Springs.@Nullable FittingEntry from, JobPlan.@Nullable Parts to, Measured m) {
    if (to != null) {
      return new Around(
          Stack.written(m.shims(), m.valve().shims(), to.shimsIn()),
          to.retainer(),
          to.locks(),
          to.cup().isBlank() ? null : to.cup(),
          to.sealGapIn(),
          to.pocketIn());
    }
    if (from == null) {
      return Around.UNKNOWN;
    }
    return new Around(
        m.shims() == null ? from.shims() : m.shims(),
        from.retainer(),
        from.locks(),
        from.locator(),
        from.sealGapIn(),
        from.pocketIn());
  }

  private static Springs.FittingEntry measured(Springs.FittingEntry f, Measured m, Done done) {
    return new Springs.FittingEntry(
        f.springId(),
        f.engineId(),
        f.valve(),
        f.fromHours(),
        f.fittedAt(),
        f.toHours(),
        f.removedAt(),
        m.valve().heightSkipped() && m.valve().shims() != Stack.count(f.shims())
            ? null
            : m.valve().heightIn() == null ? f.heightIn() : m.valve().heightIn(),
        m.shims() == null ? f.shims() : m.shims(),
        f.retainer(),
        f.locks(),
        f.locator(),
        f.sealGapIn(),
        f.pocketIn(),
        f.coilGapIn(),
        done.hand(),
        "put back in a spring change");
  }

  private static WalkLash.Setting setting(Begun<JobPlanner.Planned> job) {
    JobPlan plan = job.plan().plan();
    return new WalkLash.Setting(
        job.id(),
        job.engine(),
        job.engineHours(),
        job.plan().ask().state(),
        plan.valves().stream().map(JobPlan.Work::valve).toList(),
        plan.drive().sets(),
        "with a spring change");
  }

  /** Opens an item under a name of its own in the job, so that doing it twice does it once. */
  private void open(
      Begun<JobPlanner.Planned> row,
      String thing,
      StaysOpen.Kind kind,
      String words,
      OpenItems.Due due,
      String hand) {
    items.open(
        Jobs.named(row.id(), thing),
        row.engine(),
        row.id(),
        kind,
        words,
        OpenItems.About.ENGINE,
        due,
        hand);
  }

  private void signed(Begun<JobPlanner.Planned> row, Job job, Done done) {
    if (job.valves().values().stream().anyMatch(ValveState::lashSet)) {
      lash.sign(setting(row), done);
    }
    List<Position> standIns =
        row.plan().ask().valves().stream()
            .filter(JobPlanner.AskedValve::standIn)
            .map(JobPlanner.AskedValve::valve)
            .toList();
    ChangeRules.ChangeRulesSheet sheet = rules.of(row.engine());
    OptionalDouble breakIn = Maybe.of(row.plan().ask().breakInHours());
    List<Position> skipped =
        job.valves().entrySet().stream()
            .filter(e -> e.getValue().heightSkipped())
            .map(Map.Entry::getKey)
            .toList();
    StaysOpen.afterSigning(
            row.plan().plan(),
            row.engineHours(),
            skipped,
            standIns,
            sets(row.engine()),
            breakIn,
            Maybe.of(sheet.resetHours()))
        .forEach(
            o -> open(row, thing(o), o.kind(), words(o), due(o, row.engine(), sheet), done.hand()));
  }

  private OpenItems.Due due(StaysOpen o, UUID engineId, ChangeRules.ChangeRulesSheet sheet) {
    Double after = o.kind() == StaysOpen.Kind.RESET ? sheet.resetUsed() : null;
    return new OpenItems.Due(
        Maybe.orNull(o.dueHours()), after == null ? null : runs.used(engineId) + after, null);
  }

  /** Which set's spring stands at each valve now. */
  private Map<Position, String> sets(UUID engineId) {
    Map<Position, String> sets = new TreeMap<>();
    springs
        .fitted(engineId)
        .forEach(
            (p, f) ->
                sets.put(
                    p,
                    Objects.requireNonNullElse(
                        springs.get(f.fitting().springId()).spring().setName(), "no set")));
    return sets;
  }

  /** Its name in the job. */
  private static String thing(StaysOpen o) {
    return switch (o.kind()) {
      case RECHECK -> "recheck";
      case STAND_IN -> "stand-in " + o.valves().get(0);
      case ODD -> "odd " + o.valves().get(0);
      case INNER_OUT -> "inner";
      case HEIGHT_OPEN -> "height";
      case HEADS_ON -> "heads";
      case RESET -> "reset";
      case ORDER, UNFINISHED, NOTED ->
          throw new IllegalArgumentException("not by signing: " + o.kind());
    };
  }

  private static String words(StaysOpen o) {
    String valves = Position.list(o.valves());
    return switch (o.kind()) {
      case RECHECK -> "re-check lash after the first heat cycle: " + valves;
      case STAND_IN -> valves + " runs a stand-in spring until the right one comes";
      case ODD -> {
        StaysOpen.Odd odd = o.odd().orElseThrow();
        yield valves + " runs a spring of " + odd.set() + " among " + odd.among();
      }
      case INNER_OUT -> "inner springs are out for the break-in: put them back";
      case HEIGHT_OPEN -> "installed height not measured: " + valves;
      case HEADS_ON -> HEADS_ON;
      case RESET -> "lash or preload set anew, and fixings torqued again, once it has run in";
      case ORDER, UNFINISHED, NOTED ->
          throw new IllegalArgumentException("not by signing: " + o.kind());
    };
  }
}
