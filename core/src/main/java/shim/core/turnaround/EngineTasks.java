package shim.core.turnaround;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.readiness.Readiness;
import shim.core.readiness.Readiness.Code;
import shim.core.readiness.Readiness.State;
import shim.core.turnaround.Task.Kind;
import shim.core.unit.Said;

/**
 * What an engine asks for before its next event, in the order of the job: springs are read first
 * and changed with the rockers off, lifters and rockers come next, and lash is last, because all
 * the others move it.
 */
public final class EngineTasks {
  /** What one tester can do: one engine at a time. */
  public static final String TESTER = "tester";

  /** Minutes to warm an engine whose lash is set hot; common practice, no source. */
  static final int WARM_UP = 20;

  /** What each reason of readiness asks for; those that are missing ask for nothing more. */
  private static final Map<Code, Kind> ASKS =
      new EnumMap<>(
          Map.ofEntries(
              Map.entry(Code.OPEN_JOB, Kind.OPEN_JOB),
              Map.entry(Code.OPEN_ITEM, Kind.OPEN_ITEM),
              Map.entry(Code.NOT_WHOLE, Kind.OPEN_ITEM),
              Map.entry(Code.PLUGS_DUE, Kind.PLUGS),
              Map.entry(Code.OIL_DUE, Kind.OIL),
              Map.entry(Code.FUEL_STANDS, Kind.FUEL),
              Map.entry(Code.SPRINGS_NEVER_TESTED, Kind.SPRING_TEST),
              Map.entry(Code.SPRINGS_NOT_TESTED, Kind.SPRING_TEST),
              Map.entry(Code.SPRINGS_READ_AGAIN, Kind.SPRINGS_AGAIN),
              Map.entry(Code.SPRING_CHANGE, Kind.SPRING_CHANGE),
              Map.entry(Code.SPRING_SEEN, Kind.SPRING_CHANGE),
              Map.entry(Code.ROUND_OPEN, Kind.LASH_ROUND),
              Map.entry(Code.NO_ROUND, Kind.LASH_ROUND),
              Map.entry(Code.RAN_SINCE_ROUND, Kind.LASH_ROUND),
              Map.entry(Code.LEFT_UNDONE, Kind.LASH_ROUND),
              Map.entry(Code.LASH_MOVES, Kind.LIFTER_LOOK),
              Map.entry(Code.TICKS_HOT, Kind.LIFTER_LOOK),
              Map.entry(Code.LIFTER_CHANGE, Kind.LIFTER_CHANGE),
              Map.entry(Code.ROCKER_SEEN, Kind.ROCKER_REPAIR)));

  /** After these a valve's lash is no more what it was. */
  private static final Set<Kind> MOVE_LASH =
      Set.of(Kind.SPRING_CHANGE, Kind.LIFTER_CHANGE, Kind.ROCKER_REPAIR);

  private final String engine;
  private final int valves;
  private final HeatState lash;
  private final Map<Kind, List<Double>> past;

  /**
   * @param engine its id; ids of its tasks begin with it
   * @param lash the state its lash is set in
   * @param past what kinds of work took before, minutes a valve, the oldest first
   */
  public EngineTasks(String engine, int valves, HeatState lash, Map<Kind, List<Double>> past) {
    this.engine = engine;
    this.valves = valves;
    this.lash = lash;
    this.past = Map.copyOf(past);
  }

  public List<Task> of(Readiness readiness) {
    Map<String, Gathered> by = new LinkedHashMap<>();
    for (Readiness.Reason r : readiness.reasons()) {
      Kind kind = ASKS.get(r.code());
      if (kind != null) {
        by.computeIfAbsent(id(kind, r), id -> new Gathered(kind, id)).add(r);
      }
    }
    List<Gathered> moved = by.values().stream().filter(g -> MOVE_LASH.contains(g.kind)).toList();
    if (!moved.isEmpty()) {
      by.computeIfAbsent(engine + "/" + Kind.LASH_ROUND, id -> new Gathered(Kind.LASH_ROUND, id))
          .follow(moved);
    }
    List<Task> tasks = new ArrayList<>();
    by.values().stream().map(this::task).forEach(tasks::add);
    return tasks.stream().map(t -> inOrder(t, tasks)).toList();
  }

  /** The id of the task to end an open job. */
  public static String ofJob(String engine, String job) {
    return engine + "/" + Kind.OPEN_JOB + "/" + job;
  }

  /** One of each kind; but each job and each item by itself. */
  private String id(Kind kind, Readiness.Reason r) {
    String own = engine + "/" + kind;
    return switch (kind) {
      case OPEN_JOB -> ofJob(engine, r.reference().orElse(""));
      case OPEN_ITEM ->
          own
              + "/"
              + Integer.toHexString(
                  (r.because().map(Said::name).orElse("") + at(r.positions())).hashCode());
      default -> own;
    };
  }

  private static String at(List<Position> valves) {
    return valves.stream().map(p -> " " + p).collect(Collectors.joining());
  }

  private static final class Gathered {
    private final Kind kind;
    private final String id;
    private final List<Readiness.Reason> because = new ArrayList<>();
    private final Set<Position> positions = new LinkedHashSet<>();
    private State asks = State.READY;
    private boolean all;

    Gathered(Kind kind, String id) {
      this.kind = kind;
      this.id = id;
    }

    void add(Readiness.Reason r) {
      because.add(r);
      positions.addAll(r.positions());
      all |= r.positions().isEmpty();
      asks = worse(r.code().asks());
    }

    /** Lash of the valves others work at: it must be when their work must be. */
    void follow(List<Gathered> moved) {
      moved.forEach(m -> positions.addAll(m.positions));
      all |= moved.stream().anyMatch(m -> m.all);
      moved.forEach(m -> asks = worse(m.asks));
    }

    private State worse(State other) {
      return asks.compareTo(other) >= 0 ? asks : other;
    }

    List<Position> at() {
      return all ? List.of() : List.copyOf(positions);
    }
  }

  private Task task(Gathered g) {
    int count = g.all ? valves : g.positions.size();
    double usual = g.kind.usual(count);
    List<Double> before =
        past.getOrDefault(g.kind, List.of()).stream().map(each -> each * count).toList();
    PastTimes times = PastTimes.of(before, usual);
    boolean warm = g.kind == Kind.LASH_ROUND && lash == HeatState.HOT && times.seen() == 0;
    int minutes = inFives(times.minutes() + (warm ? WARM_UP : 0));
    Weight weight = g.asks == State.NOT_READY ? Weight.MUST : Weight.SHOULD;
    Set<String> holds = new HashSet<>(Set.of(engine));
    if (g.kind == Kind.SPRING_TEST || g.kind == Kind.SPRINGS_AGAIN) {
      holds.add(TESTER);
    }
    Work work = Work.of(g.id, weight, minutes).spread(times.spread()).holds(holds);
    return new Task(g.kind, Optional.of(engine), g.at(), g.because, times, work);
  }

  /** Nobody plans by the minute. */
  private static int inFives(double minutes) {
    return (int) Math.max(5, 5 * Math.ceil(minutes / 5));
  }

  /** After all tasks of the engine that belong to an earlier step. */
  private static Task inOrder(Task t, List<Task> all) {
    List<Work.After> before =
        Stream.concat(
                t.work().after().stream(),
                all.stream()
                    .filter(o -> o.kind().step() > 0 && o.kind().step() < t.kind().step())
                    .map(o -> new Work.After(o.work().id(), 0)))
            .toList();
    return t.with(t.work().after(before));
  }
}
