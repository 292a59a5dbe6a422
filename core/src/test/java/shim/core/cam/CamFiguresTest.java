package shim.core.cam;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import shim.core.Engines;
import shim.core.crank.CrankModel;
import shim.core.crank.ValveWindow;
import shim.core.engine.CamCard;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet;
import shim.core.engine.EngineSheet.CamBench;
import shim.core.engine.EngineSheet.LobeSheet;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.engine.SheetCheck;
import shim.core.engine.ValveKind;
import shim.core.lash.Growth;
import shim.core.lash.LashTarget;
import shim.core.lobe.Lobes;

/** What a measured lobe changes everywhere, and a cam's figures with and without one. */
class CamFiguresTest {
  /** Opens 150 before its centre, closes 160 after it. */
  private static final DoubleUnaryOperator LOPSIDED =
      a -> Lobes.polynomial(0.400, a < 0 ? 150 : 160).applyAsDouble(a);

  static LobeSheet lobeSheet(DoubleUnaryOperator lobe) {
    return new LobeSheet(
        "1I",
        "own dial",
        -180.0,
        2.0,
        IntStream.rangeClosed(0, 180).mapToObj(i -> lobe.applyAsDouble(-180 + 2 * i)).toList(),
        3.0);
  }

  private static EngineSheet with(CamBench bench) {
    return Engines.with(Engines.sheet("inline-4"), Engines.cam().withBench(bench));
  }

  private static final Engine CARD = Engines.engine(with(null));
  private static final Engine MEASURED =
      Engines.engine(with(new CamBench(lobeSheet(LOPSIDED), null, null, null)));

  private static double away(double half, double liftIn) {
    return half * Math.sqrt(1 - Math.cbrt(liftIn / 0.400));
  }

  @Test
  void theFreeWindowIsWhereTheMeasuredLobeLeavesItsBaseCircle() {
    Position one = new Position(1, ValveKind.INTAKE, 0);
    ValveWindow w = CrankModel.of(MEASURED).orElseThrow().window(one);
    double centre = 360 + 106;
    assertThat(w.opensDeg()).isCloseTo(centre - away(150, 0.001), within(0.2));
    assertThat(w.closesDeg()).isCloseTo(centre + away(160, 0.001), within(0.2));
    assertThat(w.marginDeg()).as("a step of the table").isEqualTo(3);
    ValveWindow card = CrankModel.of(CARD).orElseThrow().window(one);
    assertThat(card.opensDeg()).isEqualTo(centre - 145);
    assertThat(card.marginDeg()).isEqualTo(15);
    Position exhaust = new Position(1, ValveKind.EXHAUST, 0);
    assertThat(CrankModel.of(MEASURED).orElseThrow().window(exhaust))
        .as("no lobe was measured there")
        .isEqualTo(CrankModel.of(CARD).orElseThrow().window(exhaust));
  }

  @Test
  void theValveReallyMovesAsMeasuredNotInARange() {
    CamFigures f = CamFigures.of(MEASURED).orElseThrow();
    double tappet = 0.018 / MEASURED.drive().ratio(ValveKind.INTAKE);
    double opens = away(150, tappet);
    double closes = away(160, tappet);
    assertThat(f.intake().measured()).isTrue();
    assertThat(f.intake().movingDeg().mid()).isCloseTo(opens + closes, within(0.2));
    assertThat(f.intake().movingDeg().low()).isEqualTo(f.intake().movingDeg().high());
    assertThat(f.intake().opensDeg().mid()).isCloseTo(opens - 106, within(0.2));
    assertThat(f.intake().closesDeg().mid()).isCloseTo(closes + 106 - 180, within(0.2));
    assertThat(f.intake().at050Deg().orElseThrow())
        .isCloseTo(away(150, 0.050) + away(160, 0.050), within(0.2));
    assertThat(f.card().ivoBtdcDeg())
        .as("at the card's 0.006")
        .isCloseTo(away(150, 0.006) - 106, within(0.2));
    assertThat(f.exhaust().measured()).isFalse();
  }

  /** D 290 at 0.006, 250 at 0.050; lash/r 0.01125 lies between: 285.2; ICL 106. */
  @Test
  void aCardsFiguresOnThisEngine() {
    CamFigures f = CamFigures.of(CARD).orElseThrow();
    double tappet = 0.018 / 1.6;
    double d = 290 - 40 * (tappet - 0.006) / 0.044;
    assertThat(CARD.drive().ratio(ValveKind.INTAKE)).isEqualTo(1.6);
    assertThat(f.intake().grossIn()).isCloseTo(0.64, within(1e-9));
    assertThat(f.intake().netIn()).isCloseTo(0.622, within(1e-9));
    assertThat(f.intake().movingDeg().mid()).isCloseTo(d, within(1e-9));
    assertThat(f.intake().opensDeg().mid()).isCloseTo(d / 2 - 106, within(1e-9));
    assertThat(f.intake().closesDeg().mid()).isCloseTo(d / 2 + 106 - 180, within(1e-9));
    double ex = 290 - 40 * (0.020 / CARD.drive().ratio(ValveKind.EXHAUST) - 0.006) / 0.044;
    assertThat(f.exhaust().opensDeg().mid()).isCloseTo(ex / 2 + 114 - 180, within(1e-9));
    assertThat(f.exhaust().closesDeg().mid()).isCloseTo(ex / 2 - 114, within(1e-9));
    assertThat(f.overlapDeg().orElseThrow().mid())
        .isCloseTo(d / 2 - 106 + ex / 2 - 114, within(1e-9));
    assertThat(f.intake().at050Deg()).contains(250.0);
    assertThat(f.lsaDeg()).isEqualTo(110);
    assertThat(f.advanceDeg()).isEqualTo(4);
    Bounds area = f.intake().areaInDeg();
    assertThat(area.low()).isLessThan(area.mid());
    assertThat(area.high()).isGreaterThan(area.mid());
  }

  /** A 0.050 card alone bounds nothing below it: no overlap is made up. */
  @Test
  void whatNothingBoundsIsMissing() {
    CamCard coarse =
        new CamCard(
            new CamCard.Lobe(ValveKind.INTAKE, 0.4, List.of(new CamCard.Duration(0.05, 250)), 106),
            new CamCard.Lobe(
                ValveKind.EXHAUST, 0.4, List.of(new CamCard.Duration(0.05, 250)), 114));
    CamFigures f = CamFigures.of(CARD, coarse, 0);
    assertThat(f.overlapDeg()).isEmpty();
    assertThat(f.intake().movingDeg().low()).isEqualTo(250);
    assertThat(f.intake().movingDeg().high()).isInfinite();
    assertThat(f.intake().movingDeg().mid()).isEqualTo(250);
  }

  @Test
  void tighterLashGainsLiftAndDurationDownToTheFloor() {
    LashTuning tuning = LashTuning.of(CARD).orElseThrow();
    assertThat(tuning.rows()).hasSize(5);
    assertThat(tuning.rows().get(4).intakeIn()).isCloseTo(0.014, within(1e-12));
    assertThat(tuning.rows().get(4).exhaustIn()).isCloseTo(0.016, within(1e-12));
    for (int i = 1; i < 5; i++) {
      CamFigures looser = tuning.rows().get(i - 1).figures();
      CamFigures tighter = tuning.rows().get(i).figures();
      assertThat(tighter.intake().netIn() - looser.intake().netIn())
          .isCloseTo(0.001, within(1e-12));
      assertThat(tighter.intake().movingDeg().mid())
          .isGreaterThan(looser.intake().movingDeg().mid());
      assertThat(tighter.overlapDeg().orElseThrow().mid())
          .isGreaterThan(looser.overlapDeg().orElseThrow().mid());
    }
  }

  @Test
  void whyThereIsNoTuning() {
    Engine noCard =
        new Engine(
            CARD.name(), CARD.layout(), CARD.drive(), Optional.empty(), CARD.lash(), CARD.rules());
    assertThat(LashTuning.why(noCard)).contains(LashTuning.None.NO_CARD);
    Engine noFloor =
        new Engine(
            CARD.name(),
            CARD.layout(),
            CARD.drive(),
            CARD.cam(),
            new Engine.LashSpec(0.018, 0.020, 0.014, null, HeatState.HOT),
            CARD.rules());
    assertThat(LashTuning.why(noFloor)).contains(LashTuning.None.NO_FLOOR);
    assertThat(LashTuning.of(noFloor)).isEmpty();
    assertThat(LashTuning.why(CARD)).isEmpty();
  }

  /** The team's own lash is what is wanted; the card's stays on the sheet. */
  @Test
  void theTeamsOwnLashIsAskedForAndSaidToBe() {
    Engine own = Engines.engine(with(new CamBench(null, null, 0.015, null)));
    LashTarget in =
        LashTarget.of(own, ValveKind.INTAKE, HeatState.HOT, new Growth(Map.of()))
            .wanted()
            .orElseThrow();
    assertThat(in.targetIn()).isEqualTo(0.015);
    assertThat(in.from().code()).isEqualTo("TARGET.AS_TEAM");
    LashTarget ex =
        LashTarget.of(own, ValveKind.EXHAUST, HeatState.HOT, new Growth(Map.of()))
            .wanted()
            .orElseThrow();
    assertThat(ex.targetIn()).isEqualTo(0.020);
    assertThat(ex.from().code()).isEqualTo("TARGET.AS_CARD");
    assertThat(Engines.engine(with(new CamBench(null, null, 0.014, null))).lash().intakeIn())
        .as("0.014 is at the maker's lowest")
        .isEqualTo(0.014);
  }

  @ParameterizedTest
  @CsvSource({"0.0139", "0", "-0.01", "0.2", "NaN", "1e300"})
  void aLashBelowTheMakersLowestIsRefused(double lash) {
    assertThat(SheetCheck.check(with(new CamBench(null, null, lash, null))).problems())
        .anySatisfy(
            p -> {
              assertThat(p.field()).isEqualTo("cam.bench.teamLashIntakeIn");
              assertThat(p.message()).contains("cannot be chosen");
            });
  }

  @Test
  void aMeasuredLobeThatCannotBeIsRefusedByItsField() {
    LobeSheet good = lobeSheet(LOPSIDED);
    List<LobeSheet> bad =
        List.of(
            new LobeSheet("1I", null, null, 2.0, good.liftIn(), null),
            new LobeSheet("1I", null, -180.0, 0.0, good.liftIn(), null),
            new LobeSheet("1I", null, -180.0, Double.NaN, good.liftIn(), null),
            new LobeSheet("1I", null, -180.0, 1e300, good.liftIn(), null),
            new LobeSheet("1I", null, -180.0, 2.0, List.of(0.0, 0.1), null));
    for (LobeSheet b : bad) {
      assertThat(SheetCheck.check(with(new CamBench(null, b, null, null))).problems())
          .anySatisfy(p -> assertThat(p.field()).isEqualTo("cam.bench.exhaust"));
    }
  }
}
