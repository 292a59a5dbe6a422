package shim.app.fatigue;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.fatigue.SpringViews.ComingEvent;
import shim.app.fatigue.SpringViews.EngineSprings;
import shim.app.fatigue.SpringViews.HoursLeft;
import shim.app.fatigue.SpringViews.LossAt;
import shim.app.fatigue.SpringViews.LossRange;
import shim.app.fatigue.SpringViews.SpringAt;
import shim.app.fatigue.SpringViews.SpringSaid;
import shim.app.fatigue.SpringViews.TesterLine;
import shim.app.running.Events;
import shim.app.running.Runs;
import shim.app.spring.SpringRules;
import shim.app.spring.Springs;
import shim.core.engine.CamCard;
import shim.core.engine.Engine;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.fatigue.Range;
import shim.core.fatigue.Situation;
import shim.core.fatigue.SpringOutlook;
import shim.core.fatigue.SpringSet;
import shim.core.fatigue.TesterDay;
import shim.core.fatigue.Verdict;
import shim.core.spring.Fit;
import shim.core.spring.HeightPlan;
import shim.core.spring.SpringType;
import shim.core.spring.WeakestLink;

/** What is known of an engine's springs now. */
@Service
@Transactional(readOnly = true)
class SpringReader {
  /** Where no event is planned, one of an hour is assumed and said so. */
  private static final double USUAL_EVENT_HOURS = 1;

  private static final double USUAL_TOLERANCE_IN = 0.005;

  private final SetBook book;
  private final TestRows tests;
  private final Engines engines;
  private final Events events;
  private final Runs runs;
  private final Springs springs;
  private final SpringRules rules;

  SpringReader(
      SetBook book,
      TestRows tests,
      Engines engines,
      Events events,
      Runs runs,
      Springs springs,
      SpringRules rules) {
    this.book = book;
    this.tests = tests;
    this.engines = engines;
    this.events = events;
    this.runs = runs;
    this.springs = springs;
    this.rules = rules;
  }

  /** Engine hours now: runs and events, or later hours someone wrote at a test or fitting. */
  double hoursNow(UUID engineId) {
    double tested =
        tests.findByEngineIdOrderByStartedAt(engineId).stream()
            .mapToDouble(t -> t.engineHours)
            .max()
            .orElse(0);
    double fitted =
        springs.fittings(engineId).stream()
            .mapToDouble(f -> f.fitting().fromHours())
            .max()
            .orElse(0);
    return Math.max(runs.hours(engineId), Math.max(tested, fitted));
  }

  List<ComingEvent> coming(UUID engineId, double now) {
    List<ComingEvent> coming = new ArrayList<>();
    double end = now;
    for (Events.EventView e : events.of(engineId)) {
      if (e.runHours() == null) {
        end += e.plannedHours();
        coming.add(new ComingEvent(e.name(), e.date(), e.plannedHours(), end));
      }
    }
    if (coming.isEmpty()) {
      coming.add(
          new ComingEvent(
              "an event of one hour, none is planned",
              null,
              USUAL_EVENT_HOURS,
              now + USUAL_EVENT_HOURS));
    }
    return coming;
  }

  EngineSprings engine(UUID engineId) {
    Engine engine = engines.get(engineId).engine();
    double now = hoursNow(engineId);
    List<ComingEvent> coming = coming(engineId, now);
    SetBook.Book known = book.of(engineId, null);
    SpringRules.SpringRulesSheet sheet = rules.of(engineId);
    Map<UUID, SpringSet> solved = new HashMap<>();
    known.sets().forEach(s -> solved.put(s.typeId(), s.solved()));
    List<SpringAt> at = new ArrayList<>();
    List<Position> empty = new ArrayList<>();
    Map<Position, Springs.StoredFitting> here = new HashMap<>();
    springs.fittings(engineId).stream()
        .filter(Springs.StoredFitting::open)
        .forEach(f -> here.put(f.fitting().valve(), f));
    for (Position p : engine.layout().positions()) {
      if (here.containsKey(p)) {
        at.add(spring(engine, known, solved, here.get(p), now, coming, sheet));
      } else {
        empty.add(p);
      }
    }
    List<TestRow> all = tests.findByEngineIdOrderByStartedAt(engineId);
    return new EngineSprings(
        now,
        coming,
        at,
        empty,
        testers(known, all, solved),
        Advice.words(at, sheet.school()),
        all.stream().filter(t -> t.endedAt == null).map(t -> t.id).findFirst().orElse(null),
        sheet);
  }

  private SpringAt spring(
      Engine engine,
      SetBook.Book known,
      Map<UUID, SpringSet> solved,
      Springs.StoredFitting f,
      double now,
      List<ComingEvent> coming,
      SpringRules.SpringRulesSheet sheet) {
    UUID id = f.fitting().springId();
    Springs.StoredSpring spring = known.springs().get(id);
    SetBook.BookedSet set = known.of(id);
    SpringType type = set.type();
    Position p = f.fitting().valve();
    double hours = known.hoursNow(id, now);
    SpringSaid said = said(known, set, solved.get(set.typeId()), id, hours, coming, sheet);
    Fit fit = fit(engine, type, f, p, sheet);
    List<SetBook.Booked> read =
        set.bySpring().getOrDefault(id, List.of()).stream().filter(SetBook.Booked::used).toList();
    Optional<UUID> last = read.stream().map(b -> b.test().id).reduce((a, b) -> b);
    Optional<Double> raw =
        last.map(
            t ->
                read.stream()
                    .filter(b -> b.test().id.equals(t))
                    .mapToDouble(SetBook.Booked::atReferenceLbf)
                    .average()
                    .orElseThrow());
    double correction =
        last.flatMap(t -> SetBook.day(known.checks().get(t), type.nominalLbf()))
            .map(TesterDay::correction)
            .orElse(1.0);
    return new SpringAt(
        p,
        id,
        f.id(),
        spring.spring().mark(),
        spring.spring().setName(),
        set.typeId(),
        type.name(),
        hours,
        f.fitting().heightIn(),
        type.referenceHeightIn(),
        raw.map(r -> r * correction).orElse(null),
        raw.orElse(null),
        losses(known, type, read, said.baselineLbf()),
        said,
        fit,
        links(engine, p, fit, sheet),
        heightWays(f, type, p, sheet));
  }

  private static List<LossAt> losses(
      SetBook.Book known, SpringType type, List<SetBook.Booked> read, double baselineLbf) {
    Map<UUID, List<SetBook.Booked>> byTest = new LinkedHashMap<>();
    read.forEach(b -> byTest.computeIfAbsent(b.test().id, t -> new ArrayList<>()).add(b));
    List<LossAt> losses = new ArrayList<>();
    byTest.forEach(
        (test, list) -> {
          double raw =
              list.stream().mapToDouble(SetBook.Booked::atReferenceLbf).average().orElseThrow();
          double correction =
              SetBook.day(known.checks().get(test), type.nominalLbf())
                  .map(TesterDay::correction)
                  .orElse(1.0);
          losses.add(new LossAt(list.get(0).hours(), 1 - raw * correction / baselineLbf));
        });
    return losses;
  }

  /** Gross and net lift at a valve by the cam card. */
  static Optional<Fit.Lift> lift(Engine engine, ValveKind kind) {
    return engine
        .cam()
        .map(c -> kind == ValveKind.INTAKE ? c.intake() : c.exhaust())
        .map(CamCard.Lobe::lobeLiftIn)
        .map(l -> l * engine.drive().ratio(kind))
        .map(g -> new Fit.Lift(g, Math.max(0, g - engine.lash().targetIn(kind))));
  }

  static @Nullable Double target(SpringRules.SpringRulesSheet sheet, Position p) {
    return p.kind() == ValveKind.INTAKE
        ? sheet.targetHeightIntakeIn()
        : sheet.targetHeightExhaustIn();
  }

  private static Fit fit(
      Engine engine,
      SpringType type,
      Springs.StoredFitting f,
      Position p,
      SpringRules.SpringRulesSheet sheet) {
    Double measured = f.fitting().heightIn();
    double height =
        measured != null
            ? measured
            : Objects.requireNonNullElse(target(sheet, p), type.referenceHeightIn());
    return Fit.of(
        type,
        new Fit.Measured(height, f.fitting().sealGapIn(), f.fitting().pocketIn(), null),
        lift(engine, p.kind()),
        engine.drive().lifter());
  }

  private static List<WeakestLink.Link> links(
      Engine engine, Position p, Fit fit, SpringRules.SpringRulesSheet sheet) {
    if (sheet.links() == null) {
      return List.of();
    }
    return WeakestLink.of(
            sheet.links(),
            new WeakestLink.Duty(
                fit.openLbf(),
                lift(engine, p.kind()).map(Fit.Lift::grossIn).orElse(0.0),
                sheet.topRpm() == null ? 0 : sheet.topRpm()))
        .links();
  }

  private static List<HeightPlan.Way> heightWays(
      Springs.StoredFitting f, SpringType type, Position p, SpringRules.SpringRulesSheet sheet) {
    Double measured = f.fitting().heightIn();
    double target = Objects.requireNonNullElse(target(sheet, p), type.referenceHeightIn());
    double tolerance = Objects.requireNonNullElse(sheet.heightToleranceIn(), USUAL_TOLERANCE_IN);
    if (measured == null || Math.abs(measured - target) <= tolerance + 1e-9) {
      return List.of();
    }
    return HeightPlan.of(
            new HeightPlan.Wanted(
                measured,
                target,
                tolerance,
                sheet.shims(),
                sheet.lockOffsetsIn() == null ? List.of() : sheet.lockOffsetsIn(),
                sheet.heightSchool() == null
                    ? HeightPlan.School.FEWEST_PIECES
                    : sheet.heightSchool()))
        .ways();
  }

  SpringSaid said(
      SetBook.Book known,
      SetBook.BookedSet set,
      SpringSet solved,
      UUID id,
      double hours,
      List<ComingEvent> coming,
      SpringRules.SpringRulesSheet sheet) {
    Springs.StoredSpring spring = known.springs().get(id);
    Situation now =
        new Situation(
            id.toString(),
            hours,
            coming.stream().map(ComingEvent::plannedHours).toList(),
            overRevved(known, set, id),
            batchBroke(known, spring));
    SpringOutlook o = solved.judge(now, sheet.limits(set.type()));
    String due = o.dueBefore().isPresent() ? coming.get(o.dueBefore().getAsInt()).name() : null;
    return new SpringSaid(
        o.verdict(),
        o.reasons(),
        range(o.lossNow()),
        range(o.lossAtNext()),
        o.underAtNext(),
        o.underAfter(),
        new HoursLeft(
            finite(o.hoursLeft().low()), finite(o.hoursLeft().mid()), finite(o.hoursLeft().high())),
        o.verdict() == Verdict.CHANGE && due == null ? coming.get(0).name() : due,
        o.ownWay(),
        o.surprise().isPresent() ? o.surprise().getAsDouble() : null,
        o.baselineLbf(),
        o.tests());
  }

  private boolean overRevved(SetBook.Book known, SetBook.BookedSet set, UUID id) {
    Optional<Springs.StoredFitting> here =
        known.fittings().getOrDefault(id, List.of()).stream()
            .filter(Springs.StoredFitting::open)
            .findFirst();
    Optional<LocalDate> tested =
        set.bySpring().getOrDefault(id, List.of()).stream()
            .map(b -> LocalDate.ofInstant(b.test().startedAt, ZoneOffset.UTC))
            .max(Comparator.naturalOrder());
    return here.isPresent()
        && tested.isPresent()
        && runs.overRevvedSince(here.get().fitting().engineId(), tested.get().plusDays(1));
  }

  private static Optional<Double> batchBroke(SetBook.Book known, Springs.StoredSpring spring) {
    String batch = spring.spring().batch();
    if (batch == null) {
      return Optional.empty();
    }
    return known.springs().values().stream()
        .filter(s -> batch.equals(s.spring().batch()) && !s.id().equals(spring.id()))
        .map(s -> s.spring().brokeAtHours())
        .filter(Objects::nonNull)
        .min(Comparator.naturalOrder());
  }

  static LossRange range(Range r) {
    return new LossRange(r.low(), r.mid(), r.high());
  }

  private static @Nullable Double finite(double v) {
    return Double.isInfinite(v) ? null : v;
  }

  private List<TesterLine> testers(
      SetBook.Book known, List<TestRow> all, Map<UUID, SpringSet> solved) {
    List<TesterLine> lines = new ArrayList<>();
    List<Double> habit = new ArrayList<>();
    Map<UUID, Long> readings = new HashMap<>();
    for (SetBook.BookedSet s : known.sets()) {
      s.bySpring()
          .values()
          .forEach(l -> l.forEach(b -> readings.merge(b.row().testId(), 1L, Long::sum)));
    }
    for (TestRow t : all) {
      double near = known.sets().isEmpty() ? 1 : known.sets().get(0).type().nominalLbf();
      Optional<TesterDay> day = SetBook.day(known.checks().get(t.id), near);
      Optional<TesterDay> whole = whole(known, solved, t);
      lines.add(
          new TesterLine(
              t.id,
              t.startedAt,
              t.engineHours,
              t.tester,
              t.hand,
              t.state,
              t.place,
              readings.getOrDefault(t.id, 0L).intValue(),
              t.endedAt == null,
              day.map(d -> percent(d.gainLn())).orElse(null),
              day.map(d -> 100 * d.sd()).orElse(null),
              day.filter(d -> d.movedLn().isPresent())
                  .map(d -> percent(d.movedLn().getAsDouble()))
                  .orElse(null),
              whole.map(d -> percent(d.gainLn())).orElse(null),
              whole.map(d -> 100 * d.sd()).orElse(null),
              day.flatMap(d -> TesterHabit.warning(habit, d)).orElse(null)));
      day.ifPresent(d -> habit.add(d.gainLn()));
    }
    return lines;
  }

  private static Optional<TesterDay> whole(
      SetBook.Book known, Map<UUID, SpringSet> solved, TestRow t) {
    for (SetBook.BookedSet s : known.sets()) {
      int k = s.tests().indexOf(t);
      if (k >= 0) {
        return Optional.of(solved.get(s.typeId()).day(k));
      }
    }
    return Optional.empty();
  }

  static double percent(double ln) {
    return 100 * Math.expm1(ln);
  }
}
