package shim.app.fatigue;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import shim.app.spring.SpringTypes;
import shim.app.spring.Springs;
import shim.core.engine.HeatState;
import shim.core.fatigue.Counting;
import shim.core.fatigue.SetHistory;
import shim.core.fatigue.SetPrior;
import shim.core.fatigue.SpringSet;
import shim.core.fatigue.TesterDay;
import shim.core.running.PartHours;
import shim.core.spring.LoadCurve;
import shim.core.spring.SpringType;
import shim.core.unit.Known;

/** An engine's springs with all their tests in core's terms, one set a type. */
@Component
@Transactional(readOnly = true)
class SetBook {
  private final TestRows tests;
  private final LoadsSeen loads;
  private final CheckRows checks;
  private final Springs springs;
  private final SpringTypes types;

  SetBook(TestRows tests, LoadsSeen loads, CheckRows checks, Springs springs, SpringTypes types) {
    this.tests = tests;
    this.loads = loads;
    this.checks = checks;
    this.springs = springs;
    this.types = types;
  }

  /**
   * One reading in core's terms.
   *
   * @param hours the spring's own hours
   * @param atReferenceLbf as the tester showed it, moved to the reference height
   * @param used it counts in the verdict
   */
  record Booked(
      LoadSeen row, TestRow test, double hours, double atReferenceLbf, boolean far, boolean used) {}

  /** All readings of one spring in one test, with what the check spring said of the tester. */
  record InTest(TestRow test, List<Booked> readings, Optional<TesterDay> day) {
    double hours() {
      return readings.get(0).hours();
    }

    /** Mean at the reference height, as the tester showed it. */
    double rawLbf() {
      return readings.stream().mapToDouble(Booked::atReferenceLbf).average().orElseThrow();
    }

    /** The same, corrected by the check spring; raw without one. */
    double correctedLbf() {
      return rawLbf() * day.map(TesterDay::correction).orElse(1.0);
    }
  }

  /**
   * Springs of one type.
   *
   * @param state temperature state of the tests that count
   * @param tests those that count, in order of time
   */
  record BookedSet(
      UUID typeId,
      SpringType type,
      HeatState state,
      SetHistory history,
      List<TestRow> tests,
      Map<UUID, List<Booked>> bySpring) {}

  /**
   * Everything known of an engine's springs.
   *
   * @param here all tests of the engine, in order of time
   */
  record Book(
      List<TestRow> here,
      List<BookedSet> sets,
      Map<UUID, Springs.StoredSpring> springs,
      Map<UUID, List<Springs.StoredFitting>> fittings,
      Map<UUID, List<CheckRow>> checks) {
    BookedSet of(UUID spring) {
      UUID type = Known.in(springs, spring).spring().typeId();
      return sets.stream().filter(s -> s.typeId().equals(type)).findFirst().orElseThrow();
    }

    /** Every set solved, by its type. */
    Map<UUID, SpringSet> solved() {
      Map<UUID, SpringSet> solved = new HashMap<>();
      sets.forEach(s -> solved.put(s.typeId(), SpringSet.of(s.history(), SetPrior.USUAL)));
      return solved;
    }

    /** Those readings of a spring that are wanted, test by test, the last one last. */
    List<InTest> tested(UUID spring, Predicate<Booked> wanted) {
      BookedSet set = of(spring);
      Map<TestRow, List<Booked>> byTest = new LinkedHashMap<>();
      set.bySpring().getOrDefault(spring, List.of()).stream()
          .filter(wanted)
          .forEach(b -> byTest.computeIfAbsent(b.test(), t -> new ArrayList<>()).add(b));
      return byTest.entrySet().stream()
          .map(
              e ->
                  new InTest(
                      e.getKey(),
                      e.getValue(),
                      day(checks.get(e.getKey().id), set.type().nominalLbf())))
          .toList();
    }

    /** Hours of a spring now; of the engine it is in, if in one. */
    double hoursNow(UUID spring, double engineHours) {
      return part(spring).now(engine -> engineHours);
    }

    /** Hours of a spring while it was in, when that engine stood at some hours. */
    double hoursAt(Springs.StoredFitting in, double engineHours) {
      UUID spring = in.fitting().springId();
      List<UUID> stays =
          Known.in(fittings, spring).stream().map(Springs.StoredFitting::id).toList();
      return part(spring).at(stays.indexOf(in.id()), engineHours);
    }

    private PartHours part(UUID spring) {
      return Known.in(springs, spring).through(fittings.getOrDefault(spring, List.of()));
    }
  }

  /** The book of an engine; tests from one on are left out when given. */
  Book of(UUID engineId, @Nullable TestRow before) {
    Set<UUID> ids =
        springs.fittings(engineId).stream()
            .map(f -> f.fitting().springId())
            .collect(Collectors.toSet());
    Map<UUID, Springs.StoredSpring> byId = new HashMap<>();
    springs.get(ids).forEach(s -> byId.put(s.id(), s));
    Map<UUID, List<Springs.StoredFitting>> fittings =
        springs.fittingsOf(ids).stream()
            .collect(Collectors.groupingBy(f -> f.fitting().springId()));
    List<LoadSeen> rows = loads.of(ids);
    List<TestRow> here = tests.findByEngineIdOrderByStartedAt(engineId);
    Map<UUID, TestRow> testsById = new HashMap<>();
    here.forEach(t -> testsById.put(t.id, t));
    Set<UUID> elsewhere = new HashSet<>();
    rows.stream()
        .map(LoadSeen::testId)
        .filter(t -> !testsById.containsKey(t))
        .forEach(elsewhere::add);
    if (!elsewhere.isEmpty()) {
      tests.findAllById(elsewhere).forEach(t -> testsById.put(t.id, t));
    }
    if (before != null) {
      testsById.values().removeIf(t -> !t.startedAt.isBefore(before.startedAt));
    }
    Map<UUID, List<CheckRow>> byTest =
        checks.findByTestIdInOrderByTakenAt(testsById.keySet()).stream()
            .collect(Collectors.groupingBy(c -> c.testId));
    Book empty = new Book(here, List.of(), byId, fittings, byTest);
    Map<UUID, List<LoadSeen>> byType = new LinkedHashMap<>();
    byId.values().stream()
        .sorted(Comparator.comparing(s -> s.spring().mark()))
        .forEach(s -> byType.computeIfAbsent(s.spring().typeId(), t -> new ArrayList<>()));
    rows.stream()
        .filter(r -> testsById.containsKey(r.testId()))
        .forEach(r -> Known.in(byType, Known.in(byId, r.springId()).spring().typeId()).add(r));
    List<BookedSet> sets =
        byType.entrySet().stream()
            .map(e -> set(e.getKey(), e.getValue(), testsById, empty))
            .toList();
    return new Book(here, sets, byId, fittings, byTest);
  }

  private BookedSet set(UUID typeId, List<LoadSeen> rows, Map<UUID, TestRow> testsById, Book book) {
    SpringType type = types.get(typeId).type();
    Counting counting =
        Counting.of(rows.stream().map(r -> Known.in(testsById, r.testId()).state).toList());
    // All repeats of a spring in a test were read at the same hours of it.
    Map<UUID, Map<UUID, Double>> hours = new HashMap<>();
    List<Booked> all = new ArrayList<>();
    for (LoadSeen r : rows) {
      TestRow test = Known.in(testsById, r.testId());
      double own =
          hours
              .computeIfAbsent(r.testId(), t -> new HashMap<>())
              .computeIfAbsent(r.springId(), spring -> hours(spring, test, book));
      all.add(booked(r, test, type, counting, own));
    }
    List<TestRow> counted =
        all.stream()
            .filter(Booked::used)
            .map(Booked::test)
            .distinct()
            .sorted(Comparator.comparing(t -> t.startedAt))
            .toList();
    List<SetHistory.Member> members =
        book.springs().values().stream()
            .filter(s -> s.spring().typeId().equals(typeId))
            .sorted(Comparator.comparing(s -> s.spring().mark()))
            .map(s -> new SetHistory.Member(s.id().toString(), Optional.of(type.nominalLbf())))
            .toList();
    Map<UUID, List<Booked>> byTest =
        all.stream().filter(Booked::used).collect(Collectors.groupingBy(b -> b.test().id));
    Map<UUID, Double> latest = new HashMap<>();
    List<SetHistory.Test> history =
        counted.stream().map(t -> test(t, Known.in(byTest, t.id), type, book, latest)).toList();
    return new BookedSet(
        typeId,
        type,
        counting.state(),
        new SetHistory(members, history),
        counted,
        all.stream().collect(Collectors.groupingBy(b -> b.row().springId())));
  }

  private static Booked booked(
      LoadSeen r, TestRow test, SpringType type, Counting counting, double hours) {
    LoadCurve.Moved moved = type.curve().move(r.loadLbf(), r.heightIn(), type.referenceHeightIn());
    boolean whole = r.member() == SpringTests.Member.WHOLE;
    boolean used = counting.counts(test.state, whole, moved);
    return new Booked(r, test, hours, moved.loadLbf(), moved.far(), used);
  }

  private static double hours(UUID springId, TestRow test, Book book) {
    Springs.StoredSpring spring = Known.in(book.springs(), springId);
    List<Springs.StoredFitting> own = book.fittings().getOrDefault(springId, List.of());
    return own.stream()
        .filter(f -> f.fitting().engineId().equals(test.engineId))
        .filter(f -> f.fitting().fromHours() <= test.engineHours + 1e-9)
        .reduce((a, b) -> b)
        .map(f -> book.hoursAt(f, test.engineHours))
        .orElse(spring.spring().hoursBefore());
  }

  private static SetHistory.Test test(
      TestRow t, List<Booked> here, SpringType type, Book book, Map<UUID, Double> latest) {
    Map<UUID, List<Booked>> read = new LinkedHashMap<>();
    here.forEach(b -> read.computeIfAbsent(b.row().springId(), s -> new ArrayList<>()).add(b));
    List<SetHistory.Read> reads = new ArrayList<>();
    read.forEach(
        (spring, list) -> {
          // Hours typed a little less than last time are a slip of the pen, not time running back.
          double hours = Math.max(list.get(0).hours(), latest.getOrDefault(spring, 0.0));
          latest.put(spring, hours);
          reads.add(
              new SetHistory.Read(
                  spring.toString(), hours, list.stream().map(Booked::atReferenceLbf).toList()));
        });
    return new SetHistory.Test(day(book.checks().get(t.id), type.nominalLbf()), reads);
  }

  /** What the check spring said of a test, near a load. */
  static Optional<TesterDay> day(@Nullable List<CheckRow> rows, double nearLbf) {
    return rows == null
        ? Optional.empty()
        : TesterDay.of(rows.stream().map(CheckRow::check).toList(), nearLbf);
  }
}
