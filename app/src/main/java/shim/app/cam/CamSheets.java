package shim.app.cam;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import shim.app.record.Hours;
import shim.app.record.Initials;
import shim.core.cam.CamDrive;
import shim.core.cam.Degreeing;
import shim.core.cam.PistonToValve;
import shim.core.cam.WireLife;
import shim.core.engine.EngineSheet;
import shim.core.engine.HeatState;

/** Documents of the bench, as written. */
public final class CamSheets {
  private CamSheets() {}

  /**
   * What is set once for an engine's bench; blanks take what is usual or stay unanswered.
   *
   * @param driveOffers steps the drive has, as it is marked; blank takes keyways of 4
   * @param wantedAdvanceDeg how much earlier than the card the team wants it, crank degrees
   * @param steel of the springs' wire
   * @param topRpm the engine turns to
   */
  public record BenchSheet(
      @Nullable @Size(max = 200) List<@NotNull Double> driveOffers,
      CamDrive.@Nullable Marked driveMarked,
      @Nullable @DecimalMin("-30") @DecimalMax("30") Double wantedAdvanceDeg,
      @Nullable @Valid KindBench intake,
      @Nullable @Valid KindBench exhaust,
      WireLife.@Nullable Steel steel,
      @Nullable Boolean peened,
      @Nullable @DecimalMin("500") @DecimalMax("30000") Double topRpm) {
    public static final BenchSheet BLANK =
        new BenchSheet(null, null, null, null, null, null, null, null);
  }

  /**
   * One kind of valve.
   *
   * @param valveAngleDeg valve axis to the bore
   * @param wantedGapIn the team's least gap to the piston; blank takes the usual
   * @param headIn diameter of the valve's head
   * @param pocketIn diameter of the pocket in the piston
   * @param armIn rocker from fulcrum to tip
   */
  public record KindBench(
      @Nullable @DecimalMin("-59") @DecimalMax("59") Double valveAngleDeg,
      PistonToValve.@Nullable Crown crown,
      @Nullable @DecimalMin("0") @DecimalMax("1") Double wantedGapIn,
      @Nullable @DecimalMin("0.3") @DecimalMax("5") Double headIn,
      @Nullable @DecimalMin("0.3") @DecimalMax("6") Double pocketIn,
      @Nullable @DecimalMin("0") @DecimalMax("2000") Double valveG,
      @Nullable @DecimalMin("0") @DecimalMax("2000") Double retainerG,
      @Nullable @DecimalMin("0") @DecimalMax("2000") Double locksG,
      @Nullable @DecimalMin("0") @DecimalMax("2000") Double springG,
      @Nullable @DecimalMin("0") @DecimalMax("2000") Double rockerGIn2,
      @Nullable @DecimalMin("0.5") @DecimalMax("4") Double armIn,
      @Nullable @DecimalMin("0") @DecimalMax("2000") Double pushrodG,
      @Nullable @DecimalMin("0") @DecimalMax("2000") Double lifterG) {}

  /** What a sitting at the bench is for. */
  public enum SittingKind {
    DEGREE,
    CLEARANCE,
    PUSHRODS
  }

  /**
   * One sitting at the bench.
   *
   * @param heightsIn under the nose at which lobes are found
   * @param pointerMoved the pointer was put right after the stop
   * @param lashIntakeIn lash while it was measured; blank is none: tight, or a solid lifter put in
   * @param travelIn travel of the checking spring or dial
   */
  public record SittingSheet(
      @NotNull UUID engineId,
      @NotNull SittingKind kind,
      @Hours double engineHours,
      @NotNull Instant startedAt,
      @Initials String hand,
      Degreeing.@Nullable Way way,
      @Nullable @Size(max = 4) List<@NotNull Double> heightsIn,
      @Nullable Boolean pointerMoved,
      PistonToValve.@Nullable School school,
      @Nullable @DecimalMin("0.01") @DecimalMax("5") Double travelIn,
      @Nullable @DecimalMin("0") @DecimalMax("0.2") Double lashIntakeIn,
      @Nullable @DecimalMin("0") @DecimalMax("0.2") Double lashExhaustIn,
      @Nullable HeatState state,
      @Nullable @Size(max = 400, message = "400 letters at most") String note) {}

  /**
   * A sitting as kept: with the engine as it was, for a cam or a ratio may change later.
   *
   * @param engine its sheet when the sitting began
   */
  public record SittingKept(SittingSheet sitting, EngineSheet engine) {}

  /** Where the dial of a lift table stood. */
  public enum DialOn {
    LOBE,
    VALVE
  }

  /**
   * A lift table as kept: one lobe.
   *
   * @param valve whose lobe it is
   * @param perLobe lift of the dial for one of the lobe: the rocker ratio of that day, or 1
   * @param camDegrees its angles are cam degrees: each counts twice at the crank
   * @param design what the maker meant, not what was measured
   * @param crankDeg angles, as measured and turned into crank degrees
   * @param dialIn readings, inch
   */
  public record LobeTableSheet(
      @NotNull UUID engineId,
      @NotBlank(message = "give the table a name") @Size(max = 60, message = "60 letters at most")
          String name,
      @NotBlank(message = "say whose lobe it is: 1I") @Size(max = 8) String valve,
      @NotNull DialOn on,
      double perLobe,
      boolean camDegrees,
      boolean design,
      @Hours double engineHours,
      @NotNull @Size(max = 4001) List<@NotNull Double> crankDeg,
      @NotNull @Size(max = 4001) List<@NotNull Double> dialIn,
      @Nullable Boolean removed) {}

  /**
   * Another cam to hold beside this one.
   *
   * @param hydraulic made for hydraulic lifters
   * @param wasIn it was in this engine until these hours; blank for one that is only thought of
   */
  public record OtherCamSheet(
      @NotNull UUID engineId,
      @NotBlank(message = "give the cam a name") @Size(max = 60, message = "60 letters at most")
          String name,
      boolean hydraulic,
      EngineSheet.@NotNull CamSheet cam,
      @Hours @Nullable Double wasIn,
      @Nullable Boolean removed) {}
}
