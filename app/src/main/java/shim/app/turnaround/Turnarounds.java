package shim.app.turnaround;

import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.app.record.Documents;
import shim.app.record.Sheets;
import shim.app.turnaround.Entered.AgreedSheet;
import shim.app.turnaround.Entered.HandSheet;
import shim.app.turnaround.Entered.TaskSheet;
import shim.app.turnaround.Entered.TruckSheet;
import shim.core.turnaround.Situation;
import shim.core.turnaround.Task;
import shim.core.turnaround.Weight;
import shim.core.turnaround.Work;

/** Takes what people say of a turnaround. */
@Service
@Transactional
public class Turnarounds {
  private final Sheets sheets;
  private final TurnaroundReader reader;
  private final Team team;
  private final Engines engines;

  Turnarounds(Sheets sheets, TurnaroundReader reader, Team team, Engines engines) {
    this.sheets = sheets;
    this.reader = reader;
    this.team = team;
    this.engines = engines;
  }

  public void putTask(String id, TaskSheet sheet, @Nullable Integer basedOn, @Nullable String who) {
    Map<String, TaskBook.Noted> all = reader.tasks();
    String words = sheet.words();
    boolean own = words != null;
    if (words != null && words.isBlank()) {
      throw Refusal.invalid("task.words", "say what is to be done");
    }
    if (!own && (!all.containsKey(id) || byHand(all.get(id)))) {
      throw Refusal.conflict("this is no more to be done: look at the plan again");
    }
    if (!own && sheet.doneAt() != null) {
      throw Refusal.invalid(
          "task.doneAt",
          "it is done when its round, test or job is signed: that ticks it by itself");
    }
    if (sheet.engineId() != null) {
      engines.get(sheet.engineId());
    }
    known(sheet.only(), "task.only");
    known(sheet.begunBy(), "task.begunBy");
    if (sheet.begunAt() != null && sheet.begunBy().isEmpty() && hands(sheet, all.get(id)) > 0) {
      throw Refusal.invalid("task.begunBy", "say who is at it");
    }
    int able = sheet.only().isEmpty() ? team.names().size() : new HashSet<>(sheet.only()).size();
    if (hands(sheet, all.get(id)) > able) {
      throw Refusal.invalid(
          "task.hands", "it needs more hands than may do it: " + able + " in the team");
    }
    noCircle(id, sheet, all);
    sheets.put(
        id, Documents.Kind.PLAN_TASK, sheet, new Sheets.Change(sheet.engineId(), basedOn, who));
  }

  private static boolean byHand(TaskBook.Noted known) {
    return known.task().kind() == Task.Kind.BY_HAND;
  }

  private static int hands(TaskSheet sheet, TaskBook.@Nullable Noted known) {
    if (sheet.hands() != null) {
      return sheet.hands();
    }
    return known == null ? 1 : known.task().work().hands();
  }

  private void known(List<String> names, String field) {
    Set<String> team = new HashSet<>(this.team.names());
    names.stream()
        .filter(n -> !team.contains(n))
        .findFirst()
        .ifPresent(
            n -> {
              throw Refusal.invalid(field, n + " is not in the team");
            });
  }

  private static void noCircle(String id, TaskSheet sheet, Map<String, TaskBook.Noted> all) {
    List<Work> works = new ArrayList<>();
    all.forEach(
        (other, n) -> {
          if (!other.equals(id)) {
            works.add(n.task().work());
          }
        });
    Set<String> ids = works.stream().map(Work::id).collect(Collectors.toSet());
    ids.add(id);
    Work mine = all.containsKey(id) ? all.get(id).task().work() : Work.of(id, Weight.MUST, 1);
    for (Entered.AfterTask a : sheet.after()) {
      if (!ids.contains(a.id())) {
        throw Refusal.invalid("task.after", "what it waits for is no more to be done");
      }
      mine = mine.after(a.id(), a.minutes());
    }
    works.add(mine);
    Situation.circle(works)
        .ifPresent(
            circle -> {
              String names =
                  circle.stream()
                      .map(c -> c.equals(id) ? name(sheet, all.get(id)) : name(null, all.get(c)))
                      .collect(Collectors.joining(", then "));
              throw Refusal.invalid("task.after", "these wait for one another: " + names);
            });
  }

  private static String name(@Nullable TaskSheet typed, TaskBook.@Nullable Noted known) {
    if (typed != null && typed.words() != null) {
      return typed.words().strip();
    }
    return known == null ? "this" : TaskWords.of(known);
  }

  public void putHand(UUID id, HandSheet sheet, @Nullable Integer basedOn) {
    for (int i = 0; i < sheet.week().size(); i++) {
      Entered.WeekDay d = sheet.week().get(i);
      if (!d.to().isAfter(d.from())) {
        throw Refusal.invalid(
            "hand.week[" + i + "].to", "the end of the day comes after its begin");
      }
    }
    for (int i = 0; i < sheet.away().size(); i++) {
      if (sheet.away().get(i).to().isBefore(sheet.away().get(i).from())) {
        throw Refusal.invalid("hand.away[" + i + "].to", "back before they left");
      }
    }
    boolean taken =
        team.hands().stream()
            .anyMatch(
                h ->
                    h.id() != null
                        && !h.id().equals(id)
                        && h.hand().name().equalsIgnoreCase(sheet.name().strip()));
    if (taken && !sheet.gone()) {
      throw Refusal.invalid("hand.name", "somebody of that name is in the team already");
    }
    HandSheet kept = new HandSheet(sheet.name().strip(), sheet.week(), sheet.away(), sheet.gone());
    sheets.put(
        id.toString(), Documents.Kind.PLAN_HAND, kept, new Sheets.Change(null, basedOn, null));
  }

  public void putTruck(TruckSheet sheet, @Nullable Integer basedOn) {
    LocalDateTime leaves = sheet.day().atTime(sheet.at());
    if (!leaves.isAfter(team.now())) {
      throw Refusal.invalid("truck.day", "the truck has left by then: give a time to come");
    }
    sheets.put(
        Team.TRUCK, Documents.Kind.PLAN_TRUCK, sheet, new Sheets.Change(null, basedOn, null));
  }

  /** From now on people work to the plan as it is now. */
  public void agree(String who, @Nullable Integer basedOn) {
    AgreedSheet now =
        reader
            .toAgree(who)
            .orElseThrow(() -> Refusal.busy("the plan is still being made: again in a moment"));
    sheets.put(
        TurnaroundReader.AGREED,
        Documents.Kind.PLAN_AGREED,
        now,
        new Sheets.Change(null, basedOn, who));
  }
}
