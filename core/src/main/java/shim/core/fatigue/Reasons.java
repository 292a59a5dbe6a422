package shim.core.fatigue;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import shim.core.fatigue.Reason.Kind;

/** The rules of the verdict, each a reason in words and numbers. */
final class Reasons {
  private static final double SUDDEN = -3;
  private static final double ODD = 3.5;
  private static final int ENOUGH_TESTS = 3;

  private final SpringFacts facts;
  private final Mix mix;
  private final Situation now;
  private final Limits limits;
  private final double nominalLbf;

  Reasons(SpringFacts facts, Mix mix, Situation now, Limits limits, double nominalLbf) {
    this.facts = facts;
    this.mix = mix;
    this.now = now;
    this.limits = limits;
    this.nominalLbf = nominalLbf;
  }

  /** The weightiest first. */
  List<Reason> all() {
    List<Reason> all = new ArrayList<>();
    all.add(loss());
    leastLoad().ifPresent(all::add);
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
    return reason(
        Kind.LOSS,
        of(atNext, after),
        "loss %s now; at the end of the next event %s (%s to %s), %s chance of more than the %s"
            + " limit",
        percent(facts.lossNow().mid()),
        percent(facts.lossAtNext().mid()),
        percent(facts.lossAtNext().low()),
        percent(facts.lossAtNext().high()),
        chance(atNext),
        percent(limits.loss()));
  }

  private Optional<Reason> leastLoad() {
    return limits
        .leastLoadLbf()
        .map(
            least -> {
              double ln = Math.log(least / nominalLbf);
              double next = mix.loadBelow(now.hoursAfter(1), ln);
              return reason(
                  Kind.LEAST_LOAD,
                  of(next, mix.loadBelow(now.hoursAfter(2), ln)),
                  "load %.0f lbf at the end of the next event, %s chance of less than %.0f lbf",
                  nominalLbf * Math.exp(mix.meanLoadLn(now.hoursAfter(1))),
                  chance(next),
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
                  : Optional.of(
                      reason(
                          Kind.LIFE,
                          v,
                          "%.1f h run of a life of %.1f h; load does not predict a fracture",
                          now.hoursNow(),
                          life));
            });
  }

  private Optional<Reason> sudden() {
    if (facts.stepped()) {
      return Optional.of(
          reason(
              Kind.SUDDEN,
              Verdict.CHANGE,
              "fell between two tests by more than readings scatter, and the second reading agreed:"
                  + " measure its height again, then pull it and look for a broken inner"));
    }
    double z = facts.surprise().orElse(0);
    if (z >= SUDDEN) {
      return Optional.empty();
    }
    return Optional.of(
        reason(
            Kind.READ_AGAIN,
            Verdict.WATCH,
            "its last reading is %.1f s.d. below what was predicted: read it again and measure its"
                + " height before anything is concluded",
            -z));
  }

  private Optional<Reason> batch() {
    return now.batchBrokeAtHours()
        .map(
            broke -> {
              boolean reached = now.hoursAfter(1) >= broke;
              return reason(
                  Kind.BATCH,
                  reached ? Verdict.CHANGE : Verdict.WATCH,
                  "another spring of its batch broke at %.1f h; this one has %.1f h",
                  broke,
                  now.hoursNow());
            });
  }

  private Optional<Reason> ownWay() {
    return facts.ownWay() > 0.5
        ? Optional.of(
            reason(
                Kind.OWN_WAY,
                Verdict.RUN,
                "has left its set (%s): judged by its own readings alone",
                chance(facts.ownWay())))
        : Optional.empty();
  }

  private Optional<Reason> odd() {
    double z = facts.oddness().orElse(0);
    return Math.abs(z) > ODD
        ? Optional.of(
            reason(
                Kind.ODD_ONE_OUT,
                Verdict.RUN,
                "stands apart from its set today (robust z %.1f): a reason to look, not to change",
                z))
        : Optional.empty();
  }

  private Optional<Reason> overRev() {
    return now.overRevSinceTest()
        ? Optional.of(
            reason(Kind.OVER_REV, Verdict.WATCH, "over-revved since its last test: test again"))
        : Optional.empty();
  }

  private Optional<Reason> littleKnown() {
    int tests = facts.tests();
    return tests >= ENOUGH_TESTS
        ? Optional.empty()
        : Optional.of(
            reason(
                Kind.LITTLE_KNOWN,
                Verdict.RUN,
                "%s so far: the set's usual rate is assumed",
                tests == 0 ? "no test" : tests == 1 ? "one test" : "two tests"));
  }

  private Optional<Reason> noCheck() {
    return facts.lastWithoutCheck()
        ? Optional.of(
            reason(
                Kind.NO_CHECK_SPRING,
                Verdict.RUN,
                "no check spring in the last test: the loss of the whole set is uncertain,"
                    + " the comparison within it is not"))
        : Optional.empty();
  }

  private static Reason reason(Kind kind, Verdict asks, String words, Object... args) {
    return new Reason(kind, asks, String.format(Locale.ROOT, words, args));
  }

  private static String percent(double share) {
    return String.format(Locale.ROOT, "%.1f %%", 100 * share);
  }

  private static String chance(double p) {
    return p < 0.01 ? "under 1 %" : p > 0.99 ? "over 99 %" : Math.round(100 * p) + " %";
  }
}
