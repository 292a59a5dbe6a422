package shim.app.stock;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.app.record.Documents;
import shim.app.record.Sheets;
import shim.app.stock.Written.OrderSheet;
import shim.core.stock.Arrival;
import shim.core.stock.Delivery;
import shim.core.stock.Measure;

/** Parts that are wanted, ordered, here, measured or refused. */
@Service
@Transactional
public class Orders {
  private final Sheets sheets;
  private final Parts parts;
  private final Engines engines;
  private final ApplicationEventPublisher events;
  private final Clock clock;

  Orders(
      Sheets sheets, Parts parts, Engines engines, ApplicationEventPublisher events, Clock clock) {
    this.sheets = sheets;
    this.parts = parts;
    this.engines = engines;
    this.events = events;
    this.clock = clock;
  }

  @Transactional(readOnly = true)
  public Map<UUID, Sheets.Kept<OrderSheet>> all() {
    Map<UUID, Sheets.Kept<OrderSheet>> all = new HashMap<>();
    sheets
        .all(Documents.Kind.PART_ORDER, OrderSheet.class)
        .forEach((id, kept) -> all.put(UUID.fromString(id), kept));
    return all;
  }

  public LocalDate today() {
    return LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
  }

  /** The day a part is expected; empty when nobody knows. */
  public Optional<LocalDate> comes(OrderSheet order) {
    return order.delivery().comes(today());
  }

  /** A job is parked for a part; a repeat changes nothing. */
  public void wantedBy(UUID id, UUID jobId, UUID engineId, String part, String who) {
    if (kept(id).isPresent()) {
      return;
    }
    put(
        id,
        new OrderSheet(
            part,
            1,
            engineId,
            null,
            jobId,
            null,
            null,
            null,
            null,
            Delivery.State.WANTED,
            null,
            null,
            null,
            List.of(),
            null),
        null,
        who);
  }

  public void put(UUID id, OrderSheet sheet, @Nullable Integer basedOn, @Nullable String who) {
    if (sheet.state() == Delivery.State.ORDERED && sheet.orderedOn() == null) {
      throw Refusal.invalid("order.orderedOn", "give the day it was ordered");
    }
    if (sheet.dueOn() != null
        && sheet.orderedOn() != null
        && sheet.dueOn().isBefore(sheet.orderedOn())) {
      throw Refusal.invalid("order.dueOn", "it cannot come before it was ordered");
    }
    if (sheet.engineId() != null) {
      engines.get(sheet.engineId());
    }
    measured(sheet);
    Optional<OrderSheet> before = kept(id);
    sheets.put(
        id.toString(),
        Documents.Kind.PART_ORDER,
        sheet,
        new Sheets.Change(sheet.engineId(), basedOn, who));
    boolean good = sheet.state() == Delivery.State.MEASURED;
    if (good && before.filter(b -> b.state() == Delivery.State.MEASURED).isEmpty()) {
      here(sheet, Objects.requireNonNullElse(who, ""));
    }
  }

  private Optional<OrderSheet> kept(UUID id) {
    return sheets
        .of(id.toString(), Documents.Kind.PART_ORDER, OrderSheet.class)
        .map(Sheets.Kept::sheet);
  }

  /** Nothing goes on the shelf that was not measured where a measure decides. */
  private void measured(OrderSheet sheet) {
    Arrival arrival = arrival(sheet);
    if (sheet.state() == Delivery.State.MEASURED && !arrival.fits()) {
      Arrival.Line first =
          arrival.lines().stream()
              .filter(l -> l.found() != Measure.Found.FITS)
              .findFirst()
              .orElseThrow();
      throw Refusal.invalid("order.measured." + first.measure().what(), trouble(first));
    }
    if (sheet.state() == Delivery.State.REFUSED
        && !arrival.wrong()
        && (sheet.found() == null || sheet.found().isBlank())) {
      throw Refusal.invalid("order.found", "say what was wrong with it");
    }
  }

  private static String trouble(Arrival.Line line) {
    String what = line.measure().what().name().toLowerCase(Locale.ROOT);
    return switch (line.found()) {
      case NOT_MEASURED, FITS -> "measure its " + what + " before it goes on";
      case TOO_SMALL -> "its " + what + " is too small: it goes back";
      case TOO_LARGE -> "its " + what + " is too large: it goes back";
    };
  }

  /** What came, beside what its kind wants. */
  @Transactional(readOnly = true)
  public Arrival arrival(OrderSheet sheet) {
    Map<Measure.What, Double> figures = new EnumMap<>(Measure.What.class);
    sheet.measured().forEach(m -> figures.put(m.what(), m.figure()));
    List<Measure> wanted =
        Optional.ofNullable(sheet.kindId())
            .flatMap(parts::of)
            .map(p -> p.measures().stream().map(Written.MeasureSheet::measure).toList())
            .orElse(List.of());
    return Arrival.of(wanted, figures);
  }

  private void here(OrderSheet sheet, String who) {
    UUID job = sheet.jobId();
    if (sheet.kindId() != null && job == null) {
      // What a job waits for goes on the engine, all else on the shelf.
      parts.more(sheet.kindId(), sheet.count(), who);
    }
    if (job != null
        && all().values().stream().map(Sheets.Kept::sheet).noneMatch(o -> holds(o, job))) {
      events.publishEvent(new PartIsHere(job, sheet.part(), who));
    }
  }

  private static boolean holds(OrderSheet order, UUID job) {
    return job.equals(order.jobId()) && order.state() != Delivery.State.MEASURED;
  }
}
