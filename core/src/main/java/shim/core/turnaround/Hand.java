package shim.core.turnaround;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * One of the team, and when they are there.
 *
 * @param there in order of time, apart from each other
 */
public record Hand(String name, List<Stretch> there) {
  /** Hours of one day. */
  public record Day(LocalTime from, LocalTime to) {}

  /** From one day to another, both away. */
  public record Away(LocalDate from, LocalDate to) {
    boolean on(LocalDate day) {
      return !day.isBefore(from) && !day.isAfter(to);
    }
  }

  public Hand {
    there = List.copyOf(there);
  }

  /** A hand by their usual week, over some days from the plan's begin. */
  public static Hand of(
      String name, Map<DayOfWeek, Day> week, List<Away> away, LocalDateTime begin, int days) {
    List<Stretch> there = new ArrayList<>();
    for (int d = 0; d < days; d++) {
      LocalDate day = begin.toLocalDate().plusDays(d);
      Day hours = week.get(day.getDayOfWeek());
      if (hours == null || away.stream().anyMatch(a -> a.on(day))) {
        continue;
      }
      int from = (int) ChronoUnit.MINUTES.between(begin, day.atTime(hours.from()));
      int to = (int) ChronoUnit.MINUTES.between(begin, day.atTime(hours.to()));
      if (to > Math.max(0, from)) {
        there.add(new Stretch(Math.max(0, from), to));
      }
    }
    return new Hand(name, there);
  }

  /** The most minutes they are there in one go. */
  int longest() {
    return there.stream().mapToInt(Stretch::minutes).max().orElse(0);
  }
}
