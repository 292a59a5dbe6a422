package shim.app.fatigue;

import jakarta.validation.constraints.NotNull;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
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

  /**
   * Repeats of one spring in one test: own hours, loads at the reference height in lbf.
   *
   * @param againLbf what was read each further time the spring was set up
   */
  record CalcRead(
      @NotNull String spring,
      double hours,
      @NotNull List<Double> loadsLbf,
      @Nullable List<List<Double>> againLbf) {
    SetHistory.Read read() {
      List<List<Double>> settings = new ArrayList<>(List.of(loadsLbf));
      settings.addAll(againLbf == null ? List.of() : againLbf);
      return new SetHistory.Read(spring, hours, settings);
    }
  }

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
   * @param history the verdicts after each test too, each from what was known then; they cost as
   *     many solutions as there are tests
   */
  record VerdictRequest(
      @NotNull List<CalcSpring> springs,
      @NotNull List<CalcTest> tests,
      @NotNull List<Double> comingHours,
      @Nullable Double lossLimit,
      @Nullable Double leastLoadLbf,
      @Nullable Double lifeHours,
      @Nullable Double changeAt,
      @Nullable Boolean history) {}

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

  /** For each spring: verdict, loss, interval, probability of being under the limit. */
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
    int tests = history.tests().size();
    if (tests == 0) {
      return List.of();
    }
    for (int t = Boolean.TRUE.equals(r.history()) ? 1 : tests; t < tests; t++) {
      add(losses, t - 1, judge(history.upTo(t), r.comingHours(), limits));
    }
    List<SpringOutlook> last = judge(history, r.comingHours(), limits);
    add(losses, tests - 1, last);
    return IntStream.range(0, last.size())
        .mapToObj(i -> verdict(last.get(i), losses.get(i)))
        .toList();
  }

  private static void add(List<List<CalcLoss>> losses, int test, List<SpringOutlook> outlooks) {
    for (int i = 0; i < outlooks.size(); i++) {
      SpringOutlook o = outlooks.get(i);
      losses
          .get(i)
          .add(new CalcLoss(test, SpringReader.range(o.lossNow()), o.underAtNext(), o.verdict()));
    }
  }

  private static List<SpringOutlook> judge(SetHistory history, List<Double> coming, Limits limits) {
    SpringSet set = SpringSet.of(history, SetPrior.USUAL);
    return IntStream.range(0, history.springs().size())
        .mapToObj(i -> judge(set, history, i, coming, limits))
        .toList();
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
    List<SetHistory.Read> reads = t.reads().stream().map(CalcRead::read).toList();
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
