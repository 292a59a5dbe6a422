package shim.app.lash;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.core.engine.EngineSheet;
import shim.core.engine.Position;

/** Lash rounds as a whole, out and in again without loss. */
@Service
@Transactional
public class LashArchive {
  private final RoundRows rounds;
  private final ReadingRows readings;
  private final LookRows looks;
  private final ChainChangeRows changes;
  private final Rounds commands;
  private final Engines engines;

  LashArchive(
      RoundRows rounds,
      ReadingRows readings,
      LookRows looks,
      ChainChangeRows changes,
      Rounds commands,
      Engines engines) {
    this.rounds = rounds;
    this.readings = readings;
    this.looks = looks;
    this.changes = changes;
    this.commands = commands;
    this.engines = engines;
  }

  /** A gap or turn read, with its time. */
  public record ArchivedReading(UUID id, Rounds.ReadingEntry reading, Instant takenAt) {}

  /** What was seen at a valve. */
  public record ArchivedLook(Position valve, Rounds.ValveLook look) {}

  /**
   * A round with all that was read in it.
   *
   * @param frozen the engine's sheet as the round began
   * @param said what was said on the day it was signed
   */
  public record ArchivedRound(
      UUID id,
      Rounds.RoundStart start,
      EngineSheet frozen,
      List<ArchivedReading> readings,
      List<ArchivedLook> looks,
      Rounds.@Nullable SignOff signature,
      @Nullable Instant signedAt,
      @Nullable String said) {}

  /** Parts changed. */
  public record ArchivedChange(UUID id, Rounds.PartsChanged change) {}

  @Transactional(readOnly = true)
  public List<ArchivedRound> rounds(UUID engineId) {
    return rounds.findByEngineIdOrderByStartedAt(engineId).stream().map(this::archived).toList();
  }

  @Transactional(readOnly = true)
  public List<ArchivedChange> changes(UUID engineId) {
    return changes.findByEngineIdOrderByChangedAt(engineId).stream()
        .map(
            c ->
                new ArchivedChange(
                    c.id,
                    new Rounds.PartsChanged(
                        c.engineId,
                        c.positions(),
                        c.part,
                        c.engineHours,
                        c.hand,
                        c.note,
                        c.changedAt)))
        .toList();
  }

  private ArchivedRound archived(RoundRow r) {
    List<ArchivedReading> read =
        readings.findByRoundIdIn(List.of(r.id)).stream()
            .sorted(
                Comparator.comparing((ReadingRow x) -> x.phase)
                    .thenComparing(x -> x.takenAt)
                    .thenComparing(x -> x.valve))
            .map(x -> new ArchivedReading(x.id, x.entry(), x.takenAt))
            .toList();
    return new ArchivedRound(
        r.id,
        new Rounds.RoundStart(
            r.engineId,
            r.state,
            r.hand,
            r.engineHours,
            r.headTempStartF,
            r.school,
            r.stops,
            r.onMarks,
            r.lookAtSprings,
            r.note,
            r.startedAt,
            r.only(),
            r.fromDeg),
        engines.read(r.sheet),
        read,
        looks.findByRoundId(r.id).stream()
            .map(
                l ->
                    new ArchivedLook(
                        Position.parse(l.valve),
                        new Rounds.ValveLook(l.spring, l.rocker, l.note, l.skipped, l.hand)))
            .toList(),
        r.signedBy == null
            ? null
            : new Rounds.SignOff(
                r.signedBy,
                r.headTempEndF,
                r.note,
                r.rulesChecked == null ? null : List.of(r.rulesChecked.split("\n"))),
        r.signedAt,
        r.said);
  }

  /** Takes a round in; one that is here already and signed stays as it is. */
  public void put(ArchivedRound a) {
    if (rounds.findById(a.id()).filter(RoundRow::signed).isPresent()) {
      return;
    }
    commands.start(a.id(), a.start());
    RoundRow row = rounds.findById(a.id()).orElseThrow();
    row.sheet = engines.write(a.frozen());
    rounds.saveAndFlush(row);
    a.readings().forEach(r -> commands.read(a.id(), r.id(), r.reading(), r.takenAt()));
    a.looks().forEach(l -> commands.look(a.id(), l.valve(), l.look()));
    if (a.signature() != null) {
      commands.sign(a.id(), a.signature(), a.signedAt(), a.said());
    }
  }

  public void put(ArchivedChange a) {
    commands.change(a.id(), a.change());
  }
}
