package shim.app.turnaround;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import shim.app.record.Initials;
import shim.app.turnaround.Entered.HandSheet;
import shim.app.turnaround.Entered.TaskSheet;
import shim.app.turnaround.Entered.TruckSheet;
import shim.app.turnaround.TurnaroundViews.TurnaroundView;

/** What to do until the truck leaves. */
@RestController
class TurnaroundController {
  private final Turnarounds turnarounds;
  private final TurnaroundReader reader;
  private final CalendarFile calendar;

  TurnaroundController(Turnarounds turnarounds, TurnaroundReader reader, CalendarFile calendar) {
    this.turnarounds = turnarounds;
    this.reader = reader;
    this.calendar = calendar;
  }

  /** A task as entered; {@code basedOn} is the version it was changed on, null for a new one. */
  record TaskEntry(
      @NotNull String id,
      @NotNull @Valid TaskSheet task,
      @Nullable Integer basedOn,
      @Nullable @Size(max = 12, message = "12 letters at most") String hand) {}

  /** One of the team as entered. */
  record HandEntry(@NotNull @Valid HandSheet hand, @Nullable Integer basedOn) {}

  /** The truck as entered. */
  record TruckEntry(@NotNull @Valid TruckSheet truck, @Nullable Integer basedOn) {}

  /** Who says that people work to the plan from now on. */
  record Agreement(@Initials String hand, @Nullable Integer basedOn) {}

  /**
   * Gives the plan until the truck leaves: tasks, hands, the earliest end and the chance to make
   * it.
   */
  @GetMapping("/api/turnaround")
  TurnaroundView turnaround() {
    return reader.view();
  }

  /** Events, the truck, order-by days and the plan, to download or to subscribe to. */
  @GetMapping("/api/turnaround/calendar.ics")
  ResponseEntity<String> calendar() {
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_TYPE, "text/calendar;charset=utf-8")
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"shim.ics\"")
        .body(calendar.write());
  }

  /** The id of a task that Shim made has a stroke in it, so it is in the body. */
  @PutMapping("/api/turnaround/tasks")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void task(@RequestBody TaskEntry entry) {
    turnarounds.putTask(entry.id(), entry.task(), entry.basedOn(), entry.hand());
  }

  /** Keeps one of the team: what the hand can do and when it is there. */
  @PutMapping("/api/turnaround/hands/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void hand(@PathVariable UUID id, @RequestBody HandEntry entry) {
    turnarounds.putHand(id, entry.hand(), entry.basedOn());
  }

  /** Says when the truck leaves. */
  @PutMapping("/api/turnaround/truck")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void truck(@RequestBody TruckEntry entry) {
    turnarounds.putTruck(entry.truck(), entry.basedOn());
  }

  /** Says that people work to the plan as it is now. */
  @PutMapping("/api/turnaround/agreed")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void agree(@RequestBody Agreement agreement) {
    turnarounds.agree(agreement.hand(), agreement.basedOn());
  }
}
