package shim.app.turnaround;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import shim.core.turnaround.Weight;

/** What people enter for a turnaround, as it is kept. */
public final class Entered {
  static final int LONGEST_MINUTES = 60 * 24 * 14;

  private Entered() {}

  /**
   * Something that is done before.
   *
   * @param id the task
   * @param minutes that must pass after it, needing nobody: cooling, drying, sealant
   */
  public record AfterTask(
      @NotBlank String id,
      @Min(value = 0, message = "a wait: 0 minutes or more")
          @Max(value = LONGEST_MINUTES, message = "two weeks at most")
          int minutes) {}

  /**
   * A task by hand, or what a person says otherwise of one that Shim made; what is missing stays as
   * Shim has it.
   *
   * @param words what is to be done; only for a task by hand
   * @param engineId the engine; null for none
   * @param minutes it takes
   * @param hands how many are at it at once
   * @param only names of those who may do it; empty when anyone may
   * @param turnsCrank it has the engine for itself
   * @param after what is done before it
   * @param notBefore when it can begin at the earliest; null where nothing stands against it
   * @param begunAt when people began; null when nobody is at it
   * @param begunBy names of those who are at it
   * @param doneAt when it was done, or found not to be needed
   * @param doneBy initials
   */
  public record TaskSheet(
      @Nullable @Size(max = 160, message = "160 letters at most") String words,
      @Nullable UUID engineId,
      @Nullable Weight weight,
      @Nullable
          @Min(value = 1, message = "1 minute or more")
          @Max(value = LONGEST_MINUTES, message = "two weeks at most")
          Integer minutes,
      @Nullable
          @Min(value = 0, message = "0 to 8 pairs of hands")
          @Max(value = 8, message = "0 to 8 pairs of hands")
          Integer hands,
      List<@NotBlank @Size(max = 40) String> only,
      @Nullable Boolean turnsCrank,
      List<AfterTask> after,
      @Nullable Instant notBefore,
      @Nullable Instant begunAt,
      List<@NotBlank @Size(max = 40) String> begunBy,
      @Nullable Instant doneAt,
      @Nullable @Size(max = 12) String doneBy) {
    public static final TaskSheet NOTHING =
        new TaskSheet(
            null, null, null, null, null, List.of(), null, List.of(), null, null, List.of(), null,
            null);
  }

  /** Hours of one day of the week. */
  public record WeekDay(@NotNull DayOfWeek day, @NotNull LocalTime from, @NotNull LocalTime to) {}

  /** Days away, both included. */
  public record DaysAway(@NotNull LocalDate from, @NotNull LocalDate to) {}

  /**
   * One of the team.
   *
   * @param gone is no more in the team
   */
  public record HandSheet(
      @NotBlank(message = "give a name") @Size(max = 40, message = "40 letters at most")
          String name,
      @NotEmpty(message = "nobody is there on no day: choose at least one day") @Size(max = 7)
          List<WeekDay> week,
      @Size(max = 60) List<DaysAway> away,
      boolean gone) {}

  /** When the truck leaves, by the clock on the wall. */
  public record TruckSheet(
      @Nullable @Size(max = 80, message = "80 letters at most") String name,
      @NotNull(message = "give the day") LocalDate day,
      @NotNull(message = "give the time") LocalTime at) {}

  /** A work of the plan people work to, by the clock on the wall. */
  public record AgreedWork(@NotBlank String id, @NotNull Instant start, List<String> hands) {}

  /** The plan people work to. */
  public record AgreedSheet(Instant at, String by, Instant end, List<AgreedWork> works) {}
}
