package shim.app.fatigue;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.fatigue.SpringViews.ComingEvent;
import shim.app.fatigue.SpringViews.EngineSprings;
import shim.app.fatigue.SpringViews.HoursLeft;
import shim.app.fatigue.SpringViews.LoadOutlook;
import shim.app.fatigue.SpringViews.LossAt;
import shim.app.fatigue.SpringViews.LossRange;
import shim.app.fatigue.SpringViews.SpringAt;
import shim.app.fatigue.SpringViews.SpringSaid;
import shim.app.fatigue.SpringViews.TesterLine;
import shim.app.running.EngineClock;
import shim.app.running.Runs;
import shim.app.spring.Pockets;
import shim.app.spring.SpringRules;
import shim.app.spring.Springs;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.engine.WorthReading;
import shim.core.fatigue.SetAdvice;
import shim.core.fatigue.Situation;
import shim.core.fatigue.SpringOutlook;
import shim.core.fatigue.SpringRecord;
import shim.core.fatigue.SpringSet;
import shim.core.fatigue.TestedSet;
import shim.core.fatigue.TesterDay;
import shim.core.fatigue.TesterHabit;
import shim.core.fatigue.Verdict;
import shim.core.running.EngineHours;
import shim.core.spring.Fit;
import shim.core.spring.SpringType;
import shim.core.stats.Range;
import shim.core.unit.Known;

/** What is known of an engine's springs now. */
@Service
@Transactional(readOnly = true)
class SpringReader {
  /** Where no event is planned, one of an hour is assumed and said so. */
  private static final double USUAL_EVENT_HOURS = 1;

  private final SetBook book;
  private final Engines engines;
  private final Runs runs;
  private final EngineClock clock;
  private final Springs springs;
  private final SpringRules rules;

  SpringReader(
      SetBook book,
      Engines engines,
      Runs runs,
      EngineClock clock,
      Springs springs,
      SpringRules rules) {
    this.book = book;
    this.engines = engines;
    this.runs = runs;
    this.clock = clock;
    this.springs = springs;
    this.rules = rules;
  }

  /**
   * How things stand with an engine.
   *
   * @param hours engine hours now
   * @param lastOverRev day of its last over-rev
   */
  record Standing(
      double hours,
      List<ComingEvent> coming,
      SpringRules.SpringRulesSheet sheet,
      Optional<LocalDate> lastOverRev) {}

  Standing standing(UUID engineId) {
    EngineHours hours = clock.of(engineId);
    return new Standing(hours.now(), coming(hours), rules.of(engineId), runs.lastOverRev(engineId));
  }

  private static List<ComingEvent> coming(EngineHours hours) {
    if (hours.coming().isEmpty()) {
      return List.of(
          new ComingEvent(
              "an event of one hour, none is planned",
              null,
              USUAL_EVENT_HOURS,
              hours.now() + USUAL_EVENT_HOURS));
    }
    return hours.coming().stream()
        .map(
            s -> {
              EngineHours.Event e = s.event().orElseThrow();
              return new ComingEvent(e.name(), e.date(), e.plannedHours(), s.toHours());
            })
        .toList();
  }

  EngineSprings engine(UUID engineId) {
    Engines.Stored engine = engines.get(engineId);
    List<Springs.StoredFitting> fitted = springs.fittings(engineId);
    SetBook.Book known = book.of(engineId, null);
    Standing now = standing(engineId);
    Map<String, SpringSet> solved = known.solved();
    Map<Position, Springs.StoredFitting> here = new HashMap<>();
    fitted.stream()
        .filter(Springs.StoredFitting::open)
        .forEach(f -> here.put(f.fitting().valve(), f));
    List<SpringAt> at = new ArrayList<>();
    List<Position> empty = new ArrayList<>();
    for (Position p : engine.engine().layout().positions()) {
      if (here.containsKey(p)) {
        at.add(spring(engine, known, solved, here.get(p), now));
      } else {
        empty.add(p);
      }
    }
    return new EngineSprings(
        now.hours(),
        now.coming(),
        at,
        empty,
        testers(known, solved),
        SetAdvice.of(at.stream().map(SpringReader::member).toList(), now.sheet().school())
            .orElse(null),
        WorthReading.best(
                at.stream().map(s -> new WorthReading(s.position(), s.said().decides())).toList())
            .orElse(null),
        known.here().stream()
            .filter(t -> t.endedAt == null)
            .map(t -> t.id)
            .findFirst()
            .orElse(null),
        now.sheet());
  }

  private static SetAdvice.Member member(SpringAt s) {
    SpringSaid said = s.said();
    return new SetAdvice.Member(
        s.position(),
        said.verdict(),
        said.dueBefore() != null,
        said.outlook() == null ? 0 : said.outlook().underAfter(),
        said.outlook() == null ? 0 : said.outlook().lossNow().mid());
  }

  private static SpringAt spring(
      Engines.Stored engine,
      SetBook.Book known,
      Map<String, SpringSet> solved,
      Springs.StoredFitting f,
      Standing now) {
    UUID id = f.fitting().springId();
    SpringRecord.Spring spring = known.spring(id);
    TestedSet set = known.of(id);
    SpringType type = set.type();
    Position p = f.fitting().valve();
    double hours = known.hours(id, f.fitting().engineId(), now.hours());
    SpringSaid said = said(known, Known.in(solved, set.typeId()), id, p.kind(), hours, now);
    Springs.StoredSpring stored = Known.in(known.stored(), id);
    Fit fit = Pockets.fit(engine, type, f, stored.spring().odIn(), now.sheet());
    List<TestedSet.InTest> tested = set.tested(id.toString(), TestedSet.Moved::used);
    Optional<TestedSet.InTest> last = tested.stream().reduce((a, b) -> b);
    return new SpringAt(
        p,
        id,
        f.id(),
        spring.mark(),
        stored.spring().setName(),
        UUID.fromString(set.typeId()),
        type.name(),
        hours,
        f.fitting().heightIn(),
        type.referenceHeightIn(),
        last.map(TestedSet.InTest::correctedLbf).orElse(null),
        last.map(TestedSet.InTest::rawLbf).orElse(null),
        tested.stream()
            .map(t -> new LossAt(t.hours(), 1 - t.correctedLbf() / said.baselineLbf()))
            .toList(),
        said.outlook() == null
            ? List.of()
            : predicted(Known.in(solved, set.typeId()), id, hours, now),
        said,
        fit);
  }

  private static List<LossAt> predicted(SpringSet solved, UUID id, double hours, Standing now) {
    return now.coming().stream()
        .map(c -> hours + c.endHours() - now.hours())
        .map(h -> new LossAt(h, solved.loss(id.toString(), h).mid()))
        .toList();
  }

  static SpringSaid said(
      SetBook.Book known, SpringSet solved, UUID id, ValveKind kind, double hours, Standing now) {
    TestedSet set = known.of(id);
    List<ComingEvent> coming = now.coming();
    Situation situation =
        new Situation(
            id.toString(),
            hours,
            coming.stream().map(ComingEvent::plannedHours).toList(),
            overRevved(known, set, id, now.lastOverRev()),
            known.record().batchBroke(id.toString()));
    SpringOutlook o = solved.judge(situation, now.sheet().limits(set.type(), kind));
    boolean tested = o.tests() > 0;
    String due =
        tested && o.dueBefore().isPresent() ? coming.get(o.dueBefore().getAsInt()).name() : null;
    return new SpringSaid(
        o.verdict(),
        o.reasons(),
        tested ? outlook(o) : null,
        o.verdict() == Verdict.CHANGE && due == null ? coming.get(0).name() : due,
        o.ownWay(),
        o.surprise().isPresent() ? o.surprise().getAsDouble() : null,
        o.baselineLbf(),
        o.tests(),
        o.waits(),
        o.decides(),
        o.onPaper().orElse(null));
  }

  private static LoadOutlook outlook(SpringOutlook o) {
    return new LoadOutlook(
        range(o.lossNow()),
        range(o.lossAtNext()),
        o.underAtNext(),
        o.underAfter(),
        hoursLeft(o.hoursLeft()));
  }

  /** Over-revved on a day after its last test, while it is fitted. */
  private static boolean overRevved(
      SetBook.Book known, TestedSet set, UUID id, Optional<LocalDate> lastOverRev) {
    Optional<LocalDate> tested =
        set.tested(id.toString(), r -> true).stream()
            .map(t -> Known.in(known.rows(), t.test().id()).startedAt)
            .map(at -> LocalDate.ofInstant(at, ZoneOffset.UTC))
            .reduce((a, b) -> b);
    return known.fitted().contains(id) && Situation.overRevSince(tested, lastOverRev);
  }

  static LossRange range(Range r) {
    return new LossRange(r.low(), r.mid(), r.high());
  }

  static HoursLeft hoursLeft(Range r) {
    return new HoursLeft(finite(r.low()), finite(r.mid()), finite(r.high()));
  }

  private static @Nullable Double finite(double v) {
    return Double.isInfinite(v) ? null : v;
  }

  private List<TesterLine> testers(SetBook.Book known, Map<String, SpringSet> solved) {
    List<TesterLine> lines = new ArrayList<>();
    List<Double> habit = new ArrayList<>();
    double near = known.sets().isEmpty() ? 1 : known.sets().get(0).type().nominalLbf();
    for (TestRow t : known.here()) {
      SpringRecord.Test test = Known.in(known.tests(), t.id.toString());
      Optional<TesterDay> day = test.day(near);
      Optional<TesterDay> whole = whole(known, solved, test);
      lines.add(
          new TesterLine(
              t.id,
              t.startedAt,
              t.engineHours,
              t.tester,
              t.hand,
              t.state,
              t.place,
              test.loads().size(),
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

  /** What the whole set says of the tester that day. */
  private static Optional<TesterDay> whole(
      SetBook.Book known, Map<String, SpringSet> solved, SpringRecord.Test test) {
    for (TestedSet s : known.sets()) {
      int k = s.counted().indexOf(test.id());
      if (k >= 0) {
        return Optional.of(Known.in(solved, s.typeId()).day(k));
      }
    }
    return Optional.empty();
  }

  static double percent(double ln) {
    return 100 * Math.expm1(ln);
  }
}
