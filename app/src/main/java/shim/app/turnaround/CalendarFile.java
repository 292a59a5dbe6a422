package shim.app.turnaround;

import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.time.temporal.Temporal;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import net.fortuna.ical4j.data.CalendarOutputter;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtEnd;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.DtStart;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Summary;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.record.Ids;
import shim.app.running.Events;
import shim.app.stock.StockReader;
import shim.app.turnaround.TurnaroundViews.PlacedView;
import shim.app.turnaround.TurnaroundViews.TruckView;
import shim.app.turnaround.TurnaroundViews.TurnaroundView;

/**
 * Events to come, the truck, the last days to order what falls due, and the plan, as a calendar
 * after RFC 5545. Each entry keeps its name, so that who subscribes sees it move.
 */
@Component
@Transactional(readOnly = true)
class CalendarFile {
  private final TurnaroundReader reader;
  private final Engines engines;
  private final Events events;
  private final StockReader stock;
  private final Clock clock;

  CalendarFile(
      TurnaroundReader reader, Engines engines, Events events, StockReader stock, Clock clock) {
    this.reader = reader;
    this.engines = engines;
    this.events = events;
    this.stock = stock;
    this.clock = clock;
  }

  String write() {
    Calendar calendar = new Calendar();
    calendar.add(new ProdId("-//Shim//Turnaround//EN"));
    calendar.add(ImmutableVersion.VERSION_2_0);
    calendar.add(ImmutableCalScale.GREGORIAN);
    coming(calendar);
    TurnaroundReader.Seen seen = reader.seen();
    TurnaroundView now = seen.view();
    TruckView truck = now.truck();
    if (truck != null) {
      String name = Objects.requireNonNullElse(truck.name(), "next event");
      Instant leaves = Team.instant(truck.leaves());
      calendar.add(entry("truck", leaves, leaves, "The truck leaves: " + name, null));
    }
    ordering(calendar);
    planned(calendar, seen);
    StringWriter out = new StringWriter();
    try {
      new CalendarOutputter(false).output(calendar, out);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  /** An event two engines go to is one day in the calendar. */
  private void coming(Calendar calendar) {
    record Day(LocalDate date, String name) {}
    Map<Day, Set<String>> days = new LinkedHashMap<>();
    for (Engines.Stored engine : engines.all()) {
      events.of(engine.id()).stream()
          .filter(e -> e.runHours() == null)
          .forEach(
              e ->
                  days.computeIfAbsent(new Day(e.date(), e.name()), d -> new LinkedHashSet<>())
                      .add(engine.name()));
    }
    days.forEach(
        (day, names) ->
            calendar.add(
                entry(
                    "event " + day.date() + " " + day.name(),
                    day.date(),
                    day.date().plusDays(1),
                    day.name(),
                    String.join(", ", names))));
  }

  private void ordering(Calendar calendar) {
    stock.toOrder().stream()
        .filter(d -> d.orderBy() != null)
        .forEach(
            d -> {
              LocalDate by = Objects.requireNonNull(d.orderBy());
              calendar.add(
                  entry(
                      "order " + d.engineId() + " " + d.kindId() + " " + d.event(),
                      by,
                      by.plusDays(1),
                      "Order by today: " + d.count() + " × " + d.part(),
                      d.engine() + ", due before " + d.event()));
            });
  }

  private void planned(Calendar calendar, TurnaroundReader.Seen seen) {
    TurnaroundViews.PlanNow plan = seen.view().plan();
    if (plan == null) {
      return;
    }
    Map<String, String> names =
        engines.all().stream()
            .collect(Collectors.toMap(e -> e.id().toString(), Engines.Stored::name));
    for (PlacedView p : plan.placed()) {
      TaskBook.Noted noted = seen.tasks().get(p.id());
      if (noted != null) {
        String engine = noted.task().engine().map(names::get).map(n -> " (" + n + ")").orElse("");
        calendar.add(
            entry(
                "task " + p.id(),
                Team.instant(p.start()),
                Team.instant(p.end()),
                TaskWords.of(noted) + engine,
                String.join(", ", p.hands())));
      }
    }
  }

  private VEvent entry(
      String name, Temporal from, Temporal to, String summary, @Nullable String more) {
    VEvent event = new VEvent(false);
    event.add(new Uid(Ids.of("calendar " + name) + "@shim"));
    event.add(new DtStamp(clock.instant().truncatedTo(ChronoUnit.SECONDS)));
    event.add(new DtStart<>(from));
    event.add(new DtEnd<>(to));
    event.add(new Summary(summary));
    if (more != null && !more.isEmpty()) {
      event.add(new Description(more));
    }
    return event;
  }
}
