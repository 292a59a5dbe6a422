package shim.app.lifter;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.fatigue.SpringStanding;
import shim.app.http.Refusal;
import shim.app.lash.LashBook;
import shim.app.lifter.DriftViews.ThouRange;
import shim.app.lifter.LifterViews.EngineLifters;
import shim.app.lifter.LifterViews.LifterLife;
import shim.app.lifter.LifterViews.LifterView;
import shim.app.lifter.LifterViews.LobeLine;
import shim.app.lifter.LifterViews.SeenView;
import shim.app.lifter.LifterViews.SymptomView;
import shim.app.lifter.LifterViews.ValveChain;
import shim.app.lifter.LifterViews.ValveStory;
import shim.app.record.Maybe;
import shim.app.running.EngineClock;
import shim.app.running.Runs;
import shim.core.drift.LashDrift;
import shim.core.drift.ValveDrift;
import shim.core.engine.Engine;
import shim.core.engine.Position;
import shim.core.lifter.Diagnosis;
import shim.core.lifter.Grade;
import shim.core.lifter.LifterFacts;
import shim.core.lifter.LifterOutlook;
import shim.core.lifter.LobeSurvey;
import shim.core.lifter.Look;
import shim.core.lifter.Symptom;
import shim.core.running.Exposure;
import shim.core.running.PartHours;
import shim.core.stats.Range;
import shim.core.unit.Known;

/** Everything known of the lifters of an engine, weighed together. */
@Service
@Transactional(readOnly = true)
class LifterReader {
  private final Engines engines;
  private final Lifters lifters;
  private final LifterRules rules;
  private final Inspections inspections;
  private final LashBook lash;
  private final SpringStanding springs;
  private final Runs runs;
  private final EngineClock clock;

  LifterReader(
      Engines engines,
      Lifters lifters,
      LifterRules rules,
      Inspections inspections,
      LashBook lash,
      SpringStanding springs,
      Runs runs,
      EngineClock clock) {
    this.engines = engines;
    this.lifters = lifters;
    this.rules = rules;
    this.inspections = inspections;
    this.lash = lash;
    this.springs = springs;
    this.runs = runs;
    this.clock = clock;
  }

  /** What one reading of an engine needs, read once. */
  private record Book(
      Engine engine,
      LifterRules.LifterRulesSheet rules,
      SpringStanding.EngineStanding standing,
      LashDrift drift,
      boolean overRev,
      Map<UUID, LifterRow> lifters,
      Map<UUID, List<LifterFittingRow>> lives,
      Map<UUID, List<RebuildRow>> rebuilds,
      SeenBook seen,
      Function<UUID, List<Exposure.Day>> daysOf,
      ToDoubleFunction<UUID> hoursOf) {}

  private Book book(UUID engineId, SpringStanding.EngineStanding standing) {
    Engine engine = engines.get(engineId).engine();
    LashBook.Booked rounds = lash.of(engineId, engine);
    LifterRules.LifterRulesSheet sheet = rules.of(engineId);
    Map<UUID, LifterRow> all =
        lifters.all().stream()
            .collect(Collectors.toMap(l -> l.id, l -> l, (a, b) -> a, LinkedHashMap::new));
    Map<UUID, List<Exposure.Day>> days = new HashMap<>(Map.of(engineId, daysOf(engineId)));
    Map<UUID, Double> hours = new HashMap<>(Map.of(engineId, standing.engineHours()));
    return new Book(
        engine,
        sheet,
        standing,
        LashDrift.of(engine.layout(), rounds.rounds(), rounds.growth(), sheet.drift()),
        Exposure.overRevBetween(daysOf(rounds), Known.in(days, engineId)),
        all,
        lifters.fittingsOf(all.keySet()).stream().collect(Collectors.groupingBy(f -> f.lifterId)),
        lifters.rebuildsOf(all.keySet()).stream().collect(Collectors.groupingBy(r -> r.lifterId)),
        SeenBook.of(inspections.of(engineId), lifters.fittings(engineId)),
        in -> days.computeIfAbsent(in, this::daysOf),
        in -> hours.computeIfAbsent(in, clock::now));
  }

  private List<Exposure.Day> daysOf(UUID engineId) {
    return runs.of(engineId).stream()
        .map(Runs.RunView::run)
        .map(r -> new Exposure.Day(r.date(), r.overRevs(), Maybe.of(r.cycles())))
        .toList();
  }

  private static List<LocalDate> daysOf(LashBook.Booked rounds) {
    return rounds.rounds().stream()
        .filter(r -> !r.reads().isEmpty())
        .map(r -> LocalDate.ofInstant(Instant.ofEpochMilli(r.order()), ZoneOffset.UTC))
        .toList();
  }

  /** The valves alone, with the springs already known. */
  List<ValveChain> valves(UUID engineId, SpringStanding.EngineStanding standing) {
    return valves(book(engineId, standing));
  }

  private static List<ValveChain> valves(Book book) {
    return book.engine().layout().positions().stream().map(p -> valve(book, p)).toList();
  }

  EngineLifters engine(UUID engineId) {
    Book book = book(engineId, springs.of(engineId));
    return new EngineLifters(
        book.standing().engineHours(),
        book.standing().coming(),
        book.engine().drive().lifter().hydraulic(),
        book.engine().drive().lifter().roller(),
        book.rules(),
        valves(book),
        latest(book, SeenBook::ofCylinder),
        latest(book, SeenBook::ofEngine),
        lobes(book),
        book.lifters().values().stream()
            .filter(l -> !l.scrapped && shelved(book, l.id))
            .map(l -> view(book, l, null))
            .toList());
  }

  /** Lifters in no engine, and not scrapped. */
  List<LifterRow> free() {
    List<LifterRow> all = lifters.all().stream().filter(l -> !l.scrapped).toList();
    Set<UUID> in =
        lifters.fittingsOf(all.stream().map(l -> l.id).collect(Collectors.toSet())).stream()
            .filter(LifterFittingRow::open)
            .map(f -> f.lifterId)
            .collect(Collectors.toSet());
    return all.stream().filter(l -> !in.contains(l.id)).toList();
  }

  private static boolean shelved(Book book, UUID id) {
    return book.lives().getOrDefault(id, List.of()).stream().noneMatch(LifterFittingRow::open);
  }

  ValveStory story(UUID engineId, Position p) {
    Book book = book(engineId, springs.of(engineId));
    if (!book.engine().layout().positions().contains(p)) {
      throw Refusal.notFound("this engine has no valve " + p);
    }
    ValveChain valve = valve(book, p);
    Diagnosis d = Diagnosis.of(Set.copyOf(valve.symptoms()), book.seen().speakingOf(p));
    return new ValveStory(
        valve,
        valve.symptoms().stream().map(s -> new SymptomView(s, s.words())).toList(),
        LifterViews.suspects(d),
        LifterViews.looks(d),
        latest(book, SeenBook.inCylinder(p)),
        latest(book, SeenBook::ofEngine),
        lives(book, engineId, p),
        book.seen().rows().stream()
            .filter(SeenBook.at(p))
            .sorted(Comparator.comparing((InspectionRow r) -> r.seenAt).reversed())
            .map(LifterReader::seen)
            .toList());
  }

  private List<LifterLife> lives(Book book, UUID engineId, Position p) {
    return lifters.fittings(engineId).stream()
        .filter(f -> f.valve.equals(p.toString()))
        .map(
            f ->
                new LifterLife(
                    f.lifterId,
                    Known.in(book.lifters(), f.lifterId).mark,
                    f.engineId,
                    p,
                    f.fromHours,
                    f.toHours,
                    f.why))
        .toList();
  }

  private static ValveChain valve(Book book, Position p) {
    LifterFittingRow fitted = book.seen().fitted().get(p.toString());
    ValveDrift drift = Known.in(book.drift().valves(), p);
    Set<Symptom> symptoms = symptoms(book, p);
    List<Diagnosis.Seen> weighed = book.seen().speakingOf(p);
    List<Diagnosis.Suspect> suspects = Diagnosis.suspects(symptoms, weighed);
    LifterRow row = fitted == null ? null : book.lifters().get(fitted.lifterId);
    LifterView lifter = row == null ? null : view(book, row, fitted);
    List<Double> coming =
        book.standing().coming().stream().map(SpringStanding.Coming::plannedHours).toList();
    LifterOutlook outlook =
        LifterOutlook.of(
            new LifterFacts(
                row == null ? book.engine().drive().lifter() : row.kind,
                lifter == null ? OptionalDouble.empty() : OptionalDouble.of(lifter.sinceRebuilt()),
                lifter == null ? OptionalDouble.empty() : book.rules().interval(lifter.kind()),
                coming,
                weighed,
                Optional.of(drift),
                lifter == null ? 0 : lifter.overRevs(),
                openLbf(book, p)));
    return new ValveChain(
        p,
        lifter,
        outlook.verdict(),
        outlook.reasons(),
        outlook.toInterval().isPresent() ? outlook.toInterval().getAsDouble() : null,
        outlook.toTrend().map(LifterReader::capped).orElse(null),
        outlook.dueBefore().isPresent()
            ? book.standing().coming().get(outlook.dueBefore().getAsInt()).name()
            : null,
        DriftViews.valve(drift),
        List.copyOf(symptoms),
        suspects.isEmpty() ? null : suspects.get(0).cause().words(),
        latest(book, SeenBook.at(p)));
  }

  /** JSON knows no infinity: beyond a thousand hours is a thousand. */
  private static ThouRange capped(Range r) {
    return new ThouRange(
        Math.min(r.low(), 1000), Math.min(r.mid(), 1000), Math.min(r.high(), 1000));
  }

  private static OptionalDouble openLbf(Book book, Position p) {
    return book.standing().springs().stream()
        .filter(s -> s.position().equals(p))
        .mapToDouble(SpringStanding.Standing::openLbf)
        .findFirst();
  }

  private static Set<Symptom> symptoms(Book book, Position p) {
    return Symptom.at(
        book.engine().drive().lifter(),
        Known.in(book.drift().valves(), p).signal(),
        book.overRev(),
        book.seen().last(p, Look.TICK_HOT).map(Grade::level),
        book.standing().springs().stream().anyMatch(s -> s.position().equals(p) && s.readsLow()));
  }

  private static LifterView view(Book book, LifterRow row, @Nullable LifterFittingRow now) {
    List<LifterFittingRow> lives = book.lives().getOrDefault(row.id, List.of());
    List<RebuildRow> rebuilds = book.rebuilds().getOrDefault(row.id, List.of());
    PartHours stays =
        new PartHours(row.hoursBefore, lives.stream().map(LifterFittingRow::stay).toList());
    double hours = stays.now(engine -> book.hoursOf().applyAsDouble(UUID.fromString(engine)));
    double at = rebuilds.stream().mapToDouble(r -> r.ownHours).max().orElse(0);
    Exposure exposure =
        Exposure.of(lives.stream().map(f -> f.through(book.daysOf().apply(f.engineId))).toList());
    Optional<LifterRow> partner = Optional.ofNullable(row.partnerId).map(book.lifters()::get);
    OptionalDouble open =
        now == null ? OptionalDouble.empty() : openLbf(book, Position.parse(now.valve));
    return new LifterView(
        row.id,
        now == null ? null : now.id,
        row.kind,
        row.mark,
        row.setName,
        row.partnerId,
        partner.map(l -> l.mark).orElse(null),
        hours,
        Math.max(0, hours - at),
        rebuilds.size(),
        exposure.overRevs(),
        exposure.cycles().isPresent() ? exposure.cycles().getAsDouble() : null,
        open.isPresent() ? Double.valueOf(open.getAsDouble()) : null,
        row.scrapped,
        row.note);
  }

  private static List<SeenView> latest(Book book, Predicate<InspectionRow> of) {
    return book.seen().latest(of).stream().map(LifterReader::seen).toList();
  }

  private static SeenView seen(InspectionRow r) {
    Grade g = r.look.grade(r.grade).orElseThrow();
    return new SeenView(
        r.id,
        r.valve == null ? null : Position.parse(r.valve),
        r.cylinder,
        r.look,
        r.look.title(),
        g.word(),
        g.level(),
        g.means(),
        g.todo(),
        r.figure,
        r.otherSide,
        r.liftIn,
        r.look.unit(),
        r.note,
        r.photoType != null,
        r.engineHours,
        r.hand,
        r.seenAt);
  }

  private static List<LobeLine> lobes(Book book) {
    Map<Position, Double> lift = new HashMap<>();
    book.seen().rows().stream()
        .filter(r -> r.look == Look.LOBE_LIFT && r.liftIn != null && r.valve != null)
        .forEach(r -> lift.put(Position.parse(r.valve), r.liftIn));
    return LobeSurvey.of(book.engine(), lift, book.drift().valves()).stream()
        .map(
            l ->
                new LobeLine(
                    l.position(),
                    l.liftIn(),
                    l.wantedIn().orElse(null),
                    l.shortThou().orElse(null),
                    l.grade().map(Grade::word).orElse(null),
                    l.grade().map(Grade::level).orElse(null),
                    l.said()))
        .toList();
  }
}
