package shim.app.fatigue;

import jakarta.validation.constraints.NotNull;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import shim.core.fatigue.Limits;
import shim.core.fatigue.Reason;
import shim.core.fatigue.SetHistory;
import shim.core.fatigue.SetPrior;
import shim.core.fatigue.Situation;
import shim.core.fatigue.SpringOutlook;
import shim.core.fatigue.SpringSet;
import shim.core.fatigue.TesterDay;
import shim.core.fatigue.Verdict;

/** The judgement as a stateless call: anyone can hold it against their own numbers. */
@RestController
class VerdictController {

  /** A spring: its load at the reference height by the data sheet, lbf; may be missing. */
  record CalcSpring(@NotNull String id, @Nullable Double nominalLbf) {}

  /** Repeats of one spring in one test: own hours, loads at the reference height in lbf. */
  record CalcRead(@NotNull String spring, double hours, @NotNull List<Double> loadsLbf) {}

  /** A check spring's reading, lbf. */
  record CalcCheck(double knownLbf, double readLbf, TesterDay.@Nullable Side side) {}

  /** One test, in order of time. */
  record CalcTest(@Nullable List<CalcCheck> checks, @NotNull List<CalcRead> reads) {}

  /**
   * Everything the judgement is made from.
   *
   * @param comingHours planned hours of the coming events, the next first
   * @param lossLimit share of baseline; 0.10 when missing
   * @param changeAt probability from which a change is due; 0.2 when missing
   */
  record VerdictRequest(
      @NotNull List<CalcSpring> springs,
      @NotNull List<CalcTest> tests,
      @NotNull List<Double> comingHours,
      @Nullable Double lossLimit,
      @Nullable Double leastLoadLbf,
      @Nullable Double lifeHours,
      @Nullable Double changeAt) {}

  /** Loss after one test, share, with its 80 % range, as known right after it. */
  record CalcLoss(int test, SpringViews.LossRange loss, double underAtNext, Verdict verdict) {}

  /** The judgement on one spring. */
  record CalcVerdict(
      String spring,
      Verdict verdict,
      List<Reason> reasons,
      SpringViews.LossRange lossAtNext,
      double underAtNext,
      SpringViews.HoursLeft hoursLeft,
      List<CalcLoss> afterEachTest) {}

  /** For each spring and test: loss, interval, probability of being under the limit, verdict. */
  @PostMapping("/api/calc/spring-verdicts")
  List<CalcVerdict> verdicts(@RequestBody VerdictRequest r) {
    SetHistory history = history(r);
    Limits limits =
        new Limits(
            r.lossLimit() == null ? Limits.USUAL.loss() : r.lossLimit(),
            Optional.ofNullable(r.leastLoadLbf()),
            Optional.ofNullable(r.lifeHours()),
            r.changeAt() == null ? Limits.USUAL.changeAt() : r.changeAt());
    List<List<CalcLoss>> losses = new ArrayList<>();
    history.springs().forEach(s -> losses.add(new ArrayList<>()));
    List<SpringOutlook> last = new ArrayList<>();
    for (int t = 1; t <= history.tests().size(); t++) {
      SpringSet set = SpringSet.of(history.upTo(t), SetPrior.USUAL);
      last.clear();
      for (int i = 0; i < history.springs().size(); i++) {
        SpringOutlook o = judge(set, history.upTo(t), i, r.comingHours(), limits);
        last.add(o);
        losses
            .get(i)
            .add(
                new CalcLoss(t - 1, SpringReader.range(o.lossNow()), o.underAtNext(), o.verdict()));
      }
    }
    List<CalcVerdict> verdicts = new ArrayList<>();
    for (int i = 0; i < last.size(); i++) {
      verdicts.add(verdict(last.get(i), losses.get(i)));
    }
    return verdicts;
  }

  private static CalcVerdict verdict(SpringOutlook o, List<CalcLoss> losses) {
    return new CalcVerdict(
        o.spring(),
        o.verdict(),
        o.reasons(),
        SpringReader.range(o.lossAtNext()),
        o.underAtNext(),
        SpringReader.hoursLeft(o.hoursLeft()),
        losses);
  }

  private static SpringOutlook judge(
      SpringSet set, SetHistory history, int spring, List<Double> coming, Limits limits) {
    String id = history.springs().get(spring).id();
    double hours =
        history.tests().stream()
            .flatMap(t -> t.reads().stream())
            .filter(x -> x.spring().equals(id))
            .mapToDouble(SetHistory.Read::hours)
            .max()
            .orElse(0);
    return set.judge(new Situation(id, hours, coming, false, Optional.empty()), limits);
  }

  private static SetHistory history(VerdictRequest r) {
    return new SetHistory(
        r.springs().stream()
            .map(s -> new SetHistory.Member(s.id(), Optional.ofNullable(s.nominalLbf())))
            .toList(),
        r.tests().stream().map(VerdictController::test).toList());
  }

  private static SetHistory.Test test(CalcTest t) {
    List<SetHistory.Read> reads =
        t.reads().stream()
            .map(x -> new SetHistory.Read(x.spring(), x.hours(), x.loadsLbf()))
            .toList();
    double near = reads.stream().mapToDouble(SetHistory.Read::meanLbf).average().orElse(1);
    List<TesterDay.Check> checks =
        t.checks() == null
            ? List.of()
            : t.checks().stream()
                .map(
                    c ->
                        new TesterDay.Check(
                            c.knownLbf(),
                            c.readLbf(),
                            c.side() == null ? TesterDay.Side.START : c.side()))
                .toList();
    return new SetHistory.Test(TesterDay.of(checks, near), reads);
  }
}
