package shim.app.fatigue;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.core.engine.Position;

/** Spring tests as a whole, out and in again without loss; and what an engine's springs say. */
@Service
@Transactional
public class TestArchive {
  private final TestRows tests;
  private final LoadRows loads;
  private final CheckRows checks;
  private final SpringTests commands;
  private final SpringReader reader;

  TestArchive(
      TestRows tests, LoadRows loads, CheckRows checks, SpringTests commands, SpringReader reader) {
    this.tests = tests;
    this.loads = loads;
    this.checks = checks;
    this.commands = commands;
    this.reader = reader;
  }

  /** A reading with its time. */
  public record ArchivedLoad(UUID id, SpringTests.LoadEntry reading, Instant takenAt) {}

  /** A check reading with its time. */
  public record ArchivedCheck(UUID id, SpringTests.CheckEntry check, Instant takenAt) {}

  /** A test with all that was read in it. */
  public record ArchivedTest(
      UUID id,
      SpringTests.TestStart start,
      List<ArchivedCheck> checks,
      List<ArchivedLoad> readings,
      @Nullable Instant endedAt) {}

  @Transactional(readOnly = true)
  public List<ArchivedTest> of(UUID engineId) {
    List<TestRow> rows = tests.findByEngineIdOrderByStartedAt(engineId);
    Map<UUID, List<CheckRow>> checked =
        checks.findByTestIdInOrderByTakenAt(rows.stream().map(t -> t.id).toList()).stream()
            .collect(Collectors.groupingBy(c -> c.testId));
    return rows.stream().map(t -> archived(t, checked.getOrDefault(t.id, List.of()))).toList();
  }

  private ArchivedTest archived(TestRow t, List<CheckRow> checked) {
    return new ArchivedTest(
        t.id,
        new SpringTests.TestStart(
            t.engineId,
            t.roundId,
            t.engineHours,
            t.place,
            t.state,
            t.workingOrder,
            t.tester,
            t.repeats,
            t.hand,
            t.note,
            t.startedAt),
        checked.stream()
            .map(
                c ->
                    new ArchivedCheck(
                        c.id,
                        new SpringTests.CheckEntry(
                            c.name, c.knownLbf, c.loadLbf, c.side, c.typed, c.hand),
                        c.takenAt))
            .toList(),
        loads.findByTestIdOrderByTakenAt(t.id).stream()
            .map(
                r ->
                    new ArchivedLoad(
                        r.id,
                        new SpringTests.LoadEntry(
                            r.valve == null ? null : Position.parse(r.valve),
                            r.springId,
                            r.heightIn,
                            r.loadLbf,
                            r.member,
                            r.typed,
                            r.again,
                            r.hand,
                            r.note),
                        r.takenAt))
            .toList(),
        t.endedAt);
  }

  /** Takes a test in; one that is here already and over stays as it is. */
  public void put(ArchivedTest t) {
    if (tests.findById(t.id()).filter(x -> x.endedAt != null).isPresent()) {
      return;
    }
    commands.start(t.id(), t.start());
    t.checks().forEach(c -> commands.check(t.id(), c.id(), c.check(), c.takenAt()));
    t.readings().forEach(r -> commands.read(t.id(), r.id(), r.reading(), r.takenAt()));
    if (t.endedAt() != null) {
      commands.end(t.id(), t.start().hand(), null, t.endedAt());
    }
  }

  /** A spring's verdict in short. */
  public record SaidOf(
      Position position, String mark, String verdict, @Nullable Double lossNow, String because) {}

  /** What would be said of an engine's springs as they stand. */
  @Transactional(readOnly = true)
  public List<SaidOf> said(UUID engineId) {
    return reader.engine(engineId).springs().stream()
        .map(
            s ->
                new SaidOf(
                    s.position(),
                    s.mark(),
                    s.said().verdict().name(),
                    s.said().outlook() == null ? null : s.said().outlook().lossNow().mid(),
                    s.said().reasons().get(0).kind().name()))
        .toList();
  }
}
