package shim.app.head;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.change.ChangeRules;
import shim.app.change.SpringKinds;
import shim.app.fatigue.SpringTests;
import shim.app.http.Refusal;
import shim.app.spring.Springs;
import shim.core.change.Schools;
import shim.core.engine.Layout;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.head.AssemblyPlan;
import shim.core.spring.Fit;
import shim.core.spring.SpringChoice;
import shim.core.spring.SpringChoice.AtValve;
import shim.core.spring.SpringChoice.KindOf;
import shim.core.spring.SpringSort;
import shim.core.unit.Known;

/** From heads that are measured and kinds of spring to what goes onto each valve. */
@Service
@Transactional(readOnly = true)
class AssemblyPlanner {
  private final Heads heads;
  private final HeadChoice choice;
  private final SpringKinds known;
  private final Springs springs;
  private final SpringTests tests;
  private final ChangeRules rules;

  AssemblyPlanner(
      Heads heads,
      HeadChoice choice,
      SpringKinds known,
      Springs springs,
      SpringTests tests,
      ChangeRules rules) {
    this.heads = heads;
    this.choice = choice;
    this.known = known;
    this.springs = springs;
    this.tests = tests;
    this.rules = rules;
  }

  /** A plan with the springs its marks stand for. */
  record AssemblyPlanned(AssemblyAsk ask, AssemblyPlan plan, Map<String, UUID> springs) {}

  /** What is wanted, and what there is to choose from: looked up once for all valves. */
  private record Wish(
      HeadSheet sheet, AssemblyAsk ask, SpringChoice.Asked asked, Map<UUID, KindOf> kinds) {
    KindOf kind(Position valve) {
      return Known.in(kinds, ask.type(valve.kind()));
    }
  }

  private Wish wish(HeadSheet sheet, AssemblyAsk ask) {
    Map<UUID, KindOf> kinds = new HashMap<>();
    known.kinds(sheet.madeFor()).forEach(k -> kinds.put(UUID.fromString(k.id()), k));
    return new Wish(sheet, ask, choice.asked(sheet), kinds);
  }

  AssemblyPlanned plan(UUID headId, AssemblyAsk ask) {
    HeadSheet sheet = heads.kept(headId).sheet();
    if (heads.on(headId).isPresent()) {
      throw Refusal.conflict("these heads sit on an engine: take them off first");
    }
    Layout layout = heads.layout(sheet);
    List<Position> valves = valves(headId, layout, ask);
    Wish wish = wish(sheet, ask);
    Map<Position, AtValve> at = atValves(headId, valves, wish);
    Map<Position, Springs.StoredSpring> chosen = new TreeMap<>();
    for (UUID type : new HashSet<>(List.of(ask.typeIntake(), ask.typeExhaust()))) {
      List<AtValve> here =
          valves.stream()
              .filter(p -> ask.type(p.kind()).equals(type))
              .map(p -> Known.in(at, p))
              .toList();
      chosen.putAll(sorted(type, here, wish));
    }
    Map<String, UUID> marks = new HashMap<>();
    chosen.values().forEach(s -> marks.put(s.spring().mark(), s.id()));
    Schools schools = rules.of(sheet.madeFor()).schools();
    return new AssemblyPlanned(
        ask,
        new AssemblyPlan(
            sheet.name(),
            sheet.bought(),
            sides(layout, valves),
            valves.stream().map(p -> parts(Known.in(at, p), Known.in(chosen, p), wish)).toList(),
            schools.lubricant(),
            schools.proving()),
        marks);
  }

  static List<AssemblyPlan.Side> sides(Layout layout, List<Position> valves) {
    return layout.banks().stream()
        .map(
            b ->
                new AssemblyPlan.Side(
                    b.name(), b.valves().stream().filter(valves::contains).toList()))
        .filter(s -> !s.valves().isEmpty())
        .toList();
  }

  private List<Position> valves(UUID headId, Layout layout, AssemblyAsk ask) {
    for (Position p : ask.valves()) {
      if (!layout.positions().contains(p)) {
        throw Refusal.invalid("ask.valves", "these heads have no valve " + p);
      }
    }
    Set<Position> done =
        heads.springs(headId).stream().map(HeadSpringRow::at).collect(Collectors.toSet());
    List<Position> wanted =
        layout.positions().stream()
            .filter(p -> ask.valves().isEmpty() ? !done.contains(p) : ask.valves().contains(p))
            .toList();
    if (wanted.isEmpty()) {
      throw Refusal.invalid("ask.valves", "every valve has its spring already: choose some anew");
    }
    return wanted;
  }

  private Map<Position, AtValve> atValves(UUID headId, List<Position> valves, Wish wish) {
    List<SpringChoice.Bare> bare = choice.bare(headId, wish.sheet());
    Map<Position, AtValve> all = new TreeMap<>();
    for (ValveKind kind : ValveKind.values()) {
      List<Position> here = valves.stream().filter(p -> p.kind() == kind).toList();
      String field = kind == ValveKind.INTAKE ? "ask.typeIntake" : "ask.typeExhaust";
      KindOf spring = wish.kinds().get(wish.ask().type(kind));
      if (spring == null) {
        throw Refusal.invalid(field, "there is no such kind of spring here");
      }
      List<SpringChoice.Bare> measured =
          bare.stream().filter(b -> here.contains(b.valve())).toList();
      requireMeasured(field, here, measured);
      if (!measured.isEmpty()) {
        SpringChoice.Ranked r =
            SpringChoice.of(List.of(spring), measured, wish.asked()).kinds().get(0);
        requireFit(field, r);
        r.at().forEach(a -> all.put(a.valve(), a));
      }
    }
    return all;
  }

  private static void requireMeasured(
      String field, List<Position> valves, List<SpringChoice.Bare> known) {
    Set<Position> have = known.stream().map(SpringChoice.Bare::valve).collect(Collectors.toSet());
    List<Position> not = valves.stream().filter(p -> !have.contains(p)).toList();
    if (!not.isEmpty()) {
      throw Refusal.invalid(field, "measure the height first: " + Position.list(not));
    }
  }

  private static void requireFit(String field, SpringChoice.Ranked r) {
    r.reasons().stream()
        .filter(x -> x.weight() == Fit.Weight.STOP)
        .findFirst()
        .ifPresent(
            x -> {
              throw Refusal.invalid(
                  field,
                  r.kind().type().name()
                      + " does not go in at "
                      + Position.list(x.valves())
                      + ": see why under the choice of a spring");
            });
  }

  /** Which spring of those in stock goes where: the fit first, then even loads. */
  private Map<Position, Springs.StoredSpring> sorted(UUID type, List<AtValve> at, Wish wish) {
    if (at.isEmpty()) {
      return Map.of();
    }
    List<Springs.StoredSpring> box =
        springs.free().stream().filter(s -> s.spring().typeId().equals(type)).toList();
    KindOf kind = Known.in(wish.kinds(), type);
    if (box.size() < at.size()) {
      throw Refusal.invalid(
          wish.ask().typeIntake().equals(type) ? "ask.typeIntake" : "ask.typeExhaust",
          String.format(
              Locale.ROOT,
              "%d of %s lie in stock, %d are needed: order them first",
              box.size(),
              kind.type().name(),
              at.size()));
    }
    Map<UUID, SpringTests.LastLoad> last =
        tests.lastLoads(box.stream().map(Springs.StoredSpring::id).toList());
    Map<String, Springs.StoredSpring> byMark = new HashMap<>();
    List<SpringSort.Boxed> boxed = new ArrayList<>();
    for (Springs.StoredSpring s : box) {
      byMark.put(s.spring().mark(), s);
      Optional<SpringTests.LastLoad> l = Optional.ofNullable(last.get(s.id()));
      boxed.add(
          new SpringSort.Boxed(
              s.spring().mark(),
              l.map(SpringTests.LastLoad::loadLbf).orElse(kind.type().nominalLbf()),
              l.map(SpringTests.LastLoad::heightIn).orElse(kind.type().referenceHeightIn()),
              Objects.requireNonNullElse(s.spring().odIn(), 0.0)));
    }
    Map<Position, Springs.StoredSpring> chosen = new HashMap<>();
    SpringSort.of(
            boxed,
            at.stream().map(a -> pocket(a, kind)).toList(),
            new SpringSort.Wanted(
                kind.type().referenceHeightIn(),
                wish.asked().toleranceIn(),
                List.of(),
                kind.type().curve(),
                wish.asked().limits().play()))
        .chosen()
        .placed()
        .forEach(p -> chosen.put(p.position(), Known.in(byMark, p.mark())));
    return chosen;
  }

  private static SpringSort.Pocket pocket(AtValve a, KindOf kind) {
    double height = a.way().heightIn();
    double wide =
        a.fit().pocketPlayIn().flatMap(p -> kind.type().odIn().map(od -> od + p)).orElse(0.0);
    return new SpringSort.Pocket(a.valve(), height, wide, height);
  }

  private AssemblyPlan.ValveParts parts(AtValve a, Springs.StoredSpring spring, Wish wish) {
    Fit fit = a.fit();
    SpringChoice.Asked asked = wish.asked();
    Double gross =
        Fit.Lift.of(asked.engine(), a.valve().kind()).map(Fit.Lift::grossIn).orElse(null);
    return new AssemblyPlan.ValveParts(
        a.valve(),
        spring.spring().mark(),
        wish.kind(a.valve()).type().form().damped(),
        a.way().shimsIn(),
        SpringKinds.cup(a),
        wish.ask().seal(a.valve().kind()),
        SpringKinds.retainer(a),
        SpringKinds.locks(a),
        new AssemblyPlan.Wanted(
            a.way().targetIn(),
            asked.toleranceIn(),
            fit.seatLbf(),
            gross == null ? null : fit.openLbf(),
            gross,
            asked.limits().coilGapIn(),
            asked.limits().sealIn(),
            wish.sheet().guidePlayIn()));
  }
}
