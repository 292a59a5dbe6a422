package shim.app.fatigue;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.fatigue.SpringViews.EngineSprings;
import shim.app.fatigue.SpringViews.SpringAt;
import shim.app.record.Spent;
import shim.core.engine.Position;
import shim.core.fatigue.Reason;
import shim.core.fatigue.Verdict;
import shim.core.stats.Range;
import shim.core.stock.Due;
import shim.core.unit.Known;
import shim.core.unit.Said;

/** How an engine's springs stand, for other features. */
@Service
@Transactional(readOnly = true)
public class SpringStanding {
  private static final Set<Reason.Kind> READS_LOW =
      EnumSet.of(Reason.Kind.OWN_WAY, Reason.Kind.SUDDEN, Reason.Kind.LEAST_LOAD);

  private final SpringReader reader;
  private final TestRows tests;
  private final LoadRows loads;

  SpringStanding(SpringReader reader, TestRows tests, LoadRows loads) {
    this.reader = reader;
    this.tests = tests;
    this.loads = loads;
  }

  /** A coming event, or the usual hour where none is planned; engine hours. */
  public record Coming(
      String name, @Nullable LocalDate date, double plannedHours, double endHours) {}

  /**
   * One spring in its place.
   *
   * @param because its first reason
   * @param readsLow it reads lower than its set or its limit
   * @param tested it was read at least once
   * @param waits it is to be changed, once it has been read again
   * @param due before which coming event it falls due
   * @param dueAtNext chance that it is changed by the end of the next event
   * @param openLbf load it puts on the lifter's side of the valve at full lift, lbf
   * @param heightIn installed; empty where nobody measured it
   * @param lossNow share of its load lost by now; empty before it was tested
   * @param lossAtNext by the end of the next event
   */
  public record Standing(
      Position position,
      String mark,
      Verdict verdict,
      Optional<Said> because,
      boolean readsLow,
      boolean tested,
      boolean waits,
      UUID typeId,
      Due due,
      double dueAtNext,
      double openLbf,
      Optional<Double> heightIn,
      Optional<Range> lossNow,
      Optional<Range> lossAtNext) {}

  /** An engine's springs and events. */
  public record EngineStanding(
      double engineHours, List<Coming> coming, List<Standing> springs, List<Position> empty) {}

  /** When its last test ended. */
  public Optional<Instant> lastEnded(UUID engineId) {
    return tests.findByEngineIdOrderByStartedAt(engineId).stream()
        .map(t -> t.endedAt)
        .filter(Objects::nonNull)
        .max(Comparator.naturalOrder());
  }

  /** Minutes a spring that its tests took which were made by themselves, the oldest first. */
  public List<Double> took(UUID engineId) {
    List<TestRow> alone =
        tests.findByEngineIdOrderByStartedAt(engineId).stream()
            .filter(t -> t.endedAt != null && t.roundId == null)
            .toList();
    Map<UUID, Set<UUID>> springs =
        loads.findByTestIdIn(alone.stream().map(t -> t.id).toList()).stream()
            .collect(
                Collectors.groupingBy(
                    l -> l.testId, Collectors.mapping(l -> l.springId, Collectors.toSet())));
    return alone.stream()
        .filter(t -> springs.containsKey(t.id))
        .map(t -> Spent.each(t.startedAt, t.endedAt, Known.in(springs, t.id).size()))
        .toList();
  }

  public EngineStanding of(UUID engineId) {
    EngineSprings now = reader.engine(engineId);
    return new EngineStanding(
        now.engineHours(),
        now.coming().stream()
            .map(c -> new Coming(c.name(), c.date(), c.plannedHours(), c.endHours()))
            .toList(),
        now.springs().stream().map(s -> standing(s, now.coming())).toList(),
        now.empty());
  }

  private static Standing standing(SpringAt s, List<SpringViews.ComingEvent> coming) {
    List<Reason> reasons = s.said().reasons();
    return new Standing(
        s.position(),
        s.mark(),
        s.said().verdict(),
        reasons.stream().findFirst().map(Reason::said),
        s.said().verdict() != Verdict.RUN
            && reasons.stream().anyMatch(r -> READS_LOW.contains(r.kind())),
        s.said().tests() > 0,
        s.said().waits(),
        s.typeId(),
        due(s.said(), coming),
        s.said().verdict() == Verdict.CHANGE ? 1 : atNext(s.said()),
        s.fit().openLbf(),
        Optional.ofNullable(s.heightIn()),
        Optional.ofNullable(s.said().outlook()).map(o -> range(o.lossNow())),
        Optional.ofNullable(s.said().outlook()).map(o -> range(o.lossAtNext())));
  }

  private static Range range(SpringViews.LossRange r) {
    return new Range(r.low(), r.mid(), r.high());
  }

  private static double atNext(SpringViews.SpringSaid said) {
    return said.outlook() == null ? 0 : said.outlook().underAtNext();
  }

  private static Due due(SpringViews.SpringSaid said, List<SpringViews.ComingEvent> coming) {
    Double shortest = said.outlook() == null ? null : said.outlook().hoursLeft().low();
    return Due.of(
        shortest == null ? Double.POSITIVE_INFINITY : shortest,
        Due.named(said.dueBefore(), coming.stream().map(SpringViews.ComingEvent::name).toList()),
        coming.stream().map(SpringViews.ComingEvent::plannedHours).toList());
  }
}
