package shim.core.lash;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Adjuster;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.stats.Robust;
import shim.core.unit.Said;

/**
 * One valve of a round: what its readings mean, and what to do about it. What to do goes by the
 * latest reading.
 *
 * @param target empty for a hydraulic lifter
 * @param last as it was left last time in the same state
 * @param drift since then; empty before anything was found
 * @param turn where an adjuster is turned
 * @param preload of a hydraulic lifter
 * @param part where a part is exchanged
 * @param partNowIn pushrod or shim that is in, inch
 * @param ask a question about the latest figure
 */
public record ValveAtHand(
    Optional<LashTarget> target,
    Optional<ValveHistory.Visit> last,
    Optional<ValveHistory.Drift> drift,
    Status status,
    Optional<LashTarget.Verdict> foundVerdict,
    Optional<LashTarget.Verdict> leftVerdict,
    Optional<Turn> turn,
    Optional<Preload> preload,
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
   * @param gapIn inch; empty for turns
   * @param turns hydraulic; empty for a gap
   * @param partIn pushrod or shim that was written down with it, inch
   * @param explained whoever read it said something of it: nothing is asked any more
   */
  public record Read(
      OptionalDouble gapIn, OptionalDouble turns, OptionalDouble partIn, boolean explained) {}

  /**
   * @param found null before anything was read
   * @param left null before it was left
   */
  public static ValveAtHand of(
      Round round, Position p, @Nullable Read found, @Nullable Read left, boolean skipped) {
    boolean hydraulic = round.engine.drive().lifter().hydraulic();
    Optional<LashTarget> target =
        hydraulic
            ? Optional.empty()
            : Optional.of(LashTarget.of(round.engine, p.kind(), round.state, round.growth));
    Optional<Double> foundIn = gap(found);
    Optional<Double> leftIn = gap(left);
    Optional<Double> now = leftIn.or(() -> foundIn);
    Optional<Double> part = partNow(round, p, found);
    boolean explained =
        Optional.ofNullable(left == null ? found : left).map(Read::explained).orElse(false);
    return new ValveAtHand(
        target,
        round.history.baseline(p, round.state, round.order),
        foundIn.map(in -> round.history.drift(p, round.state, round.order, round.engineHours, in)),
        status(found, left, skipped),
        both(target, foundIn).map(b -> b.target.judge(b.lashIn)),
        both(target, leftIn).map(b -> b.target.judge(b.lashIn)),
        both(target, now).flatMap(b -> turn(round.engine.drive(), p, b)),
        hydraulic ? turns(found).map(t -> preload(round, p, t)) : Optional.empty(),
        part.flatMap(size -> both(target, foundIn).flatMap(b -> part(round, p, b, size))),
        part,
        both(target, now)
            .filter(b -> !explained && b.target.targetIn() > 0)
            .flatMap(b -> Plausible.askLash(b.lashIn, b.target.targetIn())));
  }

  /** A lash and what it should be. */
  private record Against(LashTarget target, double lashIn) {}

  private static Optional<Against> both(Optional<LashTarget> target, Optional<Double> lashIn) {
    return target.flatMap(t -> lashIn.map(in -> new Against(t, in)));
  }

  private static Optional<Double> gap(@Nullable Read r) {
    return Stream.ofNullable(r).flatMap(x -> x.gapIn.stream().boxed()).findFirst();
  }

  private static Optional<Double> turns(@Nullable Read r) {
    return Stream.ofNullable(r).flatMap(x -> x.turns.stream().boxed()).findFirst();
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

  /** Written down now, else last known before the round, else the sheet's. */
  private static Optional<Double> partNow(Round round, Position p, @Nullable Read found) {
    Engine.Drive drive = round.engine.drive();
    if (drive.adjuster().turned()) {
      return Optional.empty();
    }
    if (found != null && found.partIn.isPresent()) {
      return Optional.of(found.partIn.getAsDouble());
    }
    return round.record.partBefore(p, round.order).or(() -> drive.partIn(p.kind()));
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

  /** Set cold, the engine's own growth takes off what it grows hot. */
  private static Preload preload(Round round, Position p, double turns) {
    double growthIn =
        round.state == HeatState.COLD
            ? round.growth.coldMinusHotIn(p.kind()).map(Robust.Mean::mean).map(m -> -m).orElse(0.0)
            : 0;
    return Preload.of(round.engine.drive(), p.kind(), turns, growthIn);
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
