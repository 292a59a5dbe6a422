package shim.core.lash;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Adjuster;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.unit.Said;

/**
 * One valve of a round: what its readings mean, and what to do about it. What to do goes by the
 * latest reading.
 *
 * @param target empty where there is none
 * @param noTarget why a solid lifter has none
 * @param preloadTarget of a hydraulic lifter
 * @param last as it was left last time in the same state
 * @param drift since then; empty before anything was found
 * @param turn where an adjuster is turned
 * @param preload of a hydraulic lifter
 * @param preloadBefore as it was left last time in the same state
 * @param preloadDrift as found against that, in the target's unit
 * @param part where a part is exchanged
 * @param partNowIn pushrod or shim that is in, inch
 * @param ask a question about the latest figure
 */
public record ValveAtHand(
    Optional<LashTarget> target,
    Optional<Said> noTarget,
    Optional<PreloadTarget> preloadTarget,
    Optional<ValveHistory.Visit> last,
    Optional<ValveHistory.Drift> drift,
    Status status,
    Optional<LashVerdict> foundVerdict,
    Optional<LashVerdict> leftVerdict,
    Optional<Turn> turn,
    Optional<Preload> preload,
    Optional<LashRecord.LeftBefore> preloadBefore,
    Optional<Double> preloadDrift,
    Optional<PartChoice> part,
    Optional<Double> partNowIn,
    Optional<Said> ask) {

  /** How far a valve is. */
  public enum Status {
    OPEN,
    FOUND,
    DONE,
    SKIPPED
  }

  /**
   * The round it is of.
   *
   * @param growth the engine's own, known before the round
   * @param record all rounds of the engine
   * @param history of the record
   */
  public record Round(
      Engine engine,
      HeatState state,
      long order,
      double engineHours,
      Growth growth,
      LashRecord record,
      ValveHistory history) {}

  /**
   * A reading of the valve.
   *
   * @param gapIn inch; empty of a hydraulic valve
   * @param turns back to zero lash; empty where nothing turns
   * @param zeroLashIn pushrod length at zero lash, inch; empty where something turns
   * @param partIn pushrod or shim that was written down with it, inch
   * @param explained whoever read it said something of it: nothing is asked any more
   */
  public record Read(
      OptionalDouble gapIn,
      OptionalDouble turns,
      OptionalDouble zeroLashIn,
      OptionalDouble partIn,
      boolean explained) {}

  /**
   * @param found null before anything was read
   * @param left null before it was left
   */
  public static ValveAtHand of(
      Round round, Position p, @Nullable Read found, @Nullable Read left, boolean skipped) {
    Engine.Drive drive = round.engine.drive();
    Optional<PreloadTarget> wanted = PreloadTarget.of(drive, p.kind());
    LashTarget.Answer answer = LashTarget.of(round.engine, p.kind(), round.state, round.growth);
    Optional<LashTarget> target = answer.wanted();
    Optional<Double> foundIn = gap(found);
    Optional<Double> leftIn = gap(left);
    Optional<Double> now = leftIn.or(() -> foundIn);
    Optional<Double> part = partNow(round, p, found == null ? left : found);
    Optional<Preload> foundPreload = wanted.flatMap(w -> preload(round, w, found, found, part));
    Optional<Preload> leftPreload = wanted.flatMap(w -> preload(round, w, found, left, part));
    Optional<Preload> preload = leftPreload.or(() -> foundPreload);
    Optional<LashRecord.LeftBefore> before =
        wanted.flatMap(w -> round.record.preloadBefore(drive, p, round.state, round.order));
    boolean explained =
        Optional.ofNullable(left == null ? found : left).map(Read::explained).orElse(false);
    return new ValveAtHand(
        target,
        drive.lifter().hydraulic() ? Optional.empty() : answer.why(),
        wanted,
        round.history.baseline(p, round.state, round.order),
        foundIn.map(in -> round.history.drift(p, round.state, round.order, round.engineHours, in)),
        status(found, left, skipped),
        verdict(target, foundIn, foundPreload),
        verdict(target, leftIn, leftPreload),
        both(target, now).flatMap(b -> turn(drive, p, b)),
        preload,
        before,
        before.flatMap(b -> foundPreload.map(f -> f.preload() - b.preload())),
        part.flatMap(size -> both(target, foundIn).flatMap(b -> part(round, p, b, size))),
        part,
        both(target, now)
            .filter(b -> !explained && b.target.targetIn() > 0)
            .flatMap(b -> Plausible.askLash(b.lashIn, b.target.targetIn()))
            .or(
                () ->
                    wanted
                        .filter(w -> !explained)
                        .flatMap(w -> preload.flatMap(x -> Plausible.askPreload(w, x.preload())))));
  }

  private static Optional<LashVerdict> verdict(
      Optional<LashTarget> target, Optional<Double> lashIn, Optional<Preload> preload) {
    return both(target, lashIn)
        .map(b -> b.target.judge(b.lashIn))
        .or(() -> preload.map(Preload::verdict));
  }

  /** A lash and what it should be. */
  private record Against(LashTarget target, double lashIn) {}

  private static Optional<Against> both(Optional<LashTarget> target, Optional<Double> lashIn) {
    return target.flatMap(t -> lashIn.map(in -> new Against(t, in)));
  }

  private static Optional<Double> gap(@Nullable Read r) {
    return Stream.ofNullable(r).flatMap(x -> x.gapIn.stream().boxed()).findFirst();
  }

  private static Status status(@Nullable Read found, @Nullable Read left, boolean skipped) {
    if (left != null) {
      return Status.DONE;
    }
    if (skipped) {
      return Status.SKIPPED;
    }
    return found == null ? Status.OPEN : Status.FOUND;
  }

  /** Pushrod or shim that was in when the valve was found. */
  private static Optional<Double> partNow(Round round, Position p, @Nullable Read first) {
    Engine.Drive drive = round.engine.drive();
    return drive.adjuster().turned()
        ? Optional.empty()
        : round.record.partFound(
            drive, p, round.order, first == null ? OptionalDouble.empty() : first.partIn);
  }

  private static Optional<Turn> turn(Engine.Drive d, Position p, Against now) {
    return d.thread() == null || !d.adjuster().turned()
        ? Optional.empty()
        : Optional.of(
            Turn.of(
                now.lashIn,
                now.target.targetIn(),
                Turn.lashPerTurnIn(d.adjuster(), d.thread(), d.ratio(p.kind()))));
  }

  /**
   * @param of the reading it is of
   */
  private static Optional<Preload> preload(
      Round round,
      PreloadTarget wanted,
      @Nullable Read found,
      @Nullable Read of,
      Optional<Double> partFound) {
    if (of == null) {
      return Optional.empty();
    }
    Engine engine = round.engine;
    double growth = Preload.growthIn(engine.rules(), wanted.kind(), round.state, round.growth);
    if (of.turns.isPresent()) {
      double ratio = engine.drive().ratio(wanted.kind());
      return Optional.of(Preload.ofTurns(wanted, of.turns.getAsDouble(), growth, ratio));
    }
    return Preload.Length.of(
            found == null ? of.zeroLashIn : found.zeroLashIn,
            partFound,
            of == found ? OptionalDouble.empty() : of.partIn)
        .flatMap(length -> Preload.ofLength(engine.drive(), wanted, length, growth));
  }

  private static Optional<PartChoice> part(Round round, Position p, Against found, double partIn) {
    Engine.Drive drive = round.engine.drive();
    Adjuster adjuster = drive.adjuster();
    try {
      return Optional.of(
          PartChoice.of(
              adjuster,
              drive.ratio(p.kind()),
              found.lashIn,
              found.target,
              partIn,
              drive.partSizesIn()));
    } catch (LashException e) {
      return Optional.empty();
    }
  }
}
