package shim.app.change;

import jakarta.validation.constraints.NotNull;
import java.time.Duration;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.app.record.Maybe;
import shim.app.spring.Pockets;
import shim.app.spring.Springs;
import shim.app.walk.JobKind;
import shim.app.walk.JobReader;
import shim.core.change.AirHold;
import shim.core.change.Cautions;
import shim.core.change.ComesOff;
import shim.core.change.Hold;
import shim.core.change.Item;
import shim.core.change.JobPlan;
import shim.core.change.JobWish;
import shim.core.change.Pace;
import shim.core.change.Route;
import shim.core.change.SpringChange;
import shim.core.crank.CrankSlide;
import shim.core.engine.EngineSheet;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.spring.Fit;
import shim.core.spring.OddPart;
import shim.core.spring.SpringChoice;
import shim.core.spring.WeakestLink;
import shim.core.unit.Known;
import shim.core.walk.Step;
import shim.core.walk.WalkAct;

/** From what is wanted to a plan: springs, holds, route, what to lay out and how long it takes. */
@Service
@Transactional(readOnly = true)
class JobPlanner {
  private final Engines engines;
  private final Springs springs;
  private final SpringShelf shelves;
  private final Pockets pockets;
  private final ChangeRules rules;
  private final JobReader jobs;
  private final OtherKinds otherKinds;

  JobPlanner(
      Engines engines,
      Springs springs,
      SpringShelf shelves,
      Pockets pockets,
      ChangeRules rules,
      JobReader jobs,
      OtherKinds otherKinds) {
    this.otherKinds = otherKinds;
    this.engines = engines;
    this.springs = springs;
    this.shelves = shelves;
    this.pockets = pockets;
    this.rules = rules;
    this.jobs = jobs;
  }

  /**
   * A valve to be done.
   *
   * @param spring spring that goes in; blank takes the best match from stock, or puts the old one
   *     back where there is none
   * @param standIn it stays only until the right one comes
   * @param toKind kind of spring that goes in, with its retainer, locks and shims; null keeps the
   *     kind
   */
  record AskedValve(
      @NotNull Position valve,
      @Nullable UUID spring,
      boolean newSeal,
      boolean sameAgain,
      boolean standIn,
      @Nullable UUID toKind) {}

  /**
   * What is wanted.
   *
   * @param fromDeg where the crank stands now; blank where it does not matter
   * @param headIn diameter of a valve's head, for the force that holds it
   * @param offDeg how far off TDC the crank may be found, for the torque of air
   */
  record JobAsk(
      JobPlan.@NotNull Kind kind,
      @NotNull Hold hold,
      @Nullable Double psi,
      @Nullable Double fromDeg,
      @Nullable Double offDeg,
      @Nullable Double headIn,
      @Nullable Boolean crankLock,
      Route.@Nullable School order,
      boolean intakeOff,
      boolean innerOut,
      @Nullable Double breakInHours,
      @NotNull(message = "say whether the engine is hot or cold") HeatState state,
      @NotNull List<AskedValve> valves) {}

  /**
   * A valve as it was and as it will be with a spring of another kind.
   *
   * @param weakest part of the chain nearest to its limit
   */
  record ToKind(
      JobPlan.Parts parts,
      Fit before,
      Fit after,
      WeakestLink.@Nullable Link weakestBefore,
      WeakestLink.@Nullable Link weakest) {}

  /** One valve of the plan; {@code change} only where it gets a spring of another kind. */
  record PlannedValve(
      Position valve,
      @Nullable String oldSpring,
      String newSpring,
      @Nullable UUID newSpringId,
      double targetIn,
      List<SpringShelf.Offer> offers,
      @Nullable ToKind change) {}

  /**
   * What air does to the crank.
   *
   * @param lockWanted at the chosen point air turns the crank, or all but does
   * @param valveHeldLbf what keeps a valve up: pressure on its head; missing without a diameter
   * @param holdsWithinDeg closer to TDC than this the crank stays by itself
   */
  record AirView(
      double psi,
      double offDeg,
      double torqueLbfFt,
      double fallIn,
      double pistonForceLbf,
      double holdsWithinDeg,
      @Nullable Double valveHeldLbf,
      boolean lockWanted,
      List<AirCurve> curves) {}

  /** Torque and fall off TDC at one pressure; the first is the chosen one. */
  record AirCurve(double psi, List<CrankSlide.OffTdc> points) {}

  /** One thing to lay out. */
  record LayOut(Item item, int count) {}

  /**
   * The plan as it would be begun.
   *
   * @param air missing where no bore, stroke and rod are written down
   * @param routes one for each school of order
   * @param minutes from the team's own past jobs; missing before the first
   * @param against what speaks against the other kinds that are wanted
   * @param oddRetainers valves whose retainer would differ from the others'
   */
  record JobPlanView(
      Hold hold,
      String holdSays,
      List<PlannedValve> valves,
      List<List<Integer>> sharedTdc,
      @Nullable AirView air,
      Map<Route.School, Route> routes,
      Route.School order,
      List<LayOut> layOut,
      List<ComesOff> comesOff,
      List<String> cautions,
      @Nullable Double minutes,
      int steps,
      List<SpringChoice.Against> against,
      List<OddPart> oddRetainers) {}

  /** A plan with the springs its marks stand for. */
  record Planned(JobAsk ask, JobPlan plan, Map<String, UUID> springs) {}

  JobPlanView preview(UUID engineId, JobAsk ask) {
    Engines.Stored stored = engines.get(engineId);
    SpringShelf.Shelf shelf = shelves.of(engineId);
    Pockets.EnginePockets known = pockets.of(engineId);
    ChangeRules.ChangeRulesSheet sheet = rules.of(engineId);
    JobWish wish = wish(stored.sheet(), sheet, ask);
    OtherKinds.Chosen others = others(engineId, ask, known);
    Planned planned = plan(stored, sheet, ask, wish, known, shelf, others);
    JobPlan plan = planned.plan();
    Map<Route.School, Route> routes = new LinkedHashMap<>();
    for (Route.School school : Route.School.values()) {
      routes.put(school, wish.route(stored.engine(), school));
    }
    List<Step> steps = new SpringChange(plan).steps();
    return new JobPlanView(
        plan.hold(),
        plan.hold().says(),
        valves(known, shelf, planned, others),
        stored.engine().layout().sharedTdc(),
        ask.hold() == Hold.AIR ? airView(wish, ask.headIn()) : null,
        routes,
        plan.route().school(),
        steps.stream()
            .filter(s -> s.act() == WalkAct.LAY_OUT && s.figure() != null)
            .map(s -> new LayOut(Item.valueOf(String.valueOf(s.word())), s.figure().intValue()))
            .filter(l -> l.count() > 0)
            .toList(),
        ComesOff.of(plan),
        Cautions.of(plan),
        Maybe.orNull(minutes(engineId, plan.valves().size())),
        steps.size(),
        others.against(),
        OddPart.in(retainers(known, plan)));
  }

  Planned plan(UUID engineId, JobAsk ask) {
    Engines.Stored stored = engines.get(engineId);
    ChangeRules.ChangeRulesSheet sheet = rules.of(engineId);
    JobWish wish = wish(stored.sheet(), sheet, ask);
    Pockets.EnginePockets known = pockets.of(engineId);
    OtherKinds.Chosen others = others(engineId, ask, known);
    others.refuseWhatCannotBe();
    return plan(stored, sheet, ask, wish, known, shelves.of(engineId), others);
  }

  private OtherKinds.Chosen others(UUID engineId, JobAsk ask, Pockets.EnginePockets known) {
    Map<Position, UUID> wanted = new HashMap<>();
    for (AskedValve v : ask.valves()) {
      if (v.toKind() != null) {
        wanted.put(v.valve(), v.toKind());
      }
    }
    return otherKinds.choose(engineId, wanted, known);
  }

  /** Which retainer stands at each valve once the job is done. */
  private static Map<Position, String> retainers(Pockets.EnginePockets known, JobPlan plan) {
    Map<Position, String> all = new HashMap<>();
    known
        .pockets()
        .forEach(
            p -> all.put(p.position(), Objects.requireNonNullElse(p.fitting().retainer(), "")));
    plan.valves().stream()
        .filter(w -> w.to() != null)
        .forEach(w -> all.put(w.valve(), w.to().retainer()));
    return all;
  }

  private static Planned plan(
      Engines.Stored stored,
      ChangeRules.ChangeRulesSheet sheet,
      JobAsk ask,
      JobWish wish,
      Pockets.EnginePockets known,
      SpringShelf.Shelf shelf,
      OtherKinds.Chosen others) {
    Set<Position> asked = ask.valves().stream().map(AskedValve::valve).collect(Collectors.toSet());
    Map<Position, JobWish.Pocket> pockets = new HashMap<>();
    Map<String, UUID> marks = new HashMap<>();
    for (Pockets.PocketView p : known.pockets()) {
      if (asked.contains(p.position())) {
        pockets.put(p.position(), pocket(p, shelf, others));
        marks.put(p.mark(), p.fitting().springId());
      }
    }
    wish.refused(stored.engine(), pockets)
        .ifPresent(
            no -> {
              throw refusal(no);
            });
    wish.springs(pockets).values().forEach(s -> marks.put(s.mark(), UUID.fromString(s.id())));
    EngineSheet.DriveSheet drive = Objects.requireNonNull(stored.sheet().drive());
    JobWish.Shop shop =
        new JobWish.Shop(
            known.toleranceIn(),
            sheet.gaugeLowIn(),
            sheet.gaugeHighIn(),
            Boolean.TRUE.equals(drive.fixingClampsHead()),
            drive.clampNote(),
            sheet.schools(),
            sheet.sheet());
    return new Planned(ask, wish.plan(stored.engine(), pockets, shop), marks);
  }

  private static JobWish.Pocket pocket(
      Pockets.PocketView p, SpringShelf.Shelf shelf, OtherKinds.Chosen others) {
    OtherKinds.Other to = others.at().get(p.position());
    SpringShelf.Seat seat = seat(p, to);
    return new JobWish.Pocket(
        p.mark(),
        p.fitting().shims(),
        seat.heightIn(),
        shelf.bestFirst(p, seat),
        to == null ? p.form().damped() : to.damped(),
        to == null ? null : to.parts());
  }

  /** Where the spring that goes in will stand. */
  private static SpringShelf.Seat seat(Pockets.PocketView p, OtherKinds.@Nullable Other to) {
    return to == null
        ? new SpringShelf.Seat(p.typeId(), p.targetIn(), p.fitting().pocketIn())
        : new SpringShelf.Seat(to.typeId(), to.heightIn(), to.parts().pocketIn());
  }

  private JobWish wish(EngineSheet engine, ChangeRules.ChangeRulesSheet team, JobAsk ask) {
    Refusal.outside("headIn", ask.headIn(), 0.5, 3, "a valve's head is {0.5 in} to {3 in} wide");
    return new JobWish(
        ask.kind(),
        ask.hold(),
        air(engine, team, ask),
        ask.crankLock(),
        ask.order() == null ? team.usualOrder() : ask.order(),
        ask.fromDeg(),
        ask.intakeOff(),
        ask.innerOut(),
        ask.valves().stream().map(this::wanted).toList());
  }

  private JobWish.Wanted wanted(AskedValve v) {
    Optional<JobWish.Free> asked =
        v.spring() == null ? Optional.empty() : Optional.of(free(springs.get(v.spring())));
    return new JobWish.Wanted(v.valve(), asked, v.newSeal(), v.sameAgain());
  }

  private static JobWish.Free free(Springs.StoredSpring s) {
    if (s.spring().scrapped()) {
      throw Refusal.invalid("valves", "spring " + s.spring().mark() + " is scrapped");
    }
    return new JobWish.Free(s.id().toString(), s.spring().mark());
  }

  private static Refusal refusal(JobWish.No no) {
    String valve = no.valve().map(Position::toString).orElse("");
    return switch (no.why()) {
      case NO_VALVES -> Refusal.invalid("valves", "choose the valves whose springs are done");
      case BENCH_WANTS_BLOCK ->
          Refusal.invalid("hold", "with the head on the bench a block holds the valves");
      case BLOCK_WANTS_BENCH -> Refusal.invalid("hold", "a block needs the head off");
      case NO_SUCH_VALVE -> Refusal.invalid("valves", "this engine has no valve " + valve);
      case NO_SPRING_ON_RECORD ->
          Refusal.invalid("valves", valve + " has no spring on record: put the set in first");
      case NONE_OF_THAT_KIND ->
          Refusal.invalid("valves", "no spring of that kind lies free for " + valve);
    };
  }

  private static List<PlannedValve> valves(
      Pockets.EnginePockets known,
      SpringShelf.Shelf shelf,
      Planned planned,
      OtherKinds.Chosen others) {
    Map<Position, Pockets.PocketView> at = new HashMap<>();
    known.pockets().forEach(p -> at.put(p.position(), p));
    return planned.plan().valves().stream()
        .map(
            w -> {
              Pockets.PocketView pocket = Known.in(at, w.valve());
              OtherKinds.Other to = others.at().get(w.valve());
              return new PlannedValve(
                  w.valve(),
                  pocket.mark(),
                  w.newSpring(),
                  planned.springs().get(w.newSpring()),
                  w.height().targetIn(),
                  shelf.offers(pocket, seat(pocket, to)),
                  to == null ? null : to.change(pocket));
            })
        .toList();
  }

  private static @Nullable AirView airView(JobWish wish, @Nullable Double headIn) {
    AirHold air = wish.air();
    if (air.slide().isEmpty()) {
      return null;
    }
    CrankSlide slide = air.slide().get();
    double psi = air.psi();
    return new AirView(
        psi,
        air.offDeg(),
        slide.torqueLbfFt(psi, air.offDeg()),
        slide.belowTdcIn(air.offDeg()),
        slide.forceLbf(psi),
        slide.holdsWithinDeg(psi, air.turnsAtLbfFt()),
        headIn == null ? null : CrankSlide.valveForceLbf(psi, headIn),
        wish.lockWanted(),
        Stream.concat(Stream.of(psi), Stream.of(50.0, 100.0).filter(p -> p != psi))
            .map(p -> new AirCurve(p, slide.curve(p, AirHold.MOST_OFF_DEG)))
            .toList());
  }

  private static AirHold air(EngineSheet sheet, ChangeRules.ChangeRulesSheet team, JobAsk ask) {
    double psi = ask.psi() == null ? team.usualPsi() : ask.psi();
    if (!AirHold.sound(psi)) {
      throw Refusal.invalid("psi", "air of {20 psi} to {200 psi}");
    }
    double off = ask.offDeg() == null ? AirHold.USUAL_OFF_DEG : ask.offDeg();
    return new AirHold(slide(sheet), psi, off, team.usualTurnsAt());
  }

  private static Optional<CrankSlide> slide(EngineSheet sheet) {
    EngineSheet.BottomEnd b = sheet.bottomEnd();
    if (b == null || b.boreIn() == null || b.strokeIn() == null || b.rodIn() == null) {
      return Optional.empty();
    }
    try {
      return Optional.of(new CrankSlide(b.boreIn(), b.strokeIn(), b.rodIn()));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  private OptionalDouble minutes(UUID engineId, int valves) {
    return Pace.minutes(
        jobs.of(engineId).stream()
            .filter(j -> j.kind() == JobKind.SPRINGS && j.endedAt() != null)
            .filter(j -> j.signedBy() != null)
            .map(j -> new Pace(Duration.between(j.startedAt(), j.endedAt()), j.valves().size()))
            .toList(),
        valves);
  }
}
