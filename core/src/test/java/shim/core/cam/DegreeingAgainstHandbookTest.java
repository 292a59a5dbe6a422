package shim.core.cam;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import shim.core.Engines;
import shim.core.cam.Centreline.Pair;
import shim.core.cam.Installed.Verdict;
import shim.core.crank.CamTiming;
import shim.core.engine.CamCard;
import shim.core.engine.ValveKind;

/** Worked values of the trade and geometry; common practice, no source, unless a test says else. */
class DegreeingAgainstHandbookTest {
  private static final CamCard CARD = Engines.camCard(290, 106, 114);

  private static Installed at(double icl, double ecl) {
    return new Installed(Optional.of(icl), Optional.of(ecl));
  }

  /** 28.5 before and 31.0 after: the zero stands 1.25 early. */
  @Test
  void tdcIsHalfwayBetweenTheStops() {
    TrueTdc tdc = new TrueTdc(28.5, 31.0);
    assertThat(tdc.standsAtDeg()).isEqualTo(1.25);
    assertThat(tdc.trueDeg(107.5)).isEqualTo(106.25);
    assertThat(new TrueTdc(30, 30).trueDeg(12)).isEqualTo(12);
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, -1, 120.001, 1e300, Double.NaN, Double.POSITIVE_INFINITY})
  void aStopThatCannotBeIsRefused(double bad) {
    assertThatThrownBy(() -> new TrueTdc(bad, 30)).hasMessageContaining("each side");
    assertThatThrownBy(() -> new TrueTdc(30, bad)).hasMessageContaining("each side");
    assertThat(new TrueTdc(120, 120).standsAtDeg()).isZero();
  }

  /** 61 and 154 give 107.5. */
  @Test
  void theCentreIsHalfwayBetweenEqualLifts() {
    Centreline one = new Centreline(List.of(new Pair(0.050, 61, 154)));
    assertThat(one.atdcDeg()).isEqualTo(107.5);
    assertThat(one.agree()).isTrue();
    Centreline two = new Centreline(List.of(new Pair(0.050, 61, 154), new Pair(0.100, 41, 176)));
    assertThat(two.apartDeg()).isEqualTo(1);
    assertThat(two.agree()).as("1 is not over 1").isTrue();
    assertThat(two.atdcDeg()).isEqualTo(108);
    assertThat(
            new Centreline(List.of(new Pair(0.050, 61, 154), new Pair(0.100, 41, 176.1))).agree())
        .isFalse();
  }

  @Test
  void readingsTheWrongWayRoundAreRefused() {
    assertThatThrownBy(() -> new Pair(0.05, 154, 61)).hasMessageContaining("comes after");
    assertThatThrownBy(() -> new Pair(0.05, 61, 61)).hasMessageContaining("comes after");
    assertThatThrownBy(() -> new Pair(0.05, Double.NaN, 61)).hasMessageContaining("comes after");
    assertThatThrownBy(() -> new Pair(0.05, 61, 360)).hasMessageContaining("comes after");
    for (double bad : new double[] {0, 1, Double.NaN, 1e300}) {
      assertThatThrownBy(() -> new Pair(bad, 61, 154)).hasMessageContaining("no height");
    }
    assertThatThrownBy(() -> new Centreline(List.of())).hasMessageContaining("each side");
  }

  /** 107.5 against a card of 106 is 1.5 late: usually left alone. */
  @Test
  void lateAndEarlyInCrankDegrees() {
    Installed found = at(107.5, 112.5);
    assertThat(found.lateDeg(CARD, ValveKind.INTAKE)).contains(1.5);
    assertThat(found.lateDeg(CARD, ValveKind.EXHAUST)).contains(1.5);
    assertThat(found.lateDeg(CARD)).isEqualTo(1.5);
    assertThat(found.lsaDeg()).contains(110.0);
    assertThat(found.advanceDeg()).contains(2.5);
    assertThat(found.verdict(CARD)).isEqualTo(Verdict.LEAVE);
    assertThat(at(108, 112).verdict(CARD)).as("2 is within 2").isEqualTo(Verdict.LEAVE);
    assertThat(at(108.1, 111.9).verdict(CARD)).isEqualTo(Verdict.MOVE);
    assertThat(at(103.9, 116.1).verdict(CARD)).isEqualTo(Verdict.MOVE);
    assertThat(at(107, 115).verdict(CARD)).as("1 late, 1 early").isEqualTo(Verdict.LEAVE);
    assertThat(at(107.1, 115).verdict(CARD)).isEqualTo(Verdict.LOBES_DIFFER);
  }

  @Test
  void oneLobeIsEnoughToSayHowLateItStands() {
    Installed intake = new Installed(Optional.of(107.5), Optional.empty());
    assertThat(intake.lateDeg(CARD)).isEqualTo(1.5);
    assertThat(intake.lsaDeg()).isEmpty();
    assertThat(intake.timing(CARD).ivoBtdcDeg()).isEqualTo(290 / 2.0 - 107.5);
    assertThat(intake.timing(CARD).evcAtdcDeg()).as("by its mate").isEqualTo(290 / 2.0 - 112.5);
    assertThat(new Installed(Optional.empty(), Optional.of(112.5)).lateDeg(CARD)).isEqualTo(1.5);
    assertThatThrownBy(() -> new Installed(Optional.empty(), Optional.empty()))
        .hasMessageContaining("neither");
    for (double bad : new double[] {59.9, 160.1, Double.NaN, 1e300}) {
      assertThatThrownBy(() -> at(bad, 112)).hasMessageContaining("intake centre");
      assertThatThrownBy(() -> at(106, bad)).hasMessageContaining("exhaust centre");
    }
  }

  /** Events, centrelines and LSA say the same thing in turn. */
  @ParameterizedTest
  @CsvSource({"218, 106, 114", "290, 104.5, 113", "252, 110, 110", "244, 98, 122.5"})
  void eventsAndCentresGoRoundToThemselves(double duration, double icl, double ecl) {
    CamTiming t = CamTiming.of(Engines.camCard(duration, icl, ecl));
    Installed back =
        Installed.ofEvents(t.ivoBtdcDeg(), t.ivcAbdcDeg(), t.evoBbdcDeg(), t.evcAtdcDeg());
    assertThat(back.iclDeg().orElseThrow()).isCloseTo(icl, within(1e-9));
    assertThat(back.eclDeg().orElseThrow()).isCloseTo(ecl, within(1e-9));
    assertThat(back.lsaDeg().orElseThrow()).isCloseTo(t.lsaDeg(), within(1e-9));
    assertThat(back.advanceDeg().orElseThrow()).isCloseTo(t.advanceDeg(), within(1e-9));
  }

  /** 110 LSA put in at 106 is 4 advanced; turned on by 4 more it stands at 102 and 118. */
  @Test
  void advancingMovesBothLobesEarlier() {
    Installed then = at(106, 114).advanced(4);
    assertThat(then).isEqualTo(at(102, 118));
    assertThat(then.advanceDeg()).contains(8.0);
    assertThat(then.timing(CARD).ivcAbdcDeg())
        .isEqualTo(at(106, 114).timing(CARD).ivcAbdcDeg() - 4);
  }

  @Test
  void theDriveIsOfferedBestFirst() {
    List<CamDrive.Correction> keys = CamDrive.keyways().corrections(at(107.5, 112.5), CARD, 0);
    assertThat(keys).extracting(CamDrive.Correction::mark).containsExactly(0.0, 4.0, -4.0);
    assertThat(keys).extracting(CamDrive.Correction::offDeg).containsExactly(1.5, -2.5, 5.5);
    List<CamDrive.Correction> gear = CamDrive.gear(8).corrections(at(107.5, 112.5), CARD, 0);
    assertThat(gear).hasSize(9);
    assertThat(gear.get(0).mark()).isEqualTo(2);
    assertThat(gear.get(0).then()).isEqualTo(at(105.5, 114.5));
    assertThat(CamDrive.gear(8).corrections(at(107.5, 112.5), CARD, 4).get(0).mark())
        .as("wanted 4 earlier than the card")
        .isEqualTo(6);
    assertThat(CamDrive.gear(8).corrections(at(107, 113), CARD, 0).get(0).mark())
        .as("of two as near, the smaller move")
        .isZero();
  }

  /** A drive marked in cam degrees: one mark is two at the crank. */
  @Test
  void camDegreesCountTwice() {
    CamDrive vernier = CamDrive.stepped(5, 0.5, CamDrive.Marked.CAM);
    CamDrive.Correction best = vernier.corrections(at(109, 111), CARD, 0).get(0);
    assertThat(best.mark()).isEqualTo(1.5);
    assertThat(best.crankDeg()).isEqualTo(3);
    assertThat(best.offDeg()).isZero();
    assertThat(vernier.offers()).hasSize(21);
    assertThatThrownBy(() -> new CamDrive(List.of(15.1), CamDrive.Marked.CAM))
        .hasMessageContaining("30 crank degrees");
    assertThat(new CamDrive(List.of(15.0), CamDrive.Marked.CAM).offers()).hasSize(1);
    assertThatThrownBy(() -> new CamDrive(List.of(Double.NaN), CamDrive.Marked.CRANK))
        .hasMessageContaining("30 crank degrees");
    assertThatThrownBy(() -> new CamDrive(List.of(), CamDrive.Marked.CRANK))
        .hasMessageContaining("1 to 200");
    for (double bad : new double[] {0, -1, Double.NaN, 1e-300}) {
      assertThatThrownBy(() -> CamDrive.stepped(4, bad, CamDrive.Marked.CRANK))
          .hasMessageContaining("no drive");
    }
  }

  /** 0.0065 an inch of a 4.000 bore is 0.026; gaps 0.003 apart are a taper of 0.00095. */
  @Test
  void ringGaps() {
    assertThat(RingGap.wantedIn(4.000, 0.0065)).isCloseTo(0.026, within(1e-9));
    assertThat(RingGap.taperIn(0.029, 0.026)).isCloseTo(0.00095, within(5e-6));
    assertThat(RingGap.taperIn(0.026, 0.029)).isNegative();
    for (double bad : new double[] {0, -1, Double.NaN, 1e300}) {
      assertThatThrownBy(() -> RingGap.wantedIn(bad, 0.0065)).hasMessageContaining("cannot be");
      assertThatThrownBy(() -> RingGap.wantedIn(4, bad)).hasMessageContaining("cannot be");
      assertThatThrownBy(() -> RingGap.taperIn(bad, 0.02)).hasMessageContaining("cannot be");
      assertThatThrownBy(() -> RingGap.taperIn(0.02, bad)).hasMessageContaining("cannot be");
    }
  }
}
