package shim.app.cam;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import shim.app.cam.CamSheets.BenchSheet;
import shim.app.cam.CamSheets.OtherCamSheet;
import shim.app.cam.CamSheets.SittingSheet;
import shim.app.engine.LayoutView;
import shim.core.cam.CamMeasure;
import shim.core.cam.Installed;
import shim.core.cam.LashTuning;
import shim.core.cam.PistonToValve;
import shim.core.crank.CamTiming;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;

/** What the bench shows. Angles are crank degrees, lifts inch, where a name says nothing else. */
final class CamViews {
  private CamViews() {}

  /**
   * A figure with the bounds it lies within; no highest where nothing bounds it.
   *
   * @param mid best known
   */
  record BoundsView(double low, double mid, @Nullable Double high) {}

  /** A reading as it was taken. */
  record CamReadingView(
      UUID id,
      CamMeasure what,
      @Nullable Position valve,
      double at,
      double figure,
      boolean touched,
      String hand,
      Instant takenAt) {}

  /** A reading wanted, in working order; no figure until it is taken. */
  record CamWanted(CamMeasure what, double heightIn, @Nullable Double figure) {}

  /** One lobe's centre as found; {@code apartDeg} between its heights. */
  record CentreView(double deg, double apartDeg, boolean agree) {}

  /** Where the cam stands; late of the card in crank degrees, early negative. */
  record StandsView(
      @Nullable Double iclDeg,
      @Nullable Double eclDeg,
      @Nullable Double lsaDeg,
      @Nullable Double advanceDeg,
      @Nullable Double lateIntakeDeg,
      @Nullable Double lateExhaustDeg,
      double lateDeg,
      Installed.Verdict verdict,
      CamTiming timing) {}

  /** A step of the drive and what it would give; gaps where they are known. */
  record CorrectionView(
      double mark,
      double crankDeg,
      @Nullable Double iclDeg,
      @Nullable Double eclDeg,
      double offDeg,
      CamTiming timing,
      @Nullable Double leastIntakeIn,
      @Nullable Double leastExhaustIn) {}

  /**
   * A cam degreed.
   *
   * @param zeroStandsDeg true TDC on the wheel, after its zero; what the pointer is off
   * @param contradiction why the readings make no sense together, in words
   */
  record DegreeView(
      UUID id,
      SittingSheet sitting,
      List<CamReadingView> readings,
      List<CamWanted> wanted,
      @Nullable Double zeroStandsDeg,
      @Nullable CentreView intake,
      @Nullable CentreView exhaust,
      @Nullable StandsView stands,
      List<CorrectionView> corrections,
      @Nullable String contradiction) {}

  /**
   * A lift table as kept.
   *
   * @param differsIn most it differs in lift from the design of the same lobe, where there is one
   * @param lsaDeg separation from the same cylinder's other lobe, where both were read on one wheel
   * @param inUse it stands for all valves of its kind
   */
  record LobeView(
      UUID id,
      String name,
      Position valve,
      boolean design,
      double engineHours,
      LobeFigures figures,
      @Nullable Double differsIn,
      @Nullable Double lsaDeg,
      boolean inUse) {}

  /** Duration and the two angles of it, from the lobe's centre, at a tappet lift. */
  record DurationAt(double liftIn, double durationDeg, double opensDeg, double closesDeg) {}

  /** One angle of a lobe; bands are half widths. */
  record MotionView(
      double deg, double liftIn, double velocity, double acceleration, double accelerationBand) {}

  /**
   * What a table of one lobe says.
   *
   * @param lopsidedDeg middle at a tenth of the lift against the middle by the nose
   * @param noiseIn s.d. of one reading about the smooth lobe
   * @param motions every 4 degrees, inch and crank degrees
   */
  record LobeFigures(
      double liftIn,
      double runOutIn,
      boolean countedDown,
      double centreDeg,
      double lopsidedDeg,
      double areaInDeg,
      double noiseIn,
      double stepDeg,
      int rows,
      List<DurationAt> durations,
      List<MotionView> motions) {}

  /** One column of a table before it is kept; figures, or why it is not believed. */
  record ColumnSeen(
      String name, boolean mm, int rows, @Nullable LobeFigures figures, @Nullable String refused) {}

  record OtherCamView(UUID id, int version, OtherCamSheet other) {}

  /** A sitting in the list of those of its kind. */
  record SittingLine(UUID id, SittingSheet sitting, int readings) {}

  /** Lashes side by side, inch, in the card's state; blanks where there is none. */
  record LashesView(
      @Nullable Double cardIntakeIn,
      @Nullable Double cardExhaustIn,
      @Nullable Double teamIntakeIn,
      @Nullable Double teamExhaustIn,
      @Nullable Double floorIntakeIn,
      @Nullable Double floorExhaustIn,
      HeatState state) {}

  /** The room's first page. */
  record CamView(
      LayoutView layout,
      boolean hydraulic,
      double ratioIntake,
      double ratioExhaust,
      double engineHours,
      @Nullable String card,
      @Nullable CamTiming timing,
      @Nullable Double iclDeg,
      @Nullable Double eclDeg,
      Map<ValveKind, Double> lowestLiftIn,
      LashesView lashes,
      BenchSheet bench,
      @Nullable Integer benchVersion,
      Map<ValveKind, String> measuredOn,
      List<DegreeView> degreeings,
      List<LobeView> lobes,
      List<OtherCamView> others,
      List<SittingLine> clearances,
      List<SittingLine> pushrods) {}

  /** One lobe of a cam on this engine. */
  record LobeLineView(
      double lobeIn,
      double grossIn,
      double netIn,
      BoundsView movingDeg,
      BoundsView opensDeg,
      BoundsView closesDeg,
      BoundsView areaInDeg,
      boolean measured,
      @Nullable Double at050Deg) {}

  record CamFiguresView(
      LobeLineView intake,
      LobeLineView exhaust,
      @Nullable BoundsView overlapDeg,
      double lsaDeg,
      double iclDeg,
      double eclDeg,
      double advanceDeg,
      CamTiming card) {}

  /** Lift of both valves of a cylinder at an angle after gas-exchange TDC, and its piston. */
  record LiftsAt(
      double deg,
      double intakeLowIn,
      double intakeIn,
      double intakeHighIn,
      double exhaustLowIn,
      double exhaustIn,
      double exhaustHighIn,
      @Nullable Double pistonIn) {}

  /** What a cam wants of the springs and pistons here; blanks where nothing tells. */
  record CamWants(
      @Nullable Double bindIntakeIn,
      @Nullable Double bindExhaustIn,
      @Nullable Double openIntakeLbf,
      @Nullable Double openExhaustLbf,
      @Nullable Double sealIntakeIn,
      @Nullable Double sealExhaustIn,
      @Nullable Double gapIntakeIn,
      @Nullable Double gapExhaustIn) {}

  /**
   * A cam beside the others.
   *
   * @param otherId null for what is in the engine
   */
  record CamColumn(
      @Nullable UUID otherId,
      String name,
      boolean hydraulic,
      boolean measured,
      CamFiguresView figures,
      CamWants wants,
      List<LiftsAt> lifts) {}

  /**
   * Cams side by side.
   *
   * @param mixed solid and hydraulic ones stand together: not to be lined up at 0.050
   */
  record SideBySide(List<CamColumn> cams, boolean mixed) {}

  /** One lash of the slider; gaps where they are known. */
  record LashRow(
      double tighterIn,
      double intakeIn,
      double exhaustIn,
      CamFiguresView figures,
      @Nullable Double gapIntakeIn,
      @Nullable Double gapExhaustIn) {}

  record LashTuningView(
      LashTuning.@Nullable None why, LashesView lashes, double stepIn, List<LashRow> rows) {}

  /** The gap at one angle, inch. */
  record GapAt(double deg, double lowIn, double midIn, double highIn, @Nullable Double provesIn) {}

  /** The least gap at a valve; null limits where it was not measured. */
  record ValveGap(
      Position valve,
      List<CamReadingView> readings,
      @Nullable Double apartIn,
      boolean agree,
      boolean touched,
      double leastIn,
      double leastLowIn,
      double leastHighIn,
      double leastDeg,
      double wantedIn,
      PistonToValve.Margin margin,
      @Nullable Double radialIn,
      List<GapAt> curve) {}

  /**
   * Gaps of one sitting.
   *
   * @param missing what must be written down first
   * @param open valves of the engine nobody measured: nothing is proved there
   * @param byCard the lift is the card's range, no measured lobe
   * @param centreFrom true where the centres are those the cam was found to stand at
   */
  record ClearanceView(
      UUID id,
      SittingSheet sitting,
      List<String> missing,
      List<CamReadingView> readings,
      List<ValveGap> valves,
      List<Position> open,
      boolean byCard,
      boolean centreFrom,
      double advanceDeg,
      double tighterIn,
      @Nullable Double ratioIntake,
      @Nullable Double ratioExhaust,
      double raisesIn) {}

  /** One valve's rod. */
  record RodAt(
      Position valve,
      double zeroLashIn,
      double aimIn,
      double tolIn,
      @Nullable Double tipWidthIn,
      @Nullable Double tipOffsetIn,
      @Nullable Double narrowestIn,
      @Nullable Double rodOffIn) {}

  /** The best there is with so many lengths. */
  record RodChoice(
      List<Double> lengthsIn, Map<Position, Double> at, Map<Position, Double> oneOffs) {}

  record PushrodView(
      UUID id,
      SittingSheet sitting,
      List<CamReadingView> readings,
      List<Double> sizesIn,
      boolean hydraulic,
      boolean turned,
      List<RodAt> rods,
      List<Position> open,
      List<RodChoice> choices) {}

  /** Where a spring loses hold, and what it puts on the lobe. */
  record FloatsView(
      double lowRpm,
      double rpm,
      double highRpm,
      double atDeg,
      double liftIn,
      double loadLbf,
      double standingLbf,
      double atSpeedLbf) {}

  record MarginAt(double rpm, double lowLbf, double midLbf, double highLbf) {}

  /** A spring at its valve: what its loss costs. */
  record SpringFloats(
      Position valve, String mark, double lostRpm, FloatsView today, FloatsView next) {}

  /** A kind of spring in place of the fitted one, at its height. */
  record KindFloats(
      UUID typeId,
      String name,
      boolean fitted,
      boolean outerAlone,
      double heightIn,
      FloatsView floats,
      List<WireView> wires) {}

  /** One wire of a spring: Goodman's factor and surge over the cam's frequency at the top speed. */
  record WireView(int ring, @Nullable Double factor, @Nullable Double surgeRatio) {}

  /**
   * One kind of valve.
   *
   * @param missing what must be measured or written down first
   * @param boostLbf taken off by boost, lbf
   * @param fresh the fitted kind when new, today and at the end of the next event: the weakest
   */
  record FloatSide(
      ValveKind kind,
      List<String> missing,
      @Nullable String lobe,
      @Nullable Double massG,
      double boostLbf,
      @Nullable Double atMostRpm,
      @Nullable FloatsView fresh,
      @Nullable SpringFloats weakest,
      List<SpringFloats> springs,
      List<KindFloats> kinds,
      List<MarginAt> freshCurve,
      List<MarginAt> todayCurve,
      List<MarginAt> nextCurve) {}

  record FloatView(double topRpm, List<FloatSide> sides) {}
}
