package shim.core.fatigue;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import shim.core.fatigue.Reason.Kind;
import shim.core.unit.Figures;

/** The rules of the verdict, each a reason with its figures. */
final class Reasons {
  /** So likely a setting was wrong that it is read again before anything is concluded. */
  private static final double DOUBTFUL = 0.2;

  /** So likely that nothing is thrown away before it is read again. */
  private static final double NOT_SURE = 0.02;

  private static final double SURELY = 0.8;
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
    again().ifPresent(all::add);
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
      return held() ? Verdict.WATCH : Verdict.CHANGE;
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

  /** No spring is thrown away on one setting that may have been wrong. */
  private boolean held() {
    return switch (facts.state()) {
      case ONE -> facts.slipped() >= NOT_SURE && facts.underIfSlipped() < limits.changeAt();
      case AGREED -> false;
      case APART -> true;
    };
  }

  private Optional<Reason> sudden() {
    return facts.fell() >= SURELY
        ? Optional.of(
            Reason.of(Kind.SUDDEN, held() ? Verdict.WATCH : Verdict.CHANGE, facts.fellBy()))
        : Optional.empty();
  }

  /** Read it again: the setting may have been wrong, or the verdict hangs on it. */
  private Optional<Reason> again() {
    boolean hangs =
        facts.fell() >= SURELY || Figures.atLeast(facts.underAtNext(), limits.changeAt());
    boolean doubtful = facts.state() == Settings.State.ONE && facts.slipped() >= DOUBTFUL;
    boolean apart = facts.state() == Settings.State.APART;
    boolean waits = hangs && held();
    return doubtful || waits || apart
        ? Optional.of(
            Reason.of(
                Kind.READ_AGAIN,
                Verdict.WATCH,
                Math.abs(facts.surprise().orElse(0)),
                facts.slipped(),
                apart ? 1 : 0,
                waits ? 1 : 0))
        : Optional.empty();
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
