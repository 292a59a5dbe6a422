package shim.app.turnaround;

import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import shim.app.record.Documents;
import shim.app.record.Sheets;
import shim.app.turnaround.Entered.HandSheet;
import shim.app.turnaround.Entered.TruckSheet;
import shim.app.turnaround.Entered.WeekDay;
import shim.app.turnaround.TurnaroundViews.TeamHand;
import shim.app.turnaround.TurnaroundViews.TruckView;
import shim.core.turnaround.Hand;

/** Who is there, when the truck leaves, and what the clock on the wall says. */
@Component
class Team {
  /** The one truck there is. */
  static final String TRUCK = "truck";

  /** Deliveries are there by noon: common practice, no source. */
  private static final LocalTime DELIVERED = LocalTime.NOON;

  private static final LocalTime EVENING = LocalTime.of(18, 0);
  private static final int STEP_MINUTES = 5;

  private final Sheets sheets;
  private final Clock clock;

  Team(Sheets sheets, Clock clock) {
    this.sheets = sheets;
    this.clock = clock;
  }

  /** Now on the wall, in steps of five minutes: a plan is not made anew each second. */
  LocalDateTime now() {
    LocalDateTime now = wall(clock.instant()).withSecond(0).withNano(0);
    return now.minusMinutes(now.getMinute() % STEP_MINUTES);
  }

  static LocalDateTime wall(Instant at) {
    return LocalDateTime.ofInstant(at, ZoneId.systemDefault());
  }

  static Instant instant(LocalDateTime wall) {
    return wall.atZone(ZoneId.systemDefault()).toInstant();
  }

  static int minutes(LocalDateTime from, LocalDateTime to) {
    return (int) Duration.between(from, to).toMinutes();
  }

  /** All of the team; one who is there each day where nobody is on record. */
  List<TeamHand> hands() {
    List<TeamHand> kept =
        sheets.all(Documents.Kind.PLAN_HAND, HandSheet.class).entrySet().stream()
            .filter(e -> !e.getValue().sheet().gone())
            .map(
                e ->
                    new TeamHand(
                        UUID.fromString(e.getKey()), e.getValue().sheet(), e.getValue().version()))
            .toList();
    return kept.isEmpty() ? List.of(new TeamHand(null, somebody(), null)) : kept;
  }

  private static HandSheet somebody() {
    List<WeekDay> week =
        Stream.of(DayOfWeek.values())
            .map(d -> new WeekDay(d, LocalTime.of(8, 0), EVENING))
            .toList();
    return new HandSheet("you", week, List.of(), false);
  }

  static Hand hand(HandSheet sheet, LocalDateTime from, int days) {
    Map<DayOfWeek, Hand.Day> week = new EnumMap<>(DayOfWeek.class);
    sheet.week().forEach(d -> week.put(d.day(), new Hand.Day(d.from(), d.to())));
    List<Hand.Away> away = sheet.away().stream().map(a -> new Hand.Away(a.from(), a.to())).toList();
    return Hand.of(sheet.name(), week, away, from, days);
  }

  /** As it was said; else on the evening before the first of these days. */
  Optional<TruckView> truck(List<LocalDate> eventDays) {
    Optional<Sheets.Kept<TruckSheet>> kept =
        sheets.of(TRUCK, Documents.Kind.PLAN_TRUCK, TruckSheet.class);
    Optional<TruckView> said =
        kept.map(
            k ->
                new TruckView(
                    k.sheet().name(), k.sheet().day().atTime(k.sheet().at()), false, k.version()));
    if (said.filter(t -> t.leaves().isAfter(now())).isPresent()) {
      return said;
    }
    Integer version = kept.map(Sheets.Kept::version).orElse(null);
    return eventDays.stream()
        .map(day -> day.minusDays(1).atTime(EVENING))
        .filter(leaves -> leaves.isAfter(now()))
        .min(LocalDateTime::compareTo)
        .map(leaves -> new TruckView(null, leaves, true, version));
  }

  /** When work that needs a part can begin, where it is not here yet. */
  static LocalDateTime there(LocalDate comes) {
    return comes.atTime(DELIVERED);
  }

  /** Names of the team, each once. */
  List<String> names() {
    List<String> names = new ArrayList<>();
    hands().forEach(h -> names.add(h.hand().name()));
    return names;
  }
}
