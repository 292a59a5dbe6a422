package shim.app.fatigue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.crank.Plans;
import shim.app.engine.Engines;
import shim.app.fatigue.SpringViews.CheckRead;
import shim.app.fatigue.SpringViews.DayView;
import shim.app.fatigue.SpringViews.LoadAsk;
import shim.app.fatigue.SpringViews.LoadRead;
import shim.app.fatigue.SpringViews.SpringTestView;
import shim.app.fatigue.SpringViews.TestValve;
import shim.app.http.Refusal;
import shim.app.record.Maybe;
import shim.app.spring.Pockets;
import shim.app.spring.SpringRules;
import shim.app.spring.Springs;
import shim.core.engine.Engine;
import shim.core.engine.Position;
import shim.core.fatigue.SpringSet;
import shim.core.fatigue.TestEntry;
import shim.core.fatigue.TestedSet;
import shim.core.fatigue.TesterDay;
import shim.core.fatigue.TesterHabit;
import shim.core.spring.LoadQuestion;
import shim.core.stats.Robust;
import shim.core.unit.Known;

/** A spring test as it stands: each reading at once against reference height, set and last time. */
@Service
@Transactional(readOnly = true)
class TestReader {
  private final TestRows tests;
  private final LoadRows loads;
  private final CheckRows checks;
  private final SetBook book;
  private final Springs springs;
  private final SpringRules rules;
  private final Engines engines;

  TestReader(
      TestRows tests,
      LoadRows loads,
      CheckRows checks,
      SetBook book,
      Springs springs,
      SpringRules rules,
      Engines engines) {
    this.tests = tests;
    this.loads = loads;
    this.checks = checks;
    this.book = book;
    this.springs = springs;
    this.rules = rules;
    this.engines = engines;
  }

  /** What is known before this test. */
  private record Before(SetBook.Book book, Map<String, SpringSet> solved) {}

  SpringTestView view(UUID id) {
    TestRow test = tests.findById(id).orElseThrow(() -> Refusal.notFound("no such test"));
    Engines.Stored stored = engines.get(test.engineId);
    Before before = before(test);
    List<CheckRow> checked = checks.findByTestIdInOrderByTakenAt(List.of(id));
    List<LoadRow> read = loads.findByTestIdOrderByTakenAt(id);
    Map<UUID, List<LoadRow>> bySpring = new HashMap<>();
    read.forEach(r -> bySpring.computeIfAbsent(r.springId, s -> new ArrayList<>()).add(r));
    double near =
        before.book().sets().stream().findFirst().map(s -> s.type().nominalLbf()).orElse(1.0);
    Optional<TesterDay> day = TesterDay.of(checked.stream().map(CheckRow::check).toList(), near);
    List<AtValve> known = new ArrayList<>();
    Map<Position, Springs.StoredFitting> fitted = springs.fittedAt(test.engineId, test.engineHours);
    SpringRules.SpringRulesSheet sheet = rules.of(test.engineId);
    for (Position p : order(test, stored)) {
      if (fitted.containsKey(p)) {
        known.add(atValve(test, before, fitted.get(p), sheet, bySpring, day));
      }
    }
    OptionalDouble median =
        Robust.median(
            known.stream()
                .map(k -> k.entry().loss())
                .filter(OptionalDouble::isPresent)
                .map(OptionalDouble::getAsDouble)
                .toList());
    List<TestValve> valves = known.stream().map(k -> k.view(median, test.repeats)).toList();
    List<UUID> here = valves.stream().map(TestValve::springId).toList();
    return new SpringTestView(
        id,
        test.engineId,
        test.roundId,
        test.startedAt,
        test.engineHours,
        test.place,
        test.state,
        test.workingOrder,
        test.tester,
        test.repeats,
        test.hand,
        test.note,
        test.endedAt,
        day.map(d -> dayView(d, before)).orElse(null),
        checked.stream()
            .map(c -> new CheckRead(c.id, c.name, c.knownLbf, c.loadLbf, c.side, c.hand))
            .toList(),
        valves,
        read.stream()
            .filter(r -> !here.contains(r.springId) || r.member != SpringTests.Member.WHOLE)
            .map(TestReader::read)
            .toList(),
        (int) valves.stream().filter(v -> v.more() == 0).count(),
        test.changes,
        Math.exp(-TesterDay.ABSURD_LN),
        Math.exp(TesterDay.ABSURD_LN));
  }

  private Before before(TestRow test) {
    SetBook.Book known = book.of(test.engineId, test);
    return new Before(known, known.solved());
  }

  private DayView dayView(TesterDay day, Before before) {
    List<Double> habit =
        before.book().record().tests().stream()
            .filter(t -> !t.checks().isEmpty())
            .flatMap(t -> t.day(t.checks().get(0).knownLbf()).stream())
            .map(TesterDay::gainLn)
            .toList();
    return new DayView(
        day.correction(),
        SpringReader.percent(day.gainLn()),
        100 * day.sd(),
        TesterHabit.warning(habit, day).orElse(null));
  }

  /** Firing order, bank by bank, or the stops of the setting order. */
  private List<Position> order(TestRow test, Engines.Stored stored) {
    Engine engine = stored.engine();
    List<Position> bank =
        engine.layout().banks().stream().flatMap(b -> b.valves().stream()).toList();
    return switch (test.workingOrder) {
      case BANK -> bank;
      case FIRING ->
          engine.layout().firingOrder().stream()
              .flatMap(c -> bank.stream().filter(p -> p.cylinder() == c).sorted())
              .toList();
      case STOPS -> {
        List<Position> stops = Plans.valvesInOrder(stored.sheet(), engine);
        yield stops.isEmpty() ? bank : stops;
      }
    };
  }

  private static LoadRead read(LoadRow r) {
    return new LoadRead(
        r.id,
        r.springId,
        r.valve == null ? null : Position.parse(r.valve),
        r.heightIn,
        r.loadLbf,
        r.member,
        r.typed,
        r.again,
        r.hand,
        r.note);
  }

  private static AtValve atValve(
      TestRow test,
      Before before,
      Springs.StoredFitting f,
      SpringRules.SpringRulesSheet sheet,
      Map<UUID, List<LoadRow>> bySpring,
      Optional<TesterDay> day) {
    UUID id = f.fitting().springId();
    TestedSet set = before.book().of(id);
    List<LoadRow> rows =
        bySpring.getOrDefault(id, List.of()).stream()
            .filter(r -> r.member == SpringTests.Member.WHOLE)
            .toList();
    TestEntry.Known known =
        new TestEntry.Known(
            id.toString(),
            set.type(),
            before.book().hours(id, test.engineId, test.engineHours),
            Pockets.height(f, set.type(), sheet),
            !set.counted().isEmpty(),
            last(before, id));
    List<TestEntry.Load> read =
        rows.stream().map(r -> new TestEntry.Load(r.loadLbf, r.heightIn)).toList();
    return new AtValve(
        f.fitting().valve(),
        id,
        before.book().spring(id).mark(),
        known,
        rows,
        TestEntry.of(known, Known.in(before.solved(), set.typeId()), read, day));
  }

  /** The last test's load, corrected by its own check spring. */
  private static OptionalDouble last(Before before, UUID id) {
    return before.book().of(id).tested(id.toString(), TestedSet.Moved::used).stream()
        .mapToDouble(TestedSet.InTest::correctedLbf)
        .reduce((a, b) -> b);
  }

  /** One valve of the test, before it is held against the others. */
  private record AtValve(
      Position position,
      UUID springId,
      String mark,
      TestEntry.Known spring,
      List<LoadRow> rows,
      TestEntry entry) {
    TestValve view(OptionalDouble medianLoss, int repeats) {
      boolean again = rows.stream().anyMatch(r -> r.again);
      OptionalDouble loss = entry.loss();
      return new TestValve(
          position,
          springId,
          mark,
          spring.hours(),
          spring.heightIn(),
          entry.expectedLbf(),
          rows.stream().map(TestReader::read).toList(),
          Maybe.orNull(entry.correctedLbf()),
          Maybe.orNull(loss),
          loss.isPresent() && medianLoss.isPresent()
              ? Double.valueOf(loss.getAsDouble() - medianLoss.getAsDouble())
              : null,
          Maybe.orNull(entry.againstLast()),
          entry.repeatability(),
          entry.question(again).map(AtValve::ask).orElse(null),
          entry.more(repeats, again),
          entry.plainFromLbf(),
          entry.plainToLbf(),
          LoadQuestion.slips(entry.expectedLbf()));
    }

    private static LoadAsk ask(LoadQuestion q) {
      return new LoadAsk(q.code(), q.read(), q.expected(), q.meant().orElse(null));
    }
  }
}
