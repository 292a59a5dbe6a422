package shim.app.head;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.engine.LayoutView;
import shim.app.head.HeadViews.BookLine;
import shim.app.head.HeadViews.BookSide;
import shim.app.head.HeadViews.BookValve;
import shim.app.head.HeadViews.BookView;
import shim.app.head.HeadViews.HeadLine;
import shim.app.head.HeadViews.HeadMeasureLine;
import shim.app.head.HeadViews.HeadReadingLine;
import shim.app.head.HeadViews.HeadSpringLine;
import shim.app.head.HeadViews.HeadStayLine;
import shim.app.head.HeadViews.HeadView;
import shim.app.record.Sheets;
import shim.app.spring.SpringTypes;
import shim.app.spring.Springs;
import shim.app.walk.JobKind;
import shim.app.walk.JobReader;
import shim.app.walk.JobViews.JobLine;
import shim.app.walk.JobViews.JobView;
import shim.app.walk.JobViews.WalkStep;
import shim.core.engine.Layout;
import shim.core.engine.Position;
import shim.core.head.HeadMeasure;
import shim.core.head.HeadRecord;
import shim.core.walk.Done;
import shim.core.walk.Step;
import shim.core.walk.WalkAct;

/** Heads as they are read. */
@Service
@Transactional(readOnly = true)
class HeadReader {
  private final Heads heads;
  private final Engines engines;
  private final Springs springs;
  private final SpringTypes types;
  private final JobReader jobs;

  HeadReader(Heads heads, Engines engines, Springs springs, SpringTypes types, JobReader jobs) {
    this.heads = heads;
    this.engines = engines;
    this.springs = springs;
    this.types = types;
    this.jobs = jobs;
  }

  List<HeadLine> all() {
    return heads.all().entrySet().stream()
        .map(e -> line(UUID.fromString(e.getKey()), e.getValue().sheet()))
        .sorted(Comparator.comparing(HeadLine::name))
        .toList();
  }

  private HeadLine line(UUID id, HeadSheet sheet) {
    HeadRecord record = heads.record(id, sheet);
    int valves = record.layout().positions().size();
    Optional<HeadStayRow> on = heads.on(id);
    UUID engine = on.map(s -> s.engineId).orElse(null);
    return new HeadLine(
        id,
        sheet.name(),
        engines.get(sheet.madeFor()).name(),
        engine,
        engine == null ? null : engines.get(engine).name(),
        valves,
        valves - record.missing(HeadMeasure.HEIGHT).size(),
        engine == null ? heads.springs(id).size() : springs.fitted(engine).size(),
        jobs.ofHead(id).stream()
            .filter(j -> j.endedAt() == null)
            .map(JobLine::id)
            .findFirst()
            .orElse(null));
  }

  HeadView view(UUID id) {
    Sheets.Kept<HeadSheet> kept = heads.kept(id);
    HeadSheet sheet = kept.sheet();
    HeadRecord record = heads.record(id, sheet);
    List<HeadStayLine> stays = heads.stays(id).stream().map(this::stay).toList();
    return new HeadView(
        id,
        kept.version(),
        sheet,
        engines.get(sheet.madeFor()).name(),
        LayoutView.of(record.layout()),
        Arrays.stream(HeadMeasure.values()).map(m -> measure(record, m)).toList(),
        record.shows(),
        heads.rows(id).stream().map(HeadReader::reading).toList(),
        stays.stream().filter(s -> s.toHours() == null).findFirst().orElse(null),
        stays,
        heads.springs(id).stream()
            .sorted(Comparator.comparing(HeadSpringRow::at))
            .map(this::spring)
            .toList(),
        jobs.ofHead(id));
  }

  private static HeadMeasureLine measure(HeadRecord record, HeadMeasure what) {
    Layout layout = record.layout();
    int places =
        switch (what.at()) {
          case VALVE -> layout.positions().size();
          case CYLINDER -> layout.cylinderCount();
          case BANK -> layout.banks().size();
        };
    return new HeadMeasureLine(
        what,
        what.at(),
        what.possible().unit(),
        what.readings(),
        places,
        record.missing(what).size());
  }

  private static HeadReadingLine reading(HeadReadingRow r) {
    return new HeadReadingLine(
        r.id, r.what, r.at().valve(), r.cylinder, r.bank, r.figure, r.hand, r.takenAt);
  }

  private HeadStayLine stay(HeadStayRow s) {
    return new HeadStayLine(
        s.engineId, engines.get(s.engineId).name(), s.fromHours, s.fromAt, s.toHours, s.toAt);
  }

  private HeadSpringLine spring(HeadSpringRow r) {
    Springs.StoredSpring spring = springs.get(r.springId);
    return new HeadSpringLine(
        r.at(),
        r.springId,
        spring.spring().mark(),
        types.get(spring.spring().typeId()).type().name(),
        r.heightIn,
        r.shims,
        r.retainer,
        r.locks,
        r.locator,
        r.sealGapIn,
        r.coilGapIn);
  }

  // ---- the assembly book

  /** Every valve's lines from the last assembly it was in. */
  BookView book(UUID id) {
    HeadSheet sheet = heads.kept(id).sheet();
    List<JobView> books =
        jobs.ofHead(id).stream()
            .filter(j -> j.kind() == JobKind.ASSEMBLY)
            .map(j -> jobs.view(j.id()))
            .toList();
    JobView last = books.isEmpty() ? null : books.get(books.size() - 1);
    Map<Position, JobView> of = new HashMap<>();
    books.forEach(b -> b.state().valves().forEach(v -> of.put(v.position(), b)));
    List<BookSide> sides =
        heads.layout(sheet).banks().stream()
            .map(
                bank ->
                    new BookSide(
                        bank.name(),
                        bank.valves().stream()
                            .filter(of::containsKey)
                            .map(p -> new BookValve(p, lines(of.get(p), p)))
                            .toList()))
            .filter(s -> !s.valves().isEmpty())
            .toList();
    return new BookView(
        sheet.name(),
        last == null ? null : last.signedBy(),
        last == null ? null : last.endedAt(),
        lines(last, null),
        sides);
  }

  private static List<BookLine> lines(@Nullable JobView job, @Nullable Position valve) {
    if (job == null) {
      return List.of();
    }
    List<BookLine> lines = new ArrayList<>();
    for (WalkStep w : job.state().steps()) {
      Step s = w.step();
      boolean here = valve == null ? s.valve() == null : valve.equals(s.valve());
      if (here && s.act() != WalkAct.ACCEPT) {
        lines.add(line(s, w.done() ? last(job.done(), s) : null));
      }
    }
    return lines;
  }

  private static @Nullable Done last(List<Done> acts, Step step) {
    return Done.last(acts, d -> d.step().equals(step.id())).orElse(null);
  }

  private static BookLine line(Step s, @Nullable Done d) {
    Double figure = d == null ? null : d.figure();
    boolean out = s.within() != null && figure != null && !s.within().within(figure);
    return new BookLine(
        s.id(),
        s.title(),
        s.within(),
        Stream.ofNullable(s.within()).map(w -> w.words()).findFirst().orElse(null),
        figure,
        out,
        d == null ? null : d.word(),
        d == null ? null : d.hand(),
        d == null ? null : d.at());
  }
}
