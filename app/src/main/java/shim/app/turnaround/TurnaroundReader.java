package shim.app.turnaround;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import shim.app.readiness.ReadinessReason;
import shim.app.record.BeforeFirstLook;
import shim.app.record.Documents;
import shim.app.record.Maybe;
import shim.app.record.Sheets;
import shim.app.stock.Orders;
import shim.app.turnaround.Entered.AgreedSheet;
import shim.app.turnaround.TurnaroundViews.AgreedTask;
import shim.app.turnaround.TurnaroundViews.AgreedView;
import shim.app.turnaround.TurnaroundViews.LeftView;
import shim.app.turnaround.TurnaroundViews.OrderView;
import shim.app.turnaround.TurnaroundViews.PlacedView;
import shim.app.turnaround.TurnaroundViews.PlanNow;
import shim.app.turnaround.TurnaroundViews.SlipView;
import shim.app.turnaround.TurnaroundViews.TaskView;
import shim.app.turnaround.TurnaroundViews.TeamHand;
import shim.app.turnaround.TurnaroundViews.TruckView;
import shim.app.turnaround.TurnaroundViews.TurnaroundView;
import shim.core.turnaround.Hand;
import shim.core.turnaround.Placed;
import shim.core.turnaround.Plan;
import shim.core.turnaround.Situation;
import shim.core.turnaround.Slip;
import shim.core.turnaround.Task;
import shim.core.turnaround.Work;

/** Reads the whole turnaround: what is to be done, by whom, and the plan it makes. */
@Component
class TurnaroundReader {
  static final String AGREED = "agreed";

  /** What must be done is planned at least so many days ahead, and so many beyond the truck. */
  private static final int LEAST_DAYS = 10;

  private static final int BEYOND_DAYS = 7;

  private final TaskBook book;
  private final Team team;
  private final Sheets sheets;
  private final Orders orders;
  private final PlanDesk desk;

  TurnaroundReader(TaskBook book, Team team, Sheets sheets, Orders orders, PlanDesk desk) {
    this.book = book;
    this.team = team;
    this.sheets = sheets;
    this.orders = orders;
    this.desk = desk;
  }

  /** The plan is the first thing a person sees, and the longest to make. */
  @EventListener(BeforeFirstLook.class)
  void makeThePlan() {
    Thread early = new Thread(this::view, "first plan");
    early.setDaemon(true);
    early.start();
  }

  /** What a plan is made of. */
  private record Before(
      LocalDateTime now,
      @Nullable TruckView truck,
      List<TaskBook.Seen> seen,
      List<TeamHand> hands,
      Map<String, TaskBook.Noted> tasks) {
    private @Nullable LocalDateTime leaves() {
      return truck == null ? null : truck.leaves();
    }

    Situation situation() {
      int days = LEAST_DAYS;
      if (truck != null) {
        days = Math.max(days, Team.minutes(now, truck.leaves()) / (24 * 60) + BEYOND_DAYS);
      }
      int horizon = days * 24 * 60;
      List<Work> work =
          tasks.values().stream().filter(n -> !n.done()).map(n -> n.task().work()).toList();
      List<Hand> there = new ArrayList<>();
      for (TeamHand h : hands) {
        there.add(Team.hand(h.hand(), now, days + 1));
      }
      int leaves = truck == null ? horizon : Team.minutes(now, truck.leaves());
      return new Situation(leaves, horizon, work, there);
    }
  }

  private Before before() {
    LocalDateTime now = team.now();
    List<TaskBook.Seen> seen = book.engines();
    List<LocalDate> days =
        seen.stream().map(TaskBook.Seen::eventOn).filter(Objects::nonNull).toList();
    TruckView truck = team.truck(days).orElse(null);
    return new Before(
        now,
        truck,
        seen,
        team.hands(),
        book.tasks(seen, truck == null ? null : truck.leaves(), now));
  }

  /** All tasks by id, as a change of one of them is checked against the others. */
  @Transactional(readOnly = true)
  Map<String, TaskBook.Noted> tasks() {
    return before().tasks();
  }

  /** What is shown, with the tasks it was made of. */
  record Seen(TurnaroundView view, Map<String, TaskBook.Noted> tasks) {}

  Seen seen() {
    Before b = before();
    return new Seen(view(b), b.tasks());
  }

  TurnaroundView view() {
    return view(before());
  }

  private TurnaroundView view(Before b) {
    Optional<Plan> plan = desk.of(b.situation());
    return new TurnaroundView(
        b.now(),
        b.truck(),
        b.seen().stream().map(s -> s.view(b.leaves())).toList(),
        b.hands(),
        b.tasks().values().stream().map(TurnaroundReader::task).toList(),
        orders(b),
        plan.map(p -> plan(p, b.now())).orElse(null),
        agreed(plan, b).orElse(null));
  }

  /** What people would work to from now on. */
  Optional<AgreedSheet> toAgree(String who) {
    Before b = before();
    return desk.of(b.situation())
        .map(
            p ->
                new AgreedSheet(
                    Team.instant(b.now()),
                    who,
                    Team.instant(b.now().plusMinutes(p.musts())),
                    p.placed().stream()
                        .map(
                            x ->
                                new Entered.AgreedWork(
                                    x.work().id(),
                                    Team.instant(b.now().plusMinutes(x.start())),
                                    x.hands()))
                        .toList()));
  }

  private static TaskView task(TaskBook.Noted n) {
    Task t = n.task();
    Work w = t.work();
    return new TaskView(
        w.id(),
        t.kind(),
        n.label() == null ? n.sheet().words() : n.label(),
        t.engine().map(UUID::fromString).orElse(null),
        t.positions(),
        t.because().stream().map(ReadinessReason::of).toList(),
        w.weight(),
        w.minutes(),
        n.sheet().minutes() == null ? t.past().seen() : 0,
        w.hands(),
        n.sheet(),
        n.version());
  }

  private List<OrderView> orders(Before b) {
    List<OrderView> all = new ArrayList<>();
    orders
        .all()
        .forEach(
            (id, kept) -> {
              LocalDate comes = orders.comes(kept.sheet()).orElse(null);
              boolean late =
                  comes != null
                      && kept.sheet().state().away()
                      && b.truck() != null
                      && Team.there(comes).isAfter(b.truck().leaves());
              all.add(new OrderView(id, kept.sheet(), comes, late, kept.version()));
            });
    all.sort(Comparator.comparing((OrderView o) -> o.order().part()).thenComparing(OrderView::id));
    return all;
  }

  private static PlanNow plan(Plan plan, LocalDateTime now) {
    return new PlanNow(
        plan.placed().stream().map(p -> placed(p, now)).toList(),
        plan.left().stream().map(l -> new LeftView(l.work().id(), l.why())).toList(),
        now.plusMinutes(plan.musts()),
        plan.best(),
        plan.late(),
        Maybe.orNull(plan.chance()),
        plan.chain().stream().map(p -> p.work().id()).toList());
  }

  private static PlacedView placed(Placed p, LocalDateTime now) {
    return new PlacedView(
        p.work().id(),
        now.plusMinutes(p.start()),
        now.plusMinutes(p.end()),
        p.hands(),
        p.cause().kind(),
        p.cause().name());
  }

  private Optional<AgreedView> agreed(Optional<Plan> plan, Before b) {
    return sheets
        .of(AGREED, Documents.Kind.PLAN_AGREED, AgreedSheet.class)
        .map(
            kept -> {
              AgreedSheet a = kept.sheet();
              return new AgreedView(
                  Team.wall(a.at()),
                  a.by(),
                  Team.wall(a.end()),
                  a.works().stream()
                      .map(w -> new AgreedTask(w.id(), Team.wall(w.start()), w.hands()))
                      .toList(),
                  plan.map(p -> slips(a, p, b.now())).orElse(List.of()),
                  kept.version());
            });
  }

  private static List<SlipView> slips(AgreedSheet agreed, Plan plan, LocalDateTime now) {
    Map<String, Slip.Agreed> works = new LinkedHashMap<>();
    agreed
        .works()
        .forEach(
            w ->
                works.put(
                    w.id(), new Slip.Agreed(Team.minutes(now, Team.wall(w.start())), w.hands())));
    return Slip.between(works, plan).stream()
        .filter(s -> s.kind() != Slip.Kind.GONE)
        .map(
            s ->
                new SlipView(
                    s.id(), s.kind(), now.plusMinutes(s.earlier()), now.plusMinutes(s.later())))
        .toList();
  }
}
