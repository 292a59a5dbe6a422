package shim.app.fatigue;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.app.record.Because;
import shim.app.record.HeightIn;
import shim.app.record.Hours;
import shim.app.record.Initials;
import shim.app.record.LoadLbf;
import shim.app.record.TakenBack;
import shim.app.spring.HeightSlip;
import shim.app.spring.SpringTypes;
import shim.app.spring.Springs;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.fatigue.TesterDay;
import shim.core.spring.SpringType;

/**
 * What is done to a spring test. Each reading is kept at once under an id its client made; a second
 * setting stands beside the first, never over it.
 */
@Service
@Transactional
public class SpringTests {
  private final TestRows tests;
  private final LoadRows loads;
  private final LoadsSeen seen;
  private final CheckRows checks;
  private final Springs springs;
  private final SpringTypes types;
  private final Engines engines;
  private final TakenBack takenBack;
  private final Clock clock;

  SpringTests(
      TestRows tests,
      LoadRows loads,
      LoadsSeen seen,
      CheckRows checks,
      Springs springs,
      SpringTypes types,
      Engines engines,
      TakenBack takenBack,
      Clock clock) {
    this.tests = tests;
    this.loads = loads;
    this.seen = seen;
    this.checks = checks;
    this.springs = springs;
    this.types = types;
    this.engines = engines;
    this.takenBack = takenBack;
    this.clock = clock;
  }

  /** Where springs are tested. */
  public enum Place {
    HEAD,
    BENCH
  }

  /** In which order. */
  public enum WorkingOrder {
    FIRING,
    BANK,
    STOPS
  }

  /** Which part of a nest was on the tester. */
  public enum Member {
    WHOLE,
    OUTER,
    INNER
  }

  /**
   * How a test begins.
   *
   * @param roundId lash round it is done with; its stops give the order
   * @param repeats readings wanted of each spring
   */
  public record TestStart(
      @NotNull UUID engineId,
      @Nullable UUID roundId,
      @Hours double engineHours,
      @NotNull(message = "on the head or on the bench?") Place place,
      @NotNull(message = "hot or cold?") HeatState state,
      @NotNull WorkingOrder order,
      @NotBlank(message = "name the tester") @Size(max = 40, message = "40 letters at most")
          String tester,
      @Min(value = 1, message = "one reading at least") @Max(value = 8, message = "8 at most")
          int repeats,
      @Initials String hand,
      @Size(max = 2000, message = "2000 letters at most") @Nullable String note,
      @Nullable Instant startedAt) {}

  /**
   * A reading as it is sent.
   *
   * @param valve where it was read; on the bench the spring alone may be named
   * @param heightIn height it was read at
   * @param again read once more from the start, with the height measured anew
   */
  public record LoadEntry(
      @Nullable Position valve,
      @Nullable UUID springId,
      @HeightIn double heightIn,
      @LoadLbf double loadLbf,
      @NotNull Member member,
      @Size(max = 40, message = "40 letters at most") @Nullable String typed,
      boolean again,
      @Initials String hand,
      @Size(max = 400, message = "400 letters at most") @Nullable String note) {}

  /** A reading of the check spring as it is sent; lbf. */
  public record CheckEntry(
      @NotBlank(message = "name the check spring") @Size(max = 40, message = "40 letters at most")
          String name,
      @LoadLbf double knownLbf,
      @LoadLbf double loadLbf,
      TesterDay.@NotNull Side side,
      @Size(max = 40, message = "40 letters at most") @Nullable String typed,
      @Initials String hand) {}

  /**
   * Begins a test; a repeat with the same id changes nothing. Two at once on an engine are refused.
   */
  public void start(UUID id, TestStart s) {
    Optional<TestRow> known = tests.findById(id);
    if (known.isPresent()) {
      TakenBack.refuseOther(known.get().engineId.equals(s.engineId()));
      return;
    }
    engines.get(s.engineId());
    tests.findByEngineIdOrderByStartedAt(s.engineId()).stream()
        .filter(t -> t.endedAt == null)
        .findFirst()
        .ifPresent(
            t -> {
              throw Refusal.conflict(
                  t.hand
                      + "'s test at "
                      + hours(t.engineHours)
                      + " is still open: go on with it, or end it");
            });
    if (springs.fittings(s.engineId()).stream().noneMatch(Springs.StoredFitting::open)) {
      throw Refusal.invalid(
          "engineId", "no spring is fitted in this engine yet: put a set in first");
    }
    TestRow row = new TestRow(id);
    row.engineId = s.engineId();
    row.roundId = s.roundId();
    row.startedAt = s.startedAt() == null ? now() : s.startedAt();
    row.engineHours = s.engineHours();
    row.place = s.place();
    row.state = s.state();
    row.workingOrder = s.order();
    row.tester = s.tester().strip();
    row.repeats = s.repeats();
    row.hand = s.hand();
    row.note = s.note();
    Because.of(s.hand(), "test begun");
    tests.saveAndFlush(row);
  }

  /** What a spring last showed, whole, at a height; as the tester read. */
  public record LastLoad(double heightIn, double loadLbf) {}

  /** The last whole reading of each of some springs; those never read are left out. */
  @Transactional(readOnly = true)
  public Map<UUID, LastLoad> lastLoads(Collection<UUID> springs) {
    Map<UUID, LastLoad> last = new HashMap<>();
    seen.of(springs).stream()
        .filter(r -> r.member() == Member.WHOLE)
        .forEach(r -> last.put(r.springId(), new LastLoad(r.heightIn(), r.loadLbf())));
    return last;
  }

  /** The test that was begun with a lash round. */
  @Transactional(readOnly = true)
  public Optional<UUID> ofRound(UUID roundId) {
    return tests.findByRoundIdOrderByStartedAt(roundId).stream().map(t -> t.id).findFirst();
  }

  private static String hours(double h) {
    return String.format(Locale.ROOT, "%.2f h", h);
  }

  /** Keeps one reading; safe to repeat. */
  public void read(UUID testId, UUID readingId, LoadEntry e, @Nullable Instant takenAt) {
    TestRow test = open(testId);
    UUID spring = springOf(test, e);
    SpringType type = types.get(springs.get(spring).spring().typeId()).type();
    if (e.member() == Member.WHOLE
        && type.bindIn().isPresent()
        && e.heightIn() < type.bindIn().get()) {
      throw Refusal.invalid(
          "heightIn",
          String.format(
              Locale.ROOT,
              "a height of {%.3f in} is below bind at {%.3f in}: measure it again",
              e.heightIn(),
              type.bindIn().get()));
    }
    HeightSlip.refuse(e.heightIn(), type.referenceHeightIn());
    LoadRow row = row(testId, readingId, spring);
    row.testId = testId;
    row.springId = spring;
    row.valve = e.valve() == null ? null : e.valve().toString();
    row.heightIn = e.heightIn();
    row.loadLbf = e.loadLbf();
    row.member = e.member();
    row.typed = e.typed();
    row.again = e.again();
    row.hand = e.hand();
    row.note = e.note();
    row.takenAt = takenAt == null ? now() : takenAt;
    Because.of(e.hand(), e.again() ? "read again" : null);
    loads.saveAndFlush(row);
    tests.touch(testId);
  }

  private LoadRow row(UUID testId, UUID readingId, UUID spring) {
    Optional<LoadRow> known = loads.findById(readingId);
    known.ifPresent(
        r -> TakenBack.refuseOther(r.testId.equals(testId) && r.springId.equals(spring)));
    if (known.isEmpty()) {
      takenBack.refuse(LoadRow.class, readingId);
    }
    return known.orElseGet(() -> new LoadRow(readingId));
  }

  /** The spring at the valve when the test was made, or the one that was named. */
  private UUID springOf(TestRow test, LoadEntry e) {
    if (e.springId() != null) {
      return springs.get(e.springId()).id();
    }
    if (e.valve() == null) {
      throw Refusal.invalid("valve", "say which valve, or which spring");
    }
    List<Springs.StoredFitting> here =
        springs.fittings(test.engineId).stream()
            .filter(f -> f.fitting().valve().equals(e.valve()))
            .toList();
    if (here.isEmpty()) {
      throw Refusal.invalid(
          "valve", e.valve() + " has no spring fitted: nothing can be read there");
    }
    return here.stream()
        .filter(f -> f.inAt(test.engineHours))
        .reduce((a, b) -> b)
        .map(f -> f.fitting().springId())
        .orElseThrow(
            () ->
                Refusal.invalid(
                    "valve",
                    String.format(
                        Locale.ROOT,
                        "%s got its spring at %.2f h, after this test at %.2f h",
                        e.valve(),
                        here.get(here.size() - 1).fitting().fromHours(),
                        test.engineHours)));
  }

  /** Takes a reading back; its history stays. */
  public void withdraw(UUID testId, UUID readingId, @Nullable String hand) {
    open(testId);
    loads
        .findById(readingId)
        .filter(r -> r.testId.equals(testId))
        .ifPresent(
            r -> {
              Because.of(hand, "taken back");
              loads.delete(r);
              loads.flush();
              tests.touch(testId);
            });
  }

  /** Keeps a reading of the check spring; one that is absurdly off is no tester drift. */
  public void check(UUID testId, UUID checkId, CheckEntry e, @Nullable Instant takenAt) {
    open(testId);
    double off = e.loadLbf() / e.knownLbf() - 1;
    if (Math.abs(Math.log(e.loadLbf() / e.knownLbf())) > TesterDay.ABSURD_LN) {
      throw Refusal.invalid(
          "loadLbf",
          String.format(
              Locale.ROOT,
              "the check spring reads %.0f %% %s: no tester drifts so far. Is it the right spring,"
                  + " at its height, and {%.0f lbf} its load?",
              Math.abs(100 * off),
              off > 0 ? "high" : "low",
              e.knownLbf()));
    }
    CheckRow row = checks.findById(checkId).orElseGet(() -> new CheckRow(checkId));
    TakenBack.refuseOther(row.testId == null || row.testId.equals(testId));
    row.testId = testId;
    row.name = e.name().strip();
    row.knownLbf = e.knownLbf();
    row.loadLbf = e.loadLbf();
    row.side = e.side();
    row.typed = e.typed();
    row.hand = e.hand();
    row.takenAt = takenAt == null ? now() : takenAt;
    Because.of(e.hand(), "check spring");
    checks.saveAndFlush(row);
    tests.touch(testId);
  }

  /** Ends a test; it is not changed any more. */
  public void end(UUID testId, String hand, @Nullable String note, @Nullable Instant at) {
    TestRow test = open(testId);
    test.endedAt = at == null ? now() : at;
    if (note != null && !note.isBlank()) {
      test.note = note;
    }
    Because.of(hand, "test ended");
    tests.saveAndFlush(test);
    tests.touch(testId);
  }

  private TestRow open(UUID id) {
    TestRow test = tests.findById(id).orElseThrow(() -> Refusal.notFound("no such test"));
    if (test.endedAt != null) {
      throw Refusal.conflict("this test is over: it is not changed any more");
    }
    return test;
  }

  private Instant now() {
    return clock.instant().truncatedTo(ChronoUnit.MILLIS);
  }
}
