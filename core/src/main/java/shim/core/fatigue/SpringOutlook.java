package shim.core.fatigue;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import shim.core.stats.Range;

/**
 * What Shim says of one spring.
 *
 * @param lossNow share of its baseline lost by now
 * @param lossAtNext share lost at the end of the next event
 * @param underAtNext probability of being under a limit at the end of the next event
 * @param underAfter the same after the event following
 * @param hoursLeft running hours until a limit is broken with probability 0.1, 0.5, 0.9; infinite
 *     beyond 1000 h
 * @param dueBefore number of the coming event before which it falls due, 0 the next; empty when
 *     none of those planned
 * @param ownWay probability that it has left its set
 * @param surprise last reading against what all else predicted, s.d.; empty when not read last
 * @param oddness robust z within its set at the last test
 * @param baselineLbf load at the baseline, corrected
 * @param tests in which it was read
 * @param decides chance that one more setting, read now, turns change into not change or back
 * @param onPaper how paper would have it; empty before two readings
 */
public record SpringOutlook(
    String spring,
    Verdict verdict,
    List<Reason> reasons,
    Range lossNow,
    Range lossAtNext,
    double underAtNext,
    double underAfter,
    Range hoursLeft,
    OptionalInt dueBefore,
    double ownWay,
    OptionalDouble surprise,
    OptionalDouble oddness,
    double baselineLbf,
    int tests,
    double decides,
    Optional<OnPaper> onPaper) {
  public SpringOutlook {
    reasons = List.copyOf(reasons);
  }

  /** It would be changed, but one setting alone says so: it is to be read again first. */
  public boolean waits() {
    return reasons.stream()
        .anyMatch(r -> r.kind() == Reason.Kind.READ_AGAIN && r.said().figure("waits") > 0);
  }
}
