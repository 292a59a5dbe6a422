package shim.app.fatigue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.crank.Plans;
import shim.app.engine.Engines;
import shim.app.fatigue.SpringViews.CheckRead;
import shim.app.fatigue.SpringViews.DayView;
import shim.app.fatigue.SpringViews.LoadRead;
import shim.app.fatigue.SpringViews.SpringTestView;
import shim.app.fatigue.SpringViews.TestValve;
import shim.app.http.Refusal;
import shim.app.spring.Pockets;
import shim.app.spring.SpringRules;
import shim.app.spring.Springs;
import shim.core.engine.Engine;
import shim.core.engine.Position;
import shim.core.fatigue.Spreads;
import shim.core.fatigue.SpringSet;
import shim.core.fatigue.TesterDay;
import shim.core.spring.LoadQuestion;
import shim.core.spring.SpringType;
import shim.core.stats.Range;
import shim.core.stats.Robust;

/** A spring test as it stands: each reading at once against reference height, set and last time. */
@Service
@Transactional(readOnly = true)
class TestReader {
  /** A figure this far off is read again before anything is concluded, s.d. */
  private static final double SURPRISING = 3;

  private static final double REPEATABILITY = 2.77;

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
  private record Before(SetBook.Book book, Map<UUID, SpringSet> solved) {}

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
    Optional<TesterDay> day = SetBook.day(checked, near);
    List<Entry> entries = new ArrayList<>();
    Map<Position, Springs.StoredFitting> fitted = springs.fittedAt(test.engineId, test.engineHours);
    SpringRules.SpringRulesSheet sheet = rules.of(test.engineId);
    for (Position p : order(test, stored)) {
      if (fitted.containsKey(p)) {
        entries.add(entry(test, before, fitted.get(p), sheet, bySpring, day));
      }
    }
    double median =
        Robust.median(entries.stream().map(Entry::loss).filter(Objects::nonNull).toList())
            .orElse(Double.NaN);
    List<TestValve> valves = entries.stream().map(e -> e.view(median, test.repeats)).toList();
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
        before.book().checks().values().stream()
            .map(c -> SetBook.day(c, c.get(0).knownLbf))
            .flatMap(Optional::stream)
            .map(TesterDay::gainLn)
            .toList();
    double percent = SpringReader.percent(day.gainLn());
    return new DayView(
        day.correction(),
        percent,
        100 * day.sd(),
        String.format(
            Locale.ROOT,
            "the tester reads %.1f %% %s today (±%.1f): readings are multiplied by %.4f",
            Math.abs(percent),
            percent < 0 ? "low" : "high",
            100 * day.sd(),
            day.correction()),
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

  private static Entry entry(
      TestRow test,
      Before before,
      Springs.StoredFitting f,
      SpringRules.SpringRulesSheet sheet,
      Map<UUID, List<LoadRow>> bySpring,
      Optional<TesterDay> day) {
    UUID id = f.fitting().springId();
    Position p = f.fitting().valve();
    SetBook.BookedSet set = before.book().of(id);
    SpringType type = set.type();
    SpringSet solved = before.solved().get(set.typeId());
    double height = Pockets.height(f, type, sheet);
    double hours = before.book().hoursAt(f, test.engineHours);
    double baseline = solved.baselineLbf(id.toString());
    Range loss = solved.loss(id.toString(), Math.max(1, hours));
    boolean bedded = hours >= 1 && !set.tests().isEmpty();
    double expected = bedded ? baseline * (1 - loss.mid()) : baseline;
    List<LoadRow> whole =
        bySpring.getOrDefault(id, List.of()).stream()
            .filter(r -> r.member == SpringTests.Member.WHOLE)
            .toList();
    List<Double> atReference =
        whole.stream()
            .map(r -> type.curve().move(r.loadLbf, r.heightIn, type.referenceHeightIn()).loadLbf())
            .toList();
    double gain = day.map(TesterDay::gainLn).orElse(0.0);
    Double corrected =
        atReference.isEmpty()
            ? null
            : atReference.stream().mapToDouble(l -> l).average().orElseThrow() * Math.exp(-gain);
    double shown =
        type.curve().move(expected, type.referenceHeightIn(), height).loadLbf() * Math.exp(gain);
    double sd = Math.max(0.002, (loss.high() - loss.low()) / 2 / 1.2816);
    double dayVariance = day.map(d -> d.sd() * d.sd()).orElse(square(Spreads.USUAL.tester()));
    double spread = spread(solved, sd, dayVariance, bedded, Math.max(1, whole.size()));
    return new Entry(
        p,
        id,
        before.book().springs().get(id).spring().mark(),
        hours,
        height,
        shown,
        whole,
        corrected,
        corrected == null ? null : 1 - corrected / baseline,
        last(before, id).map(l -> corrected == null ? null : corrected / l - 1).orElse(null),
        REPEATABILITY * solved.spreads().reading(),
        corrected == null ? null : Math.log(corrected / expected) / spread,
        spread(solved, sd, dayVariance, bedded, 1));
  }

  /**
   * How far the mean of some readings may lie from what is predicted, one s.d. of its logarithm.
   */
  private static double spread(
      SpringSet solved, double lossSd, double dayVariance, boolean bedded, int readings) {
    return Math.sqrt(
        lossSd * lossSd
            + square(solved.spreads().reading()) / readings
            + dayVariance
            + square(Spreads.USUAL.setUp())
            + (bedded ? 0 : square(0.05)));
  }

  private static double square(double v) {
    return v * v;
  }

  /** The last test's load, corrected by its own check spring. */
  private static Optional<Double> last(Before before, UUID id) {
    return before.book().tested(id, SetBook.Booked::used).stream()
        .map(SetBook.InTest::correctedLbf)
        .reduce((a, b) -> b);
  }

  /** One valve of the test before it is held against the others. */
  private record Entry(
      Position position,
      UUID springId,
      String mark,
      double hours,
      double heightIn,
      double expectedLbf,
      List<LoadRow> rows,
      @Nullable Double correctedLbf,
      @Nullable Double loss,
      @Nullable Double againstLast,
      double repeatability,
      @Nullable Double z,
      double firstSpread) {
    TestValve view(double medianLoss, int repeats) {
      Optional<LoadQuestion> question =
          rows.isEmpty()
              ? Optional.empty()
              : LoadQuestion.load(rows.get(rows.size() - 1).loadLbf, expectedLbf);
      boolean again = rows.stream().anyMatch(r -> r.again);
      boolean surprising = z != null && Math.abs(z) > SURPRISING;
      String ask =
          question.map(LoadQuestion::words).orElse(surprising && !again ? surprise() : null);
      int wanted = Math.max(0, repeats - rows.size());
      return new TestValve(
          position,
          springId,
          mark,
          hours,
          heightIn,
          expectedLbf,
          rows.stream().map(TestReader::read).toList(),
          correctedLbf,
          loss,
          loss == null || Double.isNaN(medianLoss) ? null : Double.valueOf(loss - medianLoss),
          againstLast,
          repeatability,
          ask,
          question.flatMap(LoadQuestion::meant).orElse(null),
          ask != null && !again ? Math.max(1, wanted) : wanted,
          Math.max(LoadQuestion.plainFromLbf(expectedLbf), expectedLbf * Math.exp(-plain())),
          Math.min(LoadQuestion.plainToLbf(expectedLbf), expectedLbf * Math.exp(plain())),
          LoadQuestion.slips(expectedLbf));
    }

    private double plain() {
      return SURPRISING * firstSpread;
    }

    private String surprise() {
      return String.format(
          Locale.ROOT,
          "%.0f lbf where %.0f was predicted: set it up once more, measure the height, and read again",
          rows.get(rows.size() - 1).loadLbf,
          expectedLbf);
    }
  }
}
