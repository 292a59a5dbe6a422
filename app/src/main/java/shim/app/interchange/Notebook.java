package shim.app.interchange;

import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import shim.app.fatigue.SpringTests;
import shim.app.fatigue.TestArchive;
import shim.app.http.Entries;
import shim.app.http.Progress;
import shim.app.http.Refusal;
import shim.app.http.UnderWay;
import shim.app.record.Because;
import shim.app.record.Ids;
import shim.app.spring.SpringTypes;
import shim.app.spring.Springs;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.fatigue.TesterDay;

/** An old notebook's readings: previewed with what Shim would say, then taken in as a whole. */
@Service
class Notebook {
  /** Stands for whoever only looks at a table. */
  private static final String UNSIGNED = "?";

  private final Springs springs;
  private final SpringTypes types;
  private final TestArchive archive;
  private final Entries entries;
  private final UnderWay underWay;
  private final Memory memory;
  private final TransactionTemplate work;

  Notebook(
      Springs springs,
      SpringTypes types,
      TestArchive archive,
      Entries entries,
      UnderWay underWay,
      Memory memory,
      PlatformTransactionManager manager) {
    this.entries = entries;
    this.underWay = underWay;
    this.memory = memory;
    this.springs = springs;
    this.types = types;
    this.archive = archive;
    this.work = new TransactionTemplate(manager);
  }

  /** A test the table holds. */
  record NotebookTest(Instant at, double engineHours, int readings, int checks) {}

  /** What was understood, and what would be said once it is kept. */
  record NotebookPreview(
      int lines, List<NotebookTest> tests, List<TestArchive.SaidOf> said, boolean kept) {}

  /** Takes a table in and, unless it is to be kept, undoes all of it. */
  NotebookPreview take(UUID engineId, String text, String hand, boolean keep) {
    if (keep && hand.isBlank()) {
      throw Refusal.invalid("hand", Because.INITIALS);
    }
    List<ReadingsCsv.Line> lines = ReadingsCsv.read(text);
    List<TestArchive.ArchivedTest> tests = tests(engineId, lines, hand.isBlank() ? UNSIGNED : hand);
    entries.requireSound(tests);
    NotebookPreview preview =
        work.execute(
            status -> {
              Progress far = underWay.here();
              far.each(Progress.Stage.TAKING_IN, tests, memory.letGoAfter(archive::put));
              far.at(Progress.Stage.COMPUTING, 0, 0);
              List<TestArchive.SaidOf> said = archive.said(engineId);
              if (!keep) {
                status.setRollbackOnly();
              }
              return new NotebookPreview(
                  lines.size(),
                  tests.stream()
                      .map(
                          t ->
                              new NotebookTest(
                                  Objects.requireNonNull(t.start().startedAt()),
                                  t.start().engineHours(),
                                  t.readings().size(),
                                  t.checks().size()))
                      .toList(),
                  said,
                  keep);
            });
    return java.util.Objects.requireNonNull(preview);
  }

  private List<TestArchive.ArchivedTest> tests(
      UUID engineId, List<ReadingsCsv.Line> lines, String hand) {
    Map<String, List<ReadingsCsv.Line>> byTest = new LinkedHashMap<>();
    for (ReadingsCsv.Line l : lines) {
      byTest.computeIfAbsent(l.at() + " " + l.engineHours(), k -> new ArrayList<>()).add(l);
    }
    List<TestArchive.ArchivedTest> tests = new ArrayList<>();
    byTest.forEach((key, own) -> tests.add(test(engineId, key, own, hand)));
    return tests;
  }

  private TestArchive.ArchivedTest test(
      UUID engineId, String key, List<ReadingsCsv.Line> lines, String hand) {
    ReadingsCsv.Line first = lines.get(0);
    String by = first.hand().isEmpty() ? hand : first.hand();
    UUID id = Ids.of(engineId + key);
    List<TestArchive.ArchivedLoad> loads = new ArrayList<>();
    List<TestArchive.ArchivedCheck> checks = new ArrayList<>();
    for (ReadingsCsv.Line l : lines) {
      Instant at = first.at().plusSeconds(loads.size() + checks.size() + 1L);
      String part = id + " " + l.number();
      if (l.knownLbf().isPresent()) {
        checks.add(
            new TestArchive.ArchivedCheck(
                Ids.of(part),
                new SpringTests.CheckEntry(
                    l.spring().isEmpty() ? "check spring" : l.spring(),
                    l.knownLbf().get(),
                    l.loadLbf(),
                    loads.isEmpty() ? TesterDay.Side.START : TesterDay.Side.END,
                    null,
                    by),
                at));
      } else {
        loads.add(new TestArchive.ArchivedLoad(Ids.of(part), load(engineId, l, by), at));
      }
    }
    return new TestArchive.ArchivedTest(
        id,
        new SpringTests.TestStart(
            engineId,
            null,
            first.engineHours(),
            first.place().equals("BENCH") ? SpringTests.Place.BENCH : SpringTests.Place.HEAD,
            first.state().equals("HOT") ? HeatState.HOT : HeatState.COLD,
            SpringTests.WorkingOrder.BANK,
            first.tester().isEmpty() ? "notebook" : first.tester(),
            1,
            by,
            "from a table",
            first.at()),
        checks,
        loads,
        first.at().plusSeconds(lines.size() + 2L));
  }

  private SpringTests.LoadEntry load(UUID engineId, ReadingsCsv.Line l, String hand) {
    @Nullable Position valve = l.valve().isEmpty() ? null : parse(l);
    @Nullable UUID spring = valve == null ? byMark(l) : null;
    double height = l.heightIn().orElseGet(() -> height(engineId, valve, l));
    return new SpringTests.LoadEntry(
        valve,
        spring,
        height,
        l.loadLbf(),
        l.member().isEmpty() ? SpringTests.Member.WHOLE : member(l),
        null,
        l.again(),
        hand,
        l.note().isEmpty() ? null : l.note());
  }

  private static Position parse(ReadingsCsv.Line l) {
    try {
      return Position.parse(l.valve());
    } catch (IllegalArgumentException e) {
      throw refused(l, String.valueOf(e.getMessage()));
    }
  }

  private static SpringTests.Member member(ReadingsCsv.Line l) {
    try {
      return SpringTests.Member.valueOf(l.member());
    } catch (IllegalArgumentException e) {
      throw refused(l, "member is WHOLE, OUTER or INNER");
    }
  }

  private UUID byMark(ReadingsCsv.Line l) {
    return springs.all().stream()
        .filter(s -> s.spring().mark().equalsIgnoreCase(l.spring()))
        .findFirst()
        .orElseThrow(() -> refused(l, "no spring is marked \"" + l.spring() + "\""))
        .id();
  }

  /** Without a height the installed one is meant. */
  private double height(UUID engineId, @Nullable Position valve, ReadingsCsv.Line l) {
    if (valve == null) {
      throw refused(l, "the height is missing");
    }
    return Optional.ofNullable(springs.fitted(engineId).get(valve))
        .map(
            f ->
                f.fitting().heightIn() != null
                    ? f.fitting().heightIn()
                    : types
                        .get(springs.get(f.fitting().springId()).spring().typeId())
                        .type()
                        .referenceHeightIn())
        .orElseThrow(() -> refused(l, valve + " has no spring fitted"));
  }

  private static Refusal refused(ReadingsCsv.Line l, String why) {
    return Refusal.invalid(
        String.format(Locale.ROOT, "line %d", l.number()),
        String.format(Locale.ROOT, "line %d: %s; nothing was kept", l.number(), why));
  }
}
