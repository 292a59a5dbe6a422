package shim.app.readiness;

import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.change.OpenWork;
import shim.app.fatigue.SpringStanding;
import shim.app.lash.LashBook;
import shim.app.lifter.LifterStanding;
import shim.app.record.Maybe;
import shim.app.running.Services;
import shim.core.readiness.Readiness;
import shim.core.readiness.Standing;

/** Gathers how an engine stands before its next event. */
@Service
@Transactional(readOnly = true)
public class ReadinessReader {
  private final SpringStanding springs;
  private final LashBook lash;
  private final LifterStanding lifters;
  private final OpenWork work;
  private final SeenInRounds seen;
  private final Services services;

  ReadinessReader(
      SpringStanding springs,
      LashBook lash,
      LifterStanding lifters,
      OpenWork work,
      SeenInRounds seen,
      Services services) {
    this.springs = springs;
    this.lash = lash;
    this.lifters = lifters;
    this.work = work;
    this.seen = seen;
    this.services = services;
  }

  /** How the engine stands before the event it is asked for, and what that makes of it. */
  public record Answer(Standing standing, SpringStanding.Coming next, Readiness readiness) {}

  public Answer of(UUID engineId) {
    SpringStanding.EngineStanding now = springs.of(engineId);
    SpringStanding.Coming next = now.coming().get(0);
    LashBook.LashStanding rounds = lash.standing(engineId);
    Standing standing =
        new Standing(
            now.engineHours(),
            next.endHours(),
            Optional.ofNullable(next.date()),
            work.of(engineId).stream().map(ReadinessReader::open).toList(),
            now.springs().stream().map(ReadinessReader::spring).toList(),
            now.empty(),
            new Standing.Lash(
                id(rounds.openRound()), Maybe.of(rounds.lastHours()), rounds.undone()),
            lifters.of(engineId, now).stream().map(ReadinessReader::lifter).toList(),
            seen.of(engineId),
            services.of(engineId));
    return new Answer(standing, next, Readiness.of(standing));
  }

  private static Standing.Open open(OpenWork.Open o) {
    return new Standing.Open(
        id(o.jobId()),
        o.words(),
        Optional.ofNullable(o.valve()),
        Maybe.of(o.dueHours()),
        Optional.ofNullable(o.dueOn()),
        o.stops());
  }

  private static Standing.Spring spring(SpringStanding.Standing s) {
    return new Standing.Spring(s.position(), s.verdict(), s.because(), s.tested(), s.waits());
  }

  private static Standing.Lifter lifter(LifterStanding.Standing v) {
    return new Standing.Lifter(
        v.position(), v.verdict(), v.because(), v.strength(), v.drift(), v.looked(), v.noisy());
  }

  private static Optional<String> id(@Nullable UUID id) {
    return Optional.ofNullable(id).map(UUID::toString);
  }
}
