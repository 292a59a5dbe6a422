package shim.core.engine;

import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import shim.core.engine.EngineSheet.DriveSheet;
import shim.core.engine.EngineSheet.PreloadSheet;
import shim.core.unit.Figures;

/** Reads the preload of hydraulic lifters from a sheet. */
final class PreloadCheck {
  private static final String TURNS = "drive.preloadTurns";
  private static final String FROM = "drive.preload.fromIn";
  private static final String TO = "drive.preload.toIn";
  private static final PreloadSheet BLANK =
      new PreloadSheet(null, null, null, null, null, null, null, null);

  private final Problems problems;
  private final DriveSheet drive;
  private final PreloadSheet sheet;
  private final boolean ruled;

  /**
   * @param ruled a class rule asks for preload above zero
   */
  PreloadCheck(Problems problems, DriveSheet drive, boolean ruled) {
    this.problems = problems;
    this.drive = drive;
    this.sheet = drive.preload() == null ? BLANK : drive.preload();
    this.ruled = ruled;
  }

  Optional<PreloadSpec> read(Adjuster adjuster) {
    Optional<Double> travel =
        problems.number(
            "drive.plungerTravelIn",
            drive.plungerTravelIn(),
            "the plunger travel",
            0.01,
            0.25,
            "in");
    if (adjuster.turned()) {
      return turns();
    }
    if (adjuster == Adjuster.PEDESTAL_SHIM) {
      pushrod("Intake", sheet.pushrodIntakeIn());
      pushrod("Exhaust", sheet.pushrodExhaustIn());
    }
    return travel.flatMap(this::lengths);
  }

  private Optional<PreloadSpec> turns() {
    Optional<Double> wanted =
        problems.number(TURNS, drive.preloadTurns(), "the preload in turns", 0, 4, "turns");
    Optional<Double> upTo =
        problems.optional(
            "drive.preload.toTurns", sheet.toTurns(), "the most preload", 0, 4, "turns");
    double tolerance =
        problems
            .optional(
                "drive.preload.toleranceTurns",
                sheet.toleranceTurns(),
                "a tolerance in turns",
                0.01,
                1,
                "turns")
            .orElse(PreloadSpec.USUAL_TOLERANCE_TURNS);
    if (wanted.isEmpty()) {
      return Optional.empty();
    }
    double from = wanted.get();
    refuseZero(TURNS, from);
    if (upTo.isPresent() && upTo.get() < from) {
      problems.refuse(
          "drive.preload.toTurns",
          "the most preload is less than the %s turns it begins at",
          Problems.text(from));
    }
    return Optional.of(
        upTo.map(to -> spec(PreloadSpec.Unit.TURNS, from, to, (from + to) / 2, from > 0))
            .orElseGet(
                () ->
                    spec(
                        PreloadSpec.Unit.TURNS,
                        Math.max(0, from - tolerance),
                        from + tolerance,
                        from,
                        from > 0)));
  }

  private Optional<PreloadSpec> lengths(double travelIn) {
    double usualFrom = PreloadSpec.USUAL_FROM * travelIn;
    double usualTo = PreloadSpec.USUAL_TO * travelIn;
    Optional<Double> from = problems.optional(FROM, sheet.fromIn(), "a preload", 0, 0.25, "in");
    Optional<Double> to = problems.optional(TO, sheet.toIn(), "a preload", 0, 0.25, "in");
    if (sheet.fromIn() == null || sheet.toIn() == null) {
      problems.ask(
          sheet.fromIn() == null ? FROM : TO,
          "nothing turns here, so preload is a length: write from and to of the plunger's travel;"
              + " until then {%s in} to {%s in} serves, the middle half of it",
          Problems.text(usualFrom),
          Problems.text(usualTo));
    }
    double low = from.orElse(usualFrom);
    double high = to.orElse(Math.max(low, usualTo));
    from.ifPresent(f -> refuseZero(FROM, f));
    from.ifPresent(f -> refuseEnd(FROM, f, travelIn));
    to.ifPresent(t -> refuseEnd(TO, t, travelIn));
    if (from.isPresent() && to.isPresent() && high < low) {
      problems.refuse(
          TO, "the most preload is less than the {%s in} it begins at", Problems.text(low));
    }
    return Optional.of(spec(PreloadSpec.Unit.INCH, low, high, (low + high) / 2, low > 0));
  }

  private void refuseEnd(String field, double wanted, double travelIn) {
    if (Figures.atLeast(wanted, travelIn)) {
      problems.refuse(
          field,
          "{%s in} is the plunger's end: it has {%s in}",
          Problems.text(wanted),
          Problems.text(travelIn));
    }
  }

  private void refuseZero(String field, double wanted) {
    if (ruled && wanted == 0) {
      problems.refuse(field, "the class rule asks for preload above zero");
    }
  }

  private void pushrod(String kind, @Nullable Double lengthIn) {
    String field = "drive.preload.pushrod" + kind + "In";
    Optional<Double> read = problems.optional(field, lengthIn, "a pushrod", 2, 16, "in");
    if (read.isEmpty() && lengthIn == null) {
      problems.ask(
          field,
          "write down the length of the %s pushrods: preload is reckoned from it",
          kind.toLowerCase(Locale.ROOT));
    }
  }

  private PreloadSpec spec(
      PreloadSpec.Unit unit, double from, double to, double aim, boolean aboveZero) {
    return new PreloadSpec(
        unit,
        from,
        to,
        aim,
        sheet.use(),
        Objects.requireNonNullElse(sheet.source(), "").isBlank() ? null : sheet.source(),
        aboveZero || ruled,
        ruled,
        sheet.pushrodIntakeIn(),
        sheet.pushrodExhaustIn());
  }
}
