package shim.app.demo;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import shim.app.running.Services;
import shim.app.running.Services.ServiceSheet;
import shim.app.stock.Orders;
import shim.app.stock.Parts;
import shim.app.stock.Written.MeasureSheet;
import shim.app.stock.Written.OrderSheet;
import shim.app.stock.Written.PartSheet;
import shim.app.turnaround.Entered.AfterTask;
import shim.app.turnaround.Entered.DaysAway;
import shim.app.turnaround.Entered.HandSheet;
import shim.app.turnaround.Entered.TaskSheet;
import shim.app.turnaround.Entered.TruckSheet;
import shim.app.turnaround.Entered.WeekDay;
import shim.app.turnaround.Turnarounds;
import shim.core.running.Service;
import shim.core.stock.Delivery;
import shim.core.stock.Measure;
import shim.core.turnaround.Weight;

/**
 * The days to the final: three people, one spring late at its supplier, and on the last morning a
 * round that must be hot, after which the engine cools while the spring comes.
 */
@Component
@ConditionalOnProperty("shim.demo")
class DemoTurnaround {
  private static final int LAST_DAY = 8;
  private static final int COOLING = 240;

  private final Turnarounds turnarounds;
  private final Orders orders;
  private final Services services;
  private final Parts parts;
  private final Clock clock;

  DemoTurnaround(
      Turnarounds turnarounds, Orders orders, Parts parts, Services services, Clock clock) {
    this.services = services;
    this.turnarounds = turnarounds;
    this.orders = orders;
    this.parts = parts;
    this.clock = clock;
  }

  void fill(UUID v8, UUID four) {
    LocalDate last = day(LAST_DAY);
    hand("KV", List.of(DayOfWeek.values()), 7, 18, List.of());
    hand(
        "MO",
        List.of(DayOfWeek.values()).subList(0, 6),
        9,
        18,
        List.of(new DaysAway(day(2), day(3))));
    hand("TS", List.of(DayOfWeek.values()), 16, 21, List.of());
    turnarounds.putTruck(new TruckSheet("Six Hours of Fenmoor", last, LocalTime.of(17, 30)), null);

    String hot =
        task(
            "hot round",
            own("Warm up, hot round as found", v8, Weight.MUST, 60)
                .at(last.atTime(7, 0).atZone(ZoneId.systemDefault()).toInstant())
                .only("KV")
                .crank());
    String change = v8 + "/SPRING_CHANGE";
    task(change, of(Weight.MUST, 60).after(hot, COOLING));
    task(v8 + "/LASH_ROUND", of(Weight.MUST, null));
    task(
        "load the truck",
        own("Load the truck", null, Weight.MUST, 75).hands(2).after(v8 + "/LASH_ROUND", 0));
    services.put(v8, Service.Kind.PLUGS, service(5, 5.0, "cold range, 0.035 in"), null);
    services.put(v8, Service.Kind.OIL, service(6, 5.0, "20W-60, mineral"), null);
    services.put(v8, Service.Kind.FUEL, service(0, 8.9, "methanol"), null);
    task("fill", own("Fresh fuel in", v8, Weight.SHOULD, 20).after(v8 + "/FUEL", 12 * 60));
    String cup = task("cup", own("New spring cup at 2E", four, Weight.SHOULD, 50).crank());

    shelf(v8, four);
    order(
        "outer spring",
        new OrderSheet(
            "Outer spring, 220 lbf at 1.950 in, rate 440",
            1,
            v8,
            change,
            null,
            DemoRounds.id("dual"),
            "Beck Springs",
            8,
            38.0,
            Delivery.State.ORDERED,
            day(-2),
            last,
            null,
            List.of(),
            null));
    order(
        "cup",
        new OrderSheet(
            "Spring cup, bore 0.570 in, thin floor",
            1,
            four,
            cup,
            null,
            DemoRounds.id("kind cup"),
            "Quarry Turned Parts",
            12,
            14.5,
            Delivery.State.WANTED,
            null,
            null,
            null,
            List.of(),
            null));
    order(
        "gaskets",
        new OrderSheet(
            "Valve cover gaskets",
            2,
            v8,
            null,
            null,
            DemoRounds.id("kind gaskets"),
            "Fenmoor Gaskets",
            3,
            9.0,
            Delivery.State.ARRIVED,
            day(-4),
            day(0),
            day(0),
            List.of(),
            null));
  }

  private void shelf(UUID v8, UUID four) {
    UUID dual = DemoRounds.id("dual");
    part(
        dual,
        new PartSheet(
            "HV dual, damper",
            List.of(v8),
            "red case, tray 2",
            0,
            2,
            38.0,
            "Beck Springs",
            8,
            List.of(new MeasureSheet(Measure.What.LOAD, 220, 6, 6)),
            null));
    part(
        DemoRounds.id("kind cup"),
        new PartSheet(
            "Spring cup, thin floor",
            List.of(four),
            "shelf B3",
            1,
            0,
            14.5,
            "Quarry Turned Parts",
            12,
            List.of(
                new MeasureSheet(Measure.What.BORE, 0.570, 0, 0.002),
                new MeasureSheet(Measure.What.THICKNESS, 0.060, 0.002, 0.002)),
            null));
    part(
        DemoRounds.id("kind gaskets"),
        new PartSheet(
            "Valve cover gaskets",
            List.of(v8),
            "shelf A1",
            1,
            2,
            9.0,
            "Fenmoor Gaskets",
            3,
            List.of(),
            null));
    part(
        DemoRounds.id("kind locks"),
        new PartSheet(
            "Valve locks, 10 degrees, pairs",
            List.of(v8, four),
            "red case, tray 4",
            6,
            4,
            3.2,
            "Beck Springs",
            5,
            List.of(),
            "an odd one in a set is never used"));
  }

  private void part(UUID id, PartSheet sheet) {
    parts.put(id, sheet, null, "KV");
  }

  private ServiceSheet service(double every, double doneAt, String with) {
    return new ServiceSheet(every, doneAt, day(-30), with, "KV");
  }

  private LocalDate day(int ahead) {
    return LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault()).plusDays(ahead);
  }

  private void hand(String name, List<DayOfWeek> days, int from, int to, List<DaysAway> away) {
    List<WeekDay> week =
        days.stream().map(d -> new WeekDay(d, LocalTime.of(from, 0), LocalTime.of(to, 0))).toList();
    turnarounds.putHand(
        DemoRounds.id("hand " + name), new HandSheet(name, week, away, false), null);
  }

  private String task(String name, Said said) {
    String id = name.contains("/") ? name : DemoRounds.id("task " + name).toString();
    turnarounds.putTask(id, said.sheet(), null, "KV");
    return id;
  }

  private void order(String name, OrderSheet sheet) {
    orders.put(DemoRounds.id("order " + name), sheet, null, "KV");
  }

  private static Said own(String words, @Nullable UUID engine, Weight weight, int minutes) {
    return new Said(words, engine, weight, minutes);
  }

  private static Said of(Weight weight, @Nullable Integer minutes) {
    return new Said(null, null, weight, minutes);
  }

  /** A task as it is being told. */
  private static final class Said {
    private final @Nullable String words;
    private final @Nullable UUID engine;
    private final Weight weight;
    private final @Nullable Integer minutes;
    private @Nullable Integer hands;
    private @Nullable Boolean crank;
    private @Nullable Instant notBefore;
    private List<String> only = List.of();
    private List<AfterTask> after = List.of();

    Said(@Nullable String words, @Nullable UUID engine, Weight weight, @Nullable Integer minutes) {
      this.words = words;
      this.engine = engine;
      this.weight = weight;
      this.minutes = minutes;
    }

    Said at(Instant given) {
      notBefore = given;
      return this;
    }

    Said only(String name) {
      only = List.of(name);
      return this;
    }

    Said hands(int given) {
      hands = given;
      return this;
    }

    Said crank() {
      crank = true;
      return this;
    }

    Said after(String task, int wait) {
      after = Stream.concat(after.stream(), Stream.of(new AfterTask(task, wait))).toList();
      return this;
    }

    TaskSheet sheet() {
      return new TaskSheet(
          words, engine, weight, minutes, hands, only, crank, after, notBefore, null, List.of(),
          null, null);
    }
  }
}
