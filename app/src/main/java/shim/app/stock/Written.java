package shim.app.stock;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import shim.core.stock.Delivery;
import shim.core.stock.Measure;

/** What people write of parts, as it is kept. */
public final class Written {
  static final int LONGEST_LEAD = 365;
  static final int MOST = 999;

  private Written() {}

  /**
   * A measure that decides whether a part fits.
   *
   * @param wanted in, or lbf for a load
   * @param below it may be so much less
   * @param above it may be so much more
   */
  public record MeasureSheet(
      Measure.@NotNull What what,
      @Min(value = 0, message = "a measure: above 0")
          @Max(value = 5000, message = "no such measure: 5000 at most")
          double wanted,
      @Min(value = 0, message = "0 or more") @Max(value = 1000, message = "1000 at most")
          double below,
      @Min(value = 0, message = "0 or more") @Max(value = 1000, message = "1000 at most")
          double above) {
    Measure measure() {
      return new Measure(what, wanted, below, above);
    }
  }

  /**
   * A kind of part. Springs and lifters that are on record are kinds by themselves; of them only
   * what is not known elsewhere is written here.
   *
   * @param engines it goes on; none when on any
   * @param place where it lies
   * @param count so many lie there; for springs and lifters Shim counts those on record
   * @param take so many always go along
   * @param price of one, in the team's money
   * @param leadDays days from the order to the arrival
   */
  public record PartSheet(
      @NotBlank(message = "say which part") @Size(max = 160, message = "160 letters at most")
          String name,
      @Size(max = 50) List<UUID> engines,
      @Nullable @Size(max = 80, message = "80 letters at most") String place,
      @Min(value = 0, message = "0 or more") @Max(value = MOST, message = "999 at most") int count,
      @Min(value = 0, message = "0 or more") @Max(value = MOST, message = "999 at most") int take,
      @Nullable
          @Min(value = 0, message = "a price: 0 or more")
          @Max(value = 1_000_000, message = "a million at most")
          Double price,
      @Nullable @Size(max = 80, message = "80 letters at most") String supplier,
      @Nullable
          @Min(value = 0, message = "0 to 365 days")
          @Max(value = LONGEST_LEAD, message = "0 to 365 days")
          Integer leadDays,
      @Size(max = 7, message = "each measure once") List<MeasureSheet> measures,
      @Nullable @Size(max = 400, message = "400 letters at most") String note) {}

  /** A measure as it was found on arrival; in, or lbf for a load. */
  public record MeasuredFigure(Measure.@NotNull What what, double figure) {}

  /**
   * A part that is wanted.
   *
   * @param taskId the task that waits for it
   * @param jobId the job that is parked for it
   * @param kindId the kind it is one of; null where it is only named
   * @param leadDays days from the order to the arrival, as the supplier says
   * @param price of one, in the team's money
   * @param dueOn the day the supplier named
   * @param measured what decides fit, as it was found when it came
   * @param found what else was found, or why it was refused
   */
  public record OrderSheet(
      @NotBlank(message = "say which part") @Size(max = 160, message = "160 letters at most")
          String part,
      @Min(value = 1, message = "1 or more") @Max(value = MOST, message = "999 at most") int count,
      @Nullable UUID engineId,
      @Nullable @Size(max = 120) String taskId,
      @Nullable UUID jobId,
      @Nullable UUID kindId,
      @Nullable @Size(max = 80, message = "80 letters at most") String supplier,
      @Nullable
          @Min(value = 0, message = "0 to 365 days")
          @Max(value = LONGEST_LEAD, message = "0 to 365 days")
          Integer leadDays,
      @Nullable
          @Min(value = 0, message = "a price: 0 or more")
          @Max(value = 1_000_000, message = "a million at most")
          Double price,
      Delivery.@NotNull State state,
      @Nullable LocalDate orderedOn,
      @Nullable LocalDate dueOn,
      @Nullable LocalDate arrivedOn,
      @Size(max = 7) List<MeasuredFigure> measured,
      @Nullable @Size(max = 400, message = "400 letters at most") String found) {
    public Delivery delivery() {
      return new Delivery(state, orderedOn, leadDays, dueOn, arrivedOn);
    }
  }
}
