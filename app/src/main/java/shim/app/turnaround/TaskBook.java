package shim.app.turnaround;

import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import shim.app.change.OpenWork;
import shim.app.engine.Engines;
import shim.app.fatigue.SpringStanding;
import shim.app.lash.LashBook;
import shim.app.readiness.ReadinessReader;
import shim.app.record.Documents;
import shim.app.record.Sheets;
import shim.app.stock.Orders;
import shim.app.stock.Written.OrderSheet;
import shim.app.turnaround.Entered.TaskSheet;
import shim.app.turnaround.TurnaroundViews.TeamEngine;
import shim.core.engine.Engine;
import shim.core.stock.Delivery;
import shim.core.turnaround.EngineTasks;
import shim.core.turnaround.PastTimes;
import shim.core.turnaround.Task;
import shim.core.turnaround.Weight;
import shim.core.turnaround.Work;

/** All that is to be done: what Shim knows, as people changed it, and what people added. */
@Component
@Transactional(readOnly = true)
class TaskBook {
  /** An event so many days after the truck has left is still what it left for. */
  private static final int RIDES_DAYS = 7;

  private static final int OVERRUN_MINUTES = 10;

  /** The id of a task that Shim made for an engine: the engine and the kind. */
  private static final Pattern OF_AN_ENGINE =
      Pattern.compile("(\\p{XDigit}{8}-[\\p{XDigit}-]{27})/(\\w+)");

  private final Engines engines;
  private final ReadinessReader readiness;
  private final LashBook lash;
  private final SpringStanding springs;
  private final OpenWork work;
  private final Sheets sheets;
  private final Orders orders;

  TaskBook(
      Engines engines,
      ReadinessReader readiness,
      LashBook lash,
      SpringStanding springs,
      OpenWork work,
      Sheets sheets,
      Orders orders) {
    this.engines = engines;
    this.readiness = readiness;
    this.lash = lash;
    this.springs = springs;
    this.work = work;
    this.sheets = sheets;
    this.orders = orders;
  }

  /** An engine with how it stands. */
  record Seen(Engines.Stored engine, ReadinessReader.Answer answer) {
    @Nullable LocalDate eventOn() {
      return answer.next().date();
    }

    boolean rides(@Nullable LocalDateTime truck) {
      LocalDate on = eventOn();
      return truck == null || on != null && !on.isAfter(truck.toLocalDate().plusDays(RIDES_DAYS));
    }

    TeamEngine view(@Nullable LocalDateTime truck) {
      return new TeamEngine(
          engine.id(),
          engine.name(),
          answer.readiness().state(),
          eventOn() == null ? null : answer.next().name(),
          eventOn(),
          rides(truck));
    }
  }

  List<Seen> engines() {
    return engines.all().stream().map(e -> new Seen(e, readiness.of(e.id()))).toList();
  }

  /**
   * A task, and what people said of it.
   *
   * @param label what it is about, where that is no engine: a part; null for the others
   */
  record Noted(Task task, TaskSheet sheet, @Nullable Integer version, @Nullable String label) {
    Noted(Task task, TaskSheet sheet, @Nullable Integer version) {
      this(task, sheet, version, null);
    }

    Noted with(Work work) {
      return new Noted(task.with(work), sheet, version, label);
    }

    boolean done() {
      return sheet.doneAt() != null;
    }
  }

  /** All tasks by id, done ones too; what an engine asks for that stays here is no must. */
  Map<String, Noted> tasks(List<Seen> seen, @Nullable LocalDateTime truck, LocalDateTime now) {
    Map<String, Sheets.Kept<TaskSheet>> said =
        sheets.all(Documents.Kind.PLAN_TASK, TaskSheet.class);
    Map<String, Noted> all = new LinkedHashMap<>();
    for (Seen s : seen) {
      for (Task t : asked(s)) {
        Task here = s.rides(truck) ? t : t.with(t.work().weighing(Weight.COULD));
        all.put(t.work().id(), noted(here, said.get(t.work().id()), now));
      }
    }
    Map<UUID, Sheets.Kept<OrderSheet>> ordered = orders.all();
    ordered.forEach(
        (id, order) -> {
          if (order.sheet().state() == Delivery.State.ARRIVED) {
            Task t = arrival(id, order.sheet());
            Noted n = noted(t, said.get(t.work().id()), now);
            all.put(
                t.work().id(), new Noted(n.task(), n.sheet(), n.version(), order.sheet().part()));
          }
        });
    said.forEach(
        (id, kept) -> {
          if (kept.sheet().words() != null) {
            all.put(id, noted(byHand(id, kept.sheet()), kept, now));
          }
        });
    return waiting(all, ordered, now);
  }

  private List<Task> asked(Seen s) {
    Engine engine = s.engine().engine();
    Map<Task.Kind, List<Double>> past = new HashMap<>();
    past.put(Task.Kind.LASH_ROUND, lash.took(s.engine().id()));
    past.put(Task.Kind.SPRING_TEST, springs.took(s.engine().id()));
    past.put(Task.Kind.SPRING_CHANGE, work.took(s.engine().id()));
    return new EngineTasks(
            s.engine().id().toString(),
            engine.layout().positions().size(),
            engine.lash().state(),
            past)
        .of(s.answer().readiness());
  }

  private static String arrivalId(UUID order) {
    return "order/" + order;
  }

  /** A part that came is measured; what waits for it waits for that. */
  private static Task arrival(UUID id, OrderSheet order) {
    PastTimes times = PastTimes.of(List.of(), Task.Kind.ARRIVAL.usual(0));
    return new Task(
        Task.Kind.ARRIVAL,
        Optional.ofNullable(order.engineId()).map(UUID::toString),
        List.of(),
        List.of(),
        times,
        Work.of(arrivalId(id), Weight.SHOULD, (int) times.minutes()).spread(times.spread()));
  }

  private static Task byHand(String id, TaskSheet sheet) {
    return new Task(
        Task.Kind.BY_HAND,
        Optional.ofNullable(sheet.engineId()).map(UUID::toString),
        List.of(),
        List.of(),
        new PastTimes(0, PastTimes.USUAL_SPREAD, 0),
        Work.of(id, Weight.MUST, 30).spread(PastTimes.USUAL_SPREAD));
  }

  /** A task as a person changed it. */
  private static Noted noted(Task task, Sheets.@Nullable Kept<TaskSheet> kept, LocalDateTime now) {
    if (kept == null) {
      return new Noted(task, TaskSheet.NOTHING, null);
    }
    TaskSheet s = kept.sheet();
    Work w = task.work().only(Set.copyOf(s.only()));
    w = s.weight() == null ? w : w.weighing(s.weight());
    w = s.minutes() == null ? w : w.lasting(s.minutes());
    w = s.hands() == null ? w : w.hands(s.hands());
    if (s.turnsCrank() != null && task.engine().isPresent()) {
      Set<String> holds = new HashSet<>(w.holds());
      if (s.turnsCrank()) {
        holds.add(task.engine().get());
      } else {
        holds.remove(task.engine().get());
      }
      w = w.holds(holds);
    }
    if (s.notBefore() != null) {
      w = w.notBefore(Math.max(0, Team.minutes(now, Team.wall(s.notBefore()))));
    }
    for (Entered.AfterTask a : s.after()) {
      w = w.after(a.id(), a.minutes());
    }
    if (s.begunAt() != null) {
      int at = Team.minutes(now, Team.wall(s.begunAt()));
      // What takes longer than was thought is not over because its time is.
      w =
          w.lasting(Math.max(w.minutes(), OVERRUN_MINUTES - at))
              .begun(new Work.Begun(Math.min(at, 0), s.begunBy()));
    }
    return new Noted(task.with(w), s, kept.version());
  }

  /** Tasks wait for the parts that are wanted for them, and no longer for what is done or gone. */
  private Map<String, Noted> waiting(
      Map<String, Noted> all, Map<UUID, Sheets.Kept<OrderSheet>> ordered, LocalDateTime now) {
    Map<String, Map<UUID, OrderSheet>> parts = new HashMap<>();
    ordered.forEach(
        (order, kept) ->
            waitingTask(kept.sheet())
                .ifPresent(
                    id ->
                        parts
                            .computeIfAbsent(id, k -> new LinkedHashMap<>())
                            .put(order, kept.sheet())));
    Map<String, Noted> waiting = new LinkedHashMap<>();
    all.forEach(
        (id, n) -> {
          Work w = n.task().work();
          for (Map.Entry<UUID, OrderSheet> o : parts.getOrDefault(id, Map.of()).entrySet()) {
            w = waitsFor(w, o.getKey(), o.getValue(), now);
          }
          List<Work.After> open = new ArrayList<>();
          for (Work.After a : w.after()) {
            Noted before = all.get(a.id());
            Instant at = before == null ? ended(a.id()).orElse(null) : before.sheet().doneAt();
            if (before != null && at == null) {
              open.add(a);
            } else if (at != null) {
              // What was done an hour ago has cooled for an hour.
              int done = Team.minutes(now, Team.wall(at));
              w = w.notBefore(Math.max(w.notBefore(), done + a.minutes()));
            }
          }
          waiting.put(id, n.with(w.after(open)));
        });
    return waiting;
  }

  /** When the real thing was done whose task is gone: a round, a test, a job of an engine. */
  private Optional<Instant> ended(String task) {
    Matcher own = OF_AN_ENGINE.matcher(task);
    if (!own.lookingAt()) {
      return Optional.empty();
    }
    UUID engine = UUID.fromString(own.group(1));
    return switch (own.group(2)) {
      case "LASH_ROUND" -> lash.lastSigned(engine);
      case "SPRING_TEST", "SPRINGS_AGAIN" -> springs.lastEnded(engine);
      case "SPRING_CHANGE", "OPEN_JOB" -> work.lastEnded(engine);
      default -> Optional.empty();
    };
  }

  /** The task that was named, or that of the job which is parked for it. */
  private static Optional<String> waitingTask(OrderSheet order) {
    UUID job = order.jobId();
    UUID engine = order.engineId();
    return job == null || engine == null
        ? Optional.ofNullable(order.taskId())
        : Optional.of(EngineTasks.ofJob(engine.toString(), job.toString()));
  }

  private Work waitsFor(Work w, UUID id, OrderSheet order, LocalDateTime now) {
    if (order.state() == Delivery.State.ARRIVED) {
      return w.after(arrivalId(id), 0);
    }
    if (!order.state().away()) {
      return w;
    }
    return orders
        .comes(order)
        .map(day -> w.notBefore(Math.max(w.notBefore(), Team.minutes(now, Team.there(day)))))
        .orElseGet(() -> w.waits(true));
  }
}
