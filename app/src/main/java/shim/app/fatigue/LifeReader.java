package shim.app.fatigue;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.fatigue.SpringViews.ComingEvent;
import shim.app.fatigue.SpringViews.LifeFitting;
import shim.app.fatigue.SpringViews.LifePoint;
import shim.app.fatigue.SpringViews.LoadBand;
import shim.app.fatigue.SpringViews.SpringLife;
import shim.app.http.Refusal;
import shim.app.spring.SpringRules;
import shim.app.spring.Springs;
import shim.core.engine.Position;
import shim.core.fatigue.Limits;
import shim.core.fatigue.Range;
import shim.core.fatigue.SpringSet;
import shim.core.fatigue.TesterDay;

/** One spring's life: what it read, its set, and where it is going. */
@Service
@Transactional(readOnly = true)
class LifeReader {
  private static final int STEPS = 32;
  private static final double BASELINE_HOURS = 1;

  /** Two-sided 95 % of a normal. */
  private static final double WIDE = 1.96;

  private final SetBook book;
  private final SpringReader reader;
  private final Springs springs;
  private final SpringRules rules;
  private final Engines engines;

  LifeReader(
      SetBook book, SpringReader reader, Springs springs, SpringRules rules, Engines engines) {
    this.book = book;
    this.reader = reader;
    this.springs = springs;
    this.rules = rules;
    this.engines = engines;
  }

  SpringLife life(UUID springId) {
    List<Springs.StoredFitting> own = springs.fittingsOf(List.of(springId));
    if (own.isEmpty()) {
      throw Refusal.notFound("this spring was never fitted: it has no life yet");
    }
    Springs.StoredFitting latest = own.get(own.size() - 1);
    UUID engineId = latest.fitting().engineId();
    double now = reader.hoursNow(engineId);
    List<ComingEvent> coming = reader.coming(engineId, now);
    SetBook.Book known = book.of(engineId, null);
    SetBook.BookedSet set = known.of(springId);
    SpringSet solved = set.solved();
    double hours = known.hoursNow(springId, now);
    double offset = now - hours;
    SpringRules.SpringRulesSheet sheet = rules.of(engineId);
    double baseline = solved.baselineLbf(springId.toString());
    Limits limits = sheet.limits(set.type());
    double limit = Math.max(baseline * (1 - limits.loss()), limits.leastLoadLbf().orElse(0.0));
    List<LifePoint> points = points(known, set, solved, springId);
    double last =
        points.stream().filter(LifePoint::used).mapToDouble(LifePoint::hours).max().orElse(0);
    double end = coming.get(coming.size() - 1).endHours() - offset;
    return new SpringLife(
        springId,
        known.springs().get(springId).spring().mark(),
        set.type().name(),
        set.type().referenceHeightIn(),
        hours,
        offset,
        baseline,
        limit,
        points,
        band(baseline, BASELINE_HOURS, end, solved::commonLoss),
        band(
            baseline,
            Math.max(BASELINE_HOURS, last),
            end,
            h -> solved.loss(springId.toString(), h)),
        coming.stream()
            .map(c -> new ComingEvent(c.name(), c.date(), c.plannedHours(), c.endHours() - offset))
            .toList(),
        own.stream().map(this::fitting).toList(),
        latest.open() ? reader.said(known, set, solved, springId, hours, coming, sheet) : null);
  }

  private LifeFitting fitting(Springs.StoredFitting f) {
    Springs.FittingEntry e = f.fitting();
    return new LifeFitting(
        e.engineId(),
        engines.get(e.engineId()).name(),
        e.valve(),
        e.fromHours(),
        e.toHours(),
        e.heightIn(),
        e.why());
  }

  private static List<LoadBand> band(
      double baseline, double from, double to, java.util.function.DoubleFunction<Range> loss) {
    List<LoadBand> band = new ArrayList<>();
    if (to <= from) {
      return band;
    }
    for (int i = 0; i <= STEPS; i++) {
      double h = from + (to - from) * i / STEPS;
      Range r = loss.apply(h);
      band.add(
          new LoadBand(
              h, baseline * (1 - r.high()), baseline * (1 - r.mid()), baseline * (1 - r.low())));
    }
    return band;
  }

  private static List<LifePoint> points(
      SetBook.Book known, SetBook.BookedSet set, SpringSet solved, UUID springId) {
    Map<UUID, List<SetBook.Booked>> byTest = new LinkedHashMap<>();
    set.bySpring().getOrDefault(springId, List.of()).stream()
        .filter(b -> b.row().member() == SpringTests.Member.WHOLE)
        .forEach(b -> byTest.computeIfAbsent(b.test().id, t -> new ArrayList<>()).add(b));
    List<LifePoint> points = new ArrayList<>();
    byTest.values().forEach(list -> points.add(point(known, set, solved, list)));
    return points;
  }

  private static LifePoint point(
      SetBook.Book known, SetBook.BookedSet set, SpringSet solved, List<SetBook.Booked> list) {
    SetBook.Booked first = list.get(0);
    double raw = list.stream().mapToDouble(SetBook.Booked::atReferenceLbf).average().orElseThrow();
    Optional<TesterDay> day =
        SetBook.day(known.checks().get(first.test().id), set.type().nominalLbf());
    double corrected = raw * day.map(TesterDay::correction).orElse(1.0);
    double reading = solved.spreads().reading();
    double u = day.map(TesterDay::sd).orElse(solved.spreads().tester());
    double half = WIDE * Math.sqrt(reading * reading / list.size() + u * u);
    return new LifePoint(
        first.test().id,
        first.test().startedAt,
        first.test().engineHours,
        first.hours(),
        Position.parse(first.row().valve() == null ? "1I" : first.row().valve()),
        list.stream().map(SetBook.Booked::atReferenceLbf).toList(),
        raw,
        corrected,
        corrected * (1 - half),
        corrected * (1 + half),
        day.isPresent(),
        first.used(),
        list.stream().anyMatch(SetBook.Booked::far));
  }
}
