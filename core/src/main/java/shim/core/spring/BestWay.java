package shim.core.spring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;
import shim.core.spring.SpringChoice.Asked;
import shim.core.spring.SpringChoice.AtValve;
import shim.core.spring.SpringChoice.Bare;
import shim.core.spring.SpringChoice.KindOf;
import shim.core.unit.Figures;

/** Everything that can be had for one kind at one valve. */
final class BestWay {
  private final KindOf kind;
  private final Bare bare;
  private final Asked asked;
  private final Optional<Fit.Lift> lift;
  private final Optional<Nest> nest;

  BestWay(KindOf kind, Bare bare, Asked asked) {
    this.kind = kind;
    this.bare = bare;
    this.asked = asked;
    this.lift = Fit.Lift.of(asked.engine(), bare.valve().kind());
    this.nest = Nest.of(kind.sheet(), kind.type());
  }

  /** The way with the least against it; of equals the one of least work. */
  AtValve find() {
    List<AtValve> all = tried(true);
    List<AtValve> any = all.isEmpty() ? tried(false) : all;
    return any.stream()
        .min(
            Comparator.comparing((AtValve a) -> !a.way().within())
                .thenComparing(a -> against(a, Fit.Weight.STOP))
                .thenComparing(a -> a.way().cutOrMade())
                .thenComparing(a -> against(a, Fit.Weight.ASK))
                .thenComparing(a -> a.cup() != null)
                .thenComparing(a -> a.way().pieces())
                .thenComparing(a -> a.way().lockIn() != 0)
                .thenComparing(a -> a.way().retainerIn() != 0)
                .thenComparing(a -> Math.abs(a.way().offIn())))
        .orElseThrow();
  }

  /** All there is; or, where no locks match, all there would be if some did. */
  private List<AtValve> tried(boolean matching) {
    List<AtValve> all = new ArrayList<>();
    List<Kit.@Nullable CupPart> cups = new ArrayList<>(kind.kit().cups());
    cups.add(0, null);
    for (Kit.CupPart cup : cups) {
      for (HeightPlan.Way way : ways(cup)) {
        at(way, cup, matching).ifPresent(all::add);
      }
    }
    return all;
  }

  private long against(AtValve a, Fit.Weight weight) {
    boolean ring =
        a.ringBindIn() != null
            && Figures.below(
                a.ringBindIn(),
                weight == Fit.Weight.STOP ? asked.limits().bindStopIn() : asked.limits().bindIn());
    return a.fit().remarks().stream().filter(r -> r.weight() == weight).count() + (ring ? 1 : 0);
  }

  private List<HeightPlan.Way> ways(Kit.@Nullable CupPart cup) {
    double height = bare.heightIn() - (cup == null ? 0 : cup.thickIn());
    double target =
        asked.targetIn().getOrDefault(bare.valve().kind(), kind.type().referenceHeightIn());
    return HeightPlan.all(
        new HeightPlan.Wanted(
            height,
            target,
            asked.toleranceIn(),
            asked.shimsIn(),
            kind.kit().locks().stream().map(Kit.LockPart::raisesIn).toList(),
            kind.kit().retainers().stream().map(Kit.RetainerPart::raisesIn).toList(),
            asked.school(),
            null));
  }

  /** Nothing where the retainer and locks it takes do not go together. */
  private Optional<AtValve> at(HeightPlan.Way way, Kit.@Nullable CupPart cup, boolean matching) {
    Optional<Pair> pair = matching ? pair(way) : Optional.of(Pair.NONE);
    if (pair.isEmpty()) {
      return Optional.empty();
    }
    Pair parts = pair.get();
    Double gap = bare.sealGapIn();
    Double pocket = cup == null ? bare.pocketIn() : Double.valueOf(cup.insideIn());
    Fit fit =
        Fit.of(
            kind.type(),
            new Fit.Measured(
                way.heightIn(),
                gap == null ? null : gap + way.sealIn(Stack.PLAIN),
                pocket,
                null,
                null,
                null),
            lift,
            new Fit.Asked(
                asked.engine().drive().lifter(),
                asked.limits(),
                asked.boostLbf().getOrDefault(bare.valve().kind(), 0.0)));
    OptionalDouble ring =
        nest.map(n -> n.bindClearanceIn(way.heightIn(), lift.map(Fit.Lift::grossIn).orElse(0.0)))
            .orElse(OptionalDouble.empty());
    return Optional.of(
        new AtValve(
            bare.valve(),
            way,
            parts.retainer(),
            parts.locks(),
            cup,
            fit,
            ring.isPresent() ? ring.getAsDouble() : null,
            matching ? null : mismatch()));
  }

  /** What speaks against the first of the kind's locks. */
  private Kit.Mismatch mismatch() {
    return kind.kit().locks().stream()
        .flatMap(l -> Kit.mismatch(l, null, bare.stem()).stream())
        .findFirst()
        .orElse(Kit.Mismatch.ANGLE);
  }

  private record Pair(Kit.@Nullable RetainerPart retainer, Kit.@Nullable LockPart locks) {
    static final Pair NONE = new Pair(null, null);
  }

  /** A retainer and locks of the kit that make a way, and go together on this stem. */
  private Optional<Pair> pair(HeightPlan.Way way) {
    List<Kit.@Nullable RetainerPart> retainers =
        new ArrayList<>(
            kind.kit().retainers().stream()
                .filter(r -> Figures.same(r.raisesIn(), way.retainerIn()))
                .toList());
    if (way.retainerIn() == 0 && retainers.isEmpty()) {
      retainers.add(null);
    }
    List<Kit.LockPart> locks =
        kind.kit().locks().stream().filter(l -> Figures.same(l.raisesIn(), way.lockIn())).toList();
    for (Kit.RetainerPart r : retainers) {
      for (Kit.LockPart l : locks) {
        if (Kit.mismatch(l, r, bare.stem()).isEmpty()) {
          return Optional.of(new Pair(r, l));
        }
      }
    }
    boolean plain = kind.kit().locks().isEmpty() && way.lockIn() == 0 && !retainers.isEmpty();
    return plain ? Optional.of(new Pair(retainers.get(0), null)) : Optional.empty();
  }
}
