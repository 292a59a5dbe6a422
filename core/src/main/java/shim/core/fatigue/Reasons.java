package shim.core.fatigue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import shim.core.fatigue.Reason.Kind;

/** The rules of the verdict, each a reason with its figures. */
final class Reasons {
  private static final double SUDDEN = -3;
  private static final double ODD = 3.5;
  private static final int ENOUGH_TESTS = 3;

  private final SpringFacts facts;
  private final Mix mix;
  private final Situation now;
  private final Limits limits;
  private final double nominalLbf;
  private final double baselineLbf;

  Reasons(
      SpringFacts facts,
      Mix mix,
      Situation now,
      Limits limits,
      double nominalLbf,
      double baselineLbf) {
    this.facts = facts;
    this.mix = mix;
    this.now = now;
    this.limits = limits;
    this.nominalLbf = nominalLbf;
    this.baselineLbf = baselineLbf;
  }

  /** The weightiest first. */
  List<Reason> all() {
    List<Reason> all = new ArrayList<>();
    if (facts.tests() > 0) {
      all.add(loss());
      leastLoad().ifPresent(all::add);
    }
    life().ifPresent(all::add);
    sudden().ifPresent(all::add);
    batch().ifPresent(all::add);
    ownWay().ifPresent(all::add);
    odd().ifPresent(all::add);
    overRev().ifPresent(all::add);
    littleKnown().ifPresent(all::add);
    noCheck().ifPresent(all::add);
    all.sort((a, b) -> b.asks().compareTo(a.asks()));
    return all;
  }

  private Verdict of(double atNext, double after) {
    if (atNext >= limits.changeAt()) {
      return Verdict.CHANGE;
    }
    boolean near = atNext >= limits.watchAt() || after >= limits.changeAt();
    return near ? Verdict.WATCH : Verdict.RUN;
  }

  private Reason loss() {
    double next = now.hoursAfter(1);
    double atNext = mix.lossAbove(next, limits.loss());
    double after = mix.lossAbove(now.hoursAfter(2), limits.loss());
    return Reason.of(
        Kind.LOSS,
        of(atNext, after),
        facts.lossNow().mid(),
        facts.lossAtNext().mid(),
        facts.lossAtNext().low(),
        facts.lossAtNext().high(),
        atNext,
        limits.loss());
  }

  private Optional<Reason> leastLoad() {
    return limits
        .leastLoadLbf()
        .map(
            least -> {
              double ln = Math.log(least / nominalLbf);
              double next = mix.loadBelow(now.hoursAfter(1), ln);
              return Reason.of(
                  Kind.LEAST_LOAD,
                  of(next, mix.loadBelow(now.hoursAfter(2), ln)),
                  baselineLbf * (1 - facts.lossAtNext().mid()),
                  next,
                  least);
            });
  }

  private Optional<Reason> life() {
    return limits
        .lifeHours()
        .flatMap(
            life -> {
              Verdict v =
                  now.hoursAfter(1) > life
                      ? Verdict.CHANGE
                      : now.hoursAfter(2) > life ? Verdict.WATCH : Verdict.RUN;
              return v == Verdict.RUN
                  ? Optional.empty()
                  : Optional.of(Reason.of(Kind.LIFE, v, now.hoursNow(), life));
            });
  }

  private Optional<Reason> sudden() {
    if (facts.stepped()) {
      return Optional.of(Reason.of(Kind.SUDDEN, Verdict.CHANGE));
    }
    double z = facts.surprise().orElse(0);
    if (z >= SUDDEN) {
      return Optional.empty();
    }
    return Optional.of(Reason.of(Kind.READ_AGAIN, Verdict.WATCH, -z));
  }

  private Optional<Reason> batch() {
    return now.batchBrokeAtHours()
        .map(
            broke -> {
              boolean reached = now.hoursAfter(1) >= broke;
              return Reason.of(
                  Kind.BATCH, reached ? Verdict.CHANGE : Verdict.WATCH, broke, now.hoursNow());
            });
  }

  private Optional<Reason> ownWay() {
    return facts.ownWay() > 0.5
        ? Optional.of(Reason.of(Kind.OWN_WAY, Verdict.RUN, facts.ownWay()))
        : Optional.empty();
  }

  private Optional<Reason> odd() {
    double z = facts.oddness().orElse(0);
    return Math.abs(z) > ODD
        ? Optional.of(Reason.of(Kind.ODD_ONE_OUT, Verdict.RUN, z))
        : Optional.empty();
  }

  private Optional<Reason> overRev() {
    return now.overRevSinceTest()
        ? Optional.of(Reason.of(Kind.OVER_REV, Verdict.WATCH))
        : Optional.empty();
  }

  private Optional<Reason> littleKnown() {
    int tests = facts.tests();
    return tests >= ENOUGH_TESTS
        ? Optional.empty()
        : Optional.of(
            Reason.of(Kind.LITTLE_KNOWN, tests == 0 ? Verdict.NOT_TESTED : Verdict.RUN, tests));
  }

  private Optional<Reason> noCheck() {
    return facts.lastWithoutCheck()
        ? Optional.of(Reason.of(Kind.NO_CHECK_SPRING, Verdict.RUN))
        : Optional.empty();
  }
}
