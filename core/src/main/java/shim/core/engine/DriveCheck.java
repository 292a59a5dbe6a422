package shim.core.engine;

import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import shim.core.engine.EngineSheet.DriveSheet;
import shim.core.unit.Units;

/** Reads the valve drive of a sheet. */
final class DriveCheck {
  private static final double RATIO_LOW = 0.8;
  private static final double RATIO_HIGH = 2.5;
  private final Problems problems;

  DriveCheck(Problems problems) {
    this.problems = problems;
  }

  /**
   * @param preloadRuled a class rule asks for preload above zero
   */
  Optional<Engine.Drive> read(@Nullable DriveSheet sheet, boolean preloadRuled) {
    if (sheet == null || sheet.lifter() == null) {
      problems.missing("drive.lifter", "choose what kind of lifter it has");
      return Optional.empty();
    }
    Lifter lifter = sheet.lifter();
    boolean bucket = lifter == Lifter.BUCKET;
    Adjuster adjuster = bucket ? Adjuster.BUCKET_SHIM : sheet.adjuster();
    if (adjuster == null) {
      problems.missing("drive.adjuster", "choose where the lash is adjusted");
      return Optional.empty();
    }
    if (!bucket && adjuster == Adjuster.BUCKET_SHIM) {
      problems.refuse("drive.adjuster", "a bucket shim goes with a bucket, not with a rocker");
    }
    if (lifter.hydraulic() && adjuster == Adjuster.SCREW_VALVE_END) {
      problems.ask(
          "drive.adjuster", "a hydraulic lifter under a screw at the valve end is unusual: right?");
    }
    Optional<Double> intake = bucket ? Optional.of(1.0) : ratio("Intake", sheet.ratioIntake());
    Optional<Double> exhaust =
        bucket
            ? Optional.of(1.0)
            : sheet.ratioExhaust() == null ? intake : ratio("Exhaust", sheet.ratioExhaust());
    AdjusterThread thread = thread(sheet, adjuster);
    Optional<PreloadSpec> preload =
        lifter.hydraulic()
            ? new PreloadCheck(problems, sheet, preloadRuled).read(adjuster)
            : Optional.empty();
    List<Double> parts = parts(sheet, adjuster);
    part("drive.partIntakeIn", sheet.partIntakeIn(), adjuster);
    part("drive.partExhaustIn", sheet.partExhaustIn(), adjuster);
    if (intake.isEmpty() || exhaust.isEmpty()) {
      return Optional.empty();
    }
    Rocker rocker = bucket || sheet.rocker() == null ? Rocker.NONE : sheet.rocker();
    return Optional.of(
        new Engine.Drive(
            lifter,
            rocker,
            intake.get(),
            exhaust.get(),
            adjuster,
            thread,
            sheet.plungerTravelIn(),
            preload.orElse(null),
            parts,
            sheet.partIntakeIn(),
            sheet.partExhaustIn()));
  }

  private Optional<Double> ratio(String kind, @Nullable Double value) {
    String field = "drive.ratio" + kind;
    if (value != null && !(value >= RATIO_LOW && value <= RATIO_HIGH)) {
      double tenth = value / 10;
      String guess =
          tenth >= RATIO_LOW && tenth <= RATIO_HIGH
              ? String.format(": did you mean %s?", Problems.text(tenth))
              : String.format(
                  ": %s to %s is possible", Problems.text(RATIO_LOW), Problems.text(RATIO_HIGH));
      problems.refuse(field, "a rocker ratio of %s cannot be%s", Problems.text(value), guess);
      return Optional.empty();
    }
    return problems.number(field, value, "the rocker ratio", RATIO_LOW, RATIO_HIGH, "to 1");
  }

  private @Nullable AdjusterThread thread(DriveSheet sheet, Adjuster adjuster) {
    if (!adjuster.turned()) {
      return null;
    }
    if (sheet.thread() == null || sheet.thread().isBlank()) {
      problems.missing(
          "drive.thread", "write the adjuster's thread, such as 3/8-24, M8x1 or a pitch 1.0 mm");
      return null;
    }
    Optional<AdjusterThread> thread = AdjusterThread.parse(sheet.thread());
    if (thread.isEmpty()) {
      problems.refuse(
          "drive.thread",
          "\"%s\" is no thread: write 3/8-24, 7/16-20, M8x1, or a pitch such as 1.0 mm",
          sheet.thread());
    }
    return thread.orElse(null);
  }

  private List<Double> parts(DriveSheet sheet, Adjuster adjuster) {
    if (adjuster.turned()) {
      return List.of();
    }
    List<Double> sizes =
        problems.numbers("drive.partsIn", sheet.partsIn(), "the sizes").orElse(List.of());
    for (double s : sizes) {
      part("drive.partsIn", s, adjuster);
    }
    return sizes;
  }

  private void part(String field, @Nullable Double size, Adjuster adjuster) {
    if (size == null || adjuster.turned()) {
      return;
    }
    boolean pushrod = adjuster == Adjuster.PUSHROD_LENGTH;
    double low = pushrod ? 2 : 0;
    double high = pushrod ? 16 : 0.4;
    if (!(size >= low && size <= high)) {
      problems.refuse(
          field,
          "{%s in} is no %s%s",
          Problems.text(size),
          pushrod ? "pushrod length" : "shim",
          size > high ? String.format(": %s mm is {%.4f in}", Problems.text(size), mm(size)) : "");
    }
  }

  private static double mm(double size) {
    return size / Units.MM_PER_INCH;
  }
}
