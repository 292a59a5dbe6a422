package shim.app.fatigue;

import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import shim.app.record.Maybe;
import shim.app.spring.SpringTypes;
import shim.app.spring.Springs;
import shim.core.fatigue.SpringRecord;
import shim.core.fatigue.SpringSet;
import shim.core.fatigue.TestedSet;
import shim.core.unit.Known;

/** Loads everything on record of an engine's springs, in core's terms. */
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
   * Everything known of an engine's springs.
   *
   * @param here all tests of the engine, in order of time
   * @param rows every test that read one of the springs, by its id
   * @param fitted springs that are in an engine now
   */
  record Book(
      List<TestRow> here,
      Map<String, TestRow> rows,
      SpringRecord record,
      List<TestedSet> sets,
      Map<String, SpringRecord.Spring> springs,
      Map<String, SpringRecord.Test> tests,
      Map<UUID, Springs.StoredSpring> stored,
      Set<UUID> fitted) {
    TestedSet of(UUID spring) {
      String type = spring(spring).type();
      return sets.stream().filter(s -> s.typeId().equals(type)).findFirst().orElseThrow();
    }

    SpringRecord.Spring spring(UUID id) {
      return Known.in(springs, id.toString());
    }

    /** Every set solved, by its type. */
    Map<String, SpringSet> solved() {
      return sets.stream().collect(Collectors.toMap(TestedSet::typeId, TestedSet::solved));
    }

    /** Hours of a spring when an engine it was in stood at some hours. */
    double hours(UUID spring, UUID engine, double engineHours) {
      return spring(spring).life().in(engine.toString(), engineHours);
    }
  }

  /** The book of an engine; tests from one on are left out when given. */
  Book of(UUID engineId, @Nullable TestRow before) {
    Set<UUID> ids =
        springs.fittings(engineId).stream()
            .map(f -> f.fitting().springId())
            .collect(Collectors.toSet());
    Map<UUID, List<Springs.StoredFitting>> stays =
        springs.fittingsOf(ids).stream()
            .collect(Collectors.groupingBy(f -> f.fitting().springId()));
    List<LoadSeen> read = loads.of(ids);
    List<TestRow> here = tests.findByEngineIdOrderByStartedAt(engineId);
    List<TestRow> rows =
        withThoseElsewhere(here, read).values().stream()
            .filter(t -> before == null || t.startedAt.isBefore(before.startedAt))
            .sorted(Comparator.comparing((TestRow t) -> t.startedAt))
            .toList();
    Map<UUID, List<LoadSeen>> byTest =
        read.stream().collect(Collectors.groupingBy(LoadSeen::testId));
    Map<UUID, List<CheckRow>> checked =
        checks.findByTestIdInOrderByTakenAt(rows.stream().map(t -> t.id).toList()).stream()
            .collect(Collectors.groupingBy(c -> c.testId));
    Map<UUID, Springs.StoredSpring> stored =
        springs.get(ids).stream().collect(Collectors.toMap(Springs.StoredSpring::id, s -> s));
    SpringRecord record =
        new SpringRecord(
            stored.values().stream()
                .map(s -> spring(s, stays.getOrDefault(s.id(), List.of())))
                .toList(),
            rows.stream()
                .map(
                    t ->
                        test(
                            t,
                            checked.getOrDefault(t.id, List.of()),
                            byTest.getOrDefault(t.id, List.of())))
                .toList());
    return new Book(
        here,
        byId(rows),
        record,
        record.sets(type -> types.get(UUID.fromString(type)).type()),
        record.byId(),
        record.tests().stream().collect(Collectors.toMap(SpringRecord.Test::id, t -> t)),
        stored,
        stays.entrySet().stream()
            .filter(e -> e.getValue().stream().anyMatch(Springs.StoredFitting::open))
            .map(Map.Entry::getKey)
            .collect(Collectors.toSet()));
  }

  /** Springs that were in another engine were tested there. */
  private Map<UUID, TestRow> withThoseElsewhere(List<TestRow> here, List<LoadSeen> read) {
    Map<UUID, TestRow> all = new HashMap<>();
    here.forEach(t -> all.put(t.id, t));
    Set<UUID> elsewhere =
        read.stream()
            .map(LoadSeen::testId)
            .filter(Predicate.not(all::containsKey))
            .collect(Collectors.toCollection(HashSet::new));
    if (!elsewhere.isEmpty()) {
      tests.findAllById(elsewhere).forEach(t -> all.put(t.id, t));
    }
    return all;
  }

  private static Map<String, TestRow> byId(List<TestRow> rows) {
    return rows.stream().collect(Collectors.toMap(t -> t.id.toString(), t -> t));
  }

  private static SpringRecord.Spring spring(
      Springs.StoredSpring s, List<Springs.StoredFitting> stays) {
    return new SpringRecord.Spring(
        s.id().toString(),
        s.spring().mark(),
        s.spring().typeId().toString(),
        Optional.ofNullable(s.spring().batch()),
        Maybe.of(s.spring().brokeAtHours()),
        s.through(stays));
  }

  private static SpringRecord.Test test(TestRow t, List<CheckRow> checks, List<LoadSeen> loads) {
    return new SpringRecord.Test(
        t.id.toString(),
        t.engineId.toString(),
        t.engineHours,
        t.state,
        checks.stream().map(CheckRow::check).toList(),
        loads.stream().map(SetBook::load).toList());
  }

  private static SpringRecord.Load load(LoadSeen l) {
    return new SpringRecord.Load(
        l.springId().toString(),
        Objects.requireNonNullElse(l.valve(), ""),
        l.heightIn(),
        l.loadLbf(),
        l.member() == SpringTests.Member.WHOLE,
        l.again());
  }
}
