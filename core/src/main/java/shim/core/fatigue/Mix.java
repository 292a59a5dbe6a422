package shim.core.fatigue;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToDoubleFunction;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import shim.core.stats.Normal;

/**
 * A spring's outlook under every account of what it read. Given an account, loss and load are
 * normal, so a probability is a weighted sum of normal ones.
 *
 * @param lastSlip column of a wrong setting of the last reading; 0 when no account has one
 */
record Mix(Outlook outlook, List<Possible> accounts, int lastSlip) {
  private static final double MOST_HOURS = 1000;
  private static final double FINE_HOURS = 0.02;

  /** What a fault will cost is uneven, whatever its shape: s.d. as a share of it. */
  private static final double UNEVEN = 0.3;

  /** A loss is sought this finely, ln. */
  private static final double FINE = 2e-5;

  private static final int ORDER = 3;
  private static final int MOST_STEPS = 200;

  /** All is lost, ln: far ahead a path may run away beyond any figure. */
  private static final double ALL = 10;

  Mix {
    accounts = List.copyOf(accounts);
  }

  /** Those accounts alone in which the setting of the last reading was wrong; none: all of them. */
  Mix ifSlipped() {
    List<Possible> wrong =
        accounts.stream().filter(p -> lastSlip > 0 && p.slipColumn() == lastSlip).toList();
    double sum = wrong.stream().mapToDouble(Possible::weight).sum();
    return wrong.isEmpty()
        ? this
        : new Mix(
            outlook, wrong.stream().map(p -> p.weighing(p.weight() / sum)).toList(), lastSlip);
  }

  /** Probability that the loss exceeds a limit at some hours. */
  double lossAbove(double hours, double limit) {
    return above(losses(hours), -Math.log1p(-limit));
  }

  /** Probability that ln of load over nominal lies below a value at some hours. */
  double loadBelow(double hours, double ln) {
    return 1 - above(loads(hours), ln);
  }

  private double above(List<Normal> each, double value) {
    double sum = 0;
    for (int k = 0; k < each.size(); k++) {
      sum += accounts.get(k).weight() * each.get(k).above(value);
    }
    return sum;
  }

  private List<Normal> losses(double hours) {
    Outlook.Ahead loss = outlook.lossLn(hours);
    return each(hours, loss, p -> p.lost(hours) - p.lost(Settling.BASELINE_HOURS));
  }

  private List<Normal> loads(double hours) {
    return each(hours, outlook.loadLn(hours), p -> -p.lost(hours));
  }

  /**
   * @param grows what one unit of the fault's size does to the figure
   */
  private List<Normal> each(double hours, Outlook.Ahead ahead, ToDoubleFunction<Possible> grows) {
    double[] shifts = ahead.shifts();
    List<Normal> each = new ArrayList<>(accounts.size());
    for (Possible p : accounts) {
      double wrong = shifts[p.slipColumn()];
      double lever = lever(p, grows.applyAsDouble(p), shifts);
      double coming = UNEVEN * p.size() * Math.max(0, p.lost(hours) - 1);
      double variance =
          ahead.variance()
              + p.sizeVariance() * lever * lever
              + p.slipVariance() * wrong * wrong
              + coming * coming;
      each.add(new Normal(ahead.mean() + p.size() * lever - p.slip() * wrong, Math.sqrt(variance)));
    }
    return each;
  }

  /**
   * Load now and loss at some later hours under one account, together normal.
   *
   * @param load ln over nominal
   * @param loss minus ln(1 − loss)
   */
  record Joint(
      double weight,
      double load,
      double loadVariance,
      double loss,
      double lossVariance,
      double covariance) {}

  /** Load and loss together under each account, the likeliest first. */
  List<Joint> joint(double loadHours, double lossHours) {
    List<Normal> loads = loads(loadHours);
    List<Normal> losses = losses(lossHours);
    double[] ofLoad = outlook.loadLn(loadHours).shifts();
    double[] ofLoss = outlook.lossLn(lossHours).shifts();
    double common = outlook.covariance(loadHours, lossHours);
    List<Joint> joint = new ArrayList<>();
    for (int k = 0; k < accounts.size(); k++) {
      Possible p = accounts.get(k);
      double slip = ofLoad[p.slipColumn()] * ofLoss[p.slipColumn()] * p.slipVariance();
      double size =
          p.sizeVariance()
              * lever(p, -p.lost(loadHours), ofLoad)
              * lever(p, p.lost(lossHours) - p.lost(Settling.BASELINE_HOURS), ofLoss);
      joint.add(
          new Joint(
              p.weight(),
              loads.get(k).mean(),
              square(loads.get(k).sd()),
              losses.get(k).mean(),
              square(losses.get(k).sd()),
              common + size + slip));
    }
    return joint;
  }

  /** What one unit of the fault's size does to a figure, what the readings make of it included. */
  private static double lever(Possible p, double grows, double[] shifts) {
    return grows - shifts[p.column()] + p.slipBySize() * shifts[p.slipColumn()];
  }

  private static double square(double v) {
    return v * v;
  }

  private double mean(List<Normal> each) {
    double sum = 0;
    for (int k = 0; k < each.size(); k++) {
      sum += accounts.get(k).weight() * each.get(k).mean();
    }
    return sum;
  }

  double meanLossLn(double hours) {
    return mean(losses(hours));
  }

  double meanLoadLn(double hours) {
    return mean(loads(hours));
  }

  /** Mean ln of load over nominal at the baseline, as seen from some later hours. */
  double baselineLn(double hours) {
    return meanLoadLn(hours) + meanLossLn(hours);
  }

  /** The loss not exceeded with probability p, at some hours. */
  double lossQuantile(double hours, double p) {
    List<Normal> loss = losses(hours);
    double low =
        Math.max(-ALL, loss.stream().mapToDouble(n -> n.mean() - 5 * n.sd()).min().orElseThrow());
    double high =
        Math.min(ALL, loss.stream().mapToDouble(n -> n.mean() + 5 * n.sd()).max().orElseThrow());
    UnivariateFunction over = x -> 1 - above(loss, x) - p;
    if (high - low <= FINE || over.value(high) <= 0) {
      return -Math.expm1(-high);
    }
    double ln =
        new BracketingNthOrderBrentSolver(FINE, FINE, ORDER).solve(MOST_STEPS, over, low, high);
    return -Math.expm1(-ln);
  }

  /**
   * First hours at which a limit is broken with probability p, the life at most; infinite beyond
   * 1000 h.
   */
  static double hoursUntil(
      double fromHours, double lifeHours, double p, DoubleUnaryOperator broken) {
    if (broken.applyAsDouble(fromHours) >= p) {
      return fromHours;
    }
    if (lifeHours < MOST_HOURS && broken.applyAsDouble(lifeHours) < p) {
      return lifeHours;
    }
    double low = fromHours;
    double step = 0.5;
    while (broken.applyAsDouble(low + step) < p) {
      low += step;
      step *= 2;
      if (low + step > MOST_HOURS) {
        return Double.POSITIVE_INFINITY;
      }
    }
    double high = low + step;
    while (high - low > FINE_HOURS) {
      double mid = (low + high) / 2;
      if (broken.applyAsDouble(mid) < p) {
        low = mid;
      } else {
        high = mid;
      }
    }
    return high;
  }
}
