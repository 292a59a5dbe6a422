package shim.app.lash;

import java.time.Instant;
import java.util.Comparator;
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
import shim.app.record.Spent;
import shim.core.drift.LashRound;
import shim.core.drift.LashRounds;
import shim.core.engine.Engine;
import shim.core.engine.Position;
import shim.core.lash.EyeFindings;
import shim.core.lash.Growth;
import shim.core.lash.LashRecord;
import shim.core.lash.LashVerdict;
import shim.core.lash.ValveAtHand;
import shim.core.unit.Known;

/** An engine's rounds as the drift analysis takes them. */
@Service
@Transactional(readOnly = true)
public class LashBook {
  private final RoundRows rounds;
  private final ReadingRows readings;
  private final LookRows looks;
  private final ChainChangeRows changes;
  private final LashPast past;
  private final RoundReader reader;

  LashBook(
      RoundRows rounds,
      ReadingRows readings,
      LookRows looks,
      ChainChangeRows changes,
      LashPast past,
      RoundReader reader) {
    this.rounds = rounds;
    this.readings = readings;
    this.looks = looks;
    this.changes = changes;
    this.past = past;
    this.reader = reader;
  }

  /**
   * Everything read, with the engine's own growth.
   *
   * @param rounds oldest first, each named by its id; parts changed after the last one close the
   *     list
   */
  public record Booked(List<LashRound> rounds, Growth growth) {
    /** As the engine's book stood with that round; nothing where nothing was read in it. */
    public Booked upTo(UUID round) {
      List<String> names = rounds.stream().map(LashRound::name).toList();
      return new Booked(rounds.subList(0, names.indexOf(round.toString()) + 1), growth);
    }
  }

  /**
   * How the rounds stand.
   *
   * @param openRound one that was begun and not signed
   * @param lastHours engine hours of the last round that was signed
   * @param undone valves not done in it, or left outside their tolerance
   */
  public record LashStanding(
      @Nullable UUID openRound, @Nullable Double lastHours, List<Position> undone) {}

  /** How the last rounds left the engine. */
  public LashStanding standing(UUID engineId) {
    List<RoundRow> all = rounds.findByEngineIdOrderByStartedAt(engineId);
    UUID open =
        all.stream()
            .filter(r -> r.signedBy == null)
            .map(r -> r.id)
            .reduce((a, b) -> b)
            .orElse(null);
    RoundRow last = all.stream().filter(r -> r.signedBy != null).reduce((a, b) -> b).orElse(null);
    return last == null
        ? new LashStanding(open, null, List.of())
        : new LashStanding(open, last.engineHours, undone(last));
  }

  private List<Position> undone(RoundRow round) {
    return reader.view(round).valves().stream()
        .filter(
            v ->
                v.status() != ValveAtHand.Status.DONE
                    || v.leftVerdict() != null && v.leftVerdict() != LashVerdict.IN)
        .map(RoundView.ValveView::position)
        .toList();
  }

  /** When its last round was signed. */
  public Optional<Instant> lastSigned(UUID engineId) {
    return rounds.findByEngineIdOrderByStartedAt(engineId).stream()
        .map(r -> r.signedAt)
        .filter(Objects::nonNull)
        .max(Comparator.naturalOrder());
  }

  /** Minutes a valve that its signed rounds took, the oldest first. */
  public List<Double> took(UUID engineId) {
    List<RoundRow> all = rounds.findByEngineIdOrderByStartedAt(engineId);
    Map<UUID, Set<String>> valves =
        readings.findByRoundIdIn(all.stream().map(r -> r.id).toList()).stream()
            .collect(
                Collectors.groupingBy(
                    r -> r.roundId, Collectors.mapping(r -> r.valve, Collectors.toSet())));
    return all.stream()
        .filter(r -> r.signedAt != null && valves.containsKey(r.id))
        .map(r -> Spent.each(r.startedAt, r.signedAt, Known.in(valves, r.id).size()))
        .toList();
  }

  /** What the eye saw in its rounds. */
  public List<EyeFindings.Look> seen(UUID engineId) {
    Map<UUID, RoundRow> byId =
        rounds.findByEngineIdOrderByStartedAt(engineId).stream()
            .collect(Collectors.toMap(r -> r.id, r -> r));
    return looks.findByRoundIdIn(byId.keySet()).stream()
        .map(
            l -> {
              RoundRow round = Known.in(byId, l.roundId);
              return new EyeFindings.Look(
                  Position.parse(l.valve),
                  LashPast.order(round),
                  round.engineHours,
                  l.spring,
                  l.rocker);
            })
        .toList();
  }

  /** Rockers renewed, as the parts changed say. */
  public List<EyeFindings.Renewed> rockersRenewed(UUID engineId) {
    return changes.findByEngineIdOrderByChangedAt(engineId).stream()
        .filter(c -> c.part == Part.ROCKER)
        .flatMap(
            c ->
                c.positions().stream()
                    .map(
                        p ->
                            new EyeFindings.Renewed(
                                p, EyeFindings.Part.ROCKER, c.changedAt.toEpochMilli())))
        .toList();
  }

  public Booked of(UUID engineId, Engine engine) {
    LashRecord record = past.of(engineId, engine);
    return new Booked(
        LashRounds.of(record), Growth.of(record.history(), engine.layout().positions()));
  }
}
