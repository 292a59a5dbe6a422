package shim.app.fatigue;

import java.util.ArrayList;
import java.util.List;
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
import shim.app.spring.Springs;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.fatigue.Limits;
import shim.core.fatigue.SpringSet;
import shim.core.fatigue.TestedSet;
import shim.core.fatigue.TesterDay;
import shim.core.stats.Range;
import shim.core.unit.Known;

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
  private final Engines engines;

  LifeReader(SetBook book, SpringReader reader, Springs springs, Engines engines) {
    this.book = book;
    this.reader = reader;
    this.springs = springs;
    this.engines = engines;
  }

  SpringLife life(UUID springId) {
    List<Springs.StoredFitting> own = springs.fittingsOf(List.of(springId));
    if (own.isEmpty()) {
      throw Refusal.notFound("this spring was never fitted: it has no life yet");
    }
    Springs.StoredFitting latest = own.get(own.size() - 1);
    UUID engineId = latest.fitting().engineId();
    ValveKind kind = latest.fitting().valve().kind();
    SpringReader.Standing now = reader.standing(engineId);
    List<ComingEvent> coming = now.coming();
    SetBook.Book known = book.of(engineId, null);
    TestedSet set = known.of(springId);
    SpringSet solved = set.solved();
    double hours = known.spring(springId).life().now(engine -> now.hours());
    double offset = now.hours() - hours;
    double baseline = solved.baselineLbf(springId.toString());
    Limits limits = now.sheet().limits(set.type(), kind);
    double limit = Math.max(baseline * (1 - limits.loss()), limits.leastLoadLbf().orElse(0.0));
    List<LifePoint> points = points(known, solved, springId);
    double last =
        points.stream().filter(LifePoint::used).mapToDouble(LifePoint::hours).max().orElse(0);
    double end = coming.get(coming.size() - 1).endHours() - offset;
    return new SpringLife(
        springId,
        known.spring(springId).mark(),
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
        latest.open() ? SpringReader.said(known, solved, springId, kind, hours, now) : null);
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

  private static List<LifePoint> points(SetBook.Book known, SpringSet solved, UUID springId) {
    return known.of(springId).tested(springId.toString(), r -> r.load().whole()).stream()
        .map(t -> point(t, Known.in(known.rows(), t.test().id()), solved))
        .toList();
  }

  private static LifePoint point(TestedSet.InTest t, TestRow test, SpringSet solved) {
    List<TestedSet.Moved> list = t.readings();
    TestedSet.Moved first = list.get(0);
    double corrected = t.correctedLbf();
    double reading = solved.spreads().reading();
    double u = t.day().map(TesterDay::sd).orElse(solved.spreads().tester());
    double half = WIDE * Math.sqrt(reading * reading / list.size() + u * u);
    return new LifePoint(
        test.id,
        test.startedAt,
        test.engineHours,
        t.hours(),
        first.load().at().isEmpty() ? null : Position.parse(first.load().at()),
        list.stream().map(TestedSet.Moved::atReferenceLbf).toList(),
        t.rawLbf(),
        corrected,
        corrected * (1 - half),
        corrected * (1 + half),
        t.day().isPresent(),
        first.used(),
        list.stream().anyMatch(TestedSet.Moved::far));
  }
}
