package shim.core.lifter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import shim.core.drift.ValveDrift;
import shim.core.engine.Lifter;
import shim.core.lifter.Diagnosis.Suspect;

/** The table of rules: common practice, no source. What it must and must not conclude. */
class DiagnosisTest {
  private static Diagnosis of(Set<Symptom> symptoms, String... seen) {
    return Diagnosis.of(symptoms, Arrays.stream(seen).map(DiagnosisTest::seen).toList());
  }

  private static Diagnosis.Seen seen(String text) {
    String[] part = text.split("=");
    Look look = Look.valueOf(part[0]);
    return new Diagnosis.Seen(look, look.grade(part[1]).orElseThrow());
  }

  private static double share(Diagnosis d, Cause cause) {
    return d.causes().stream()
        .filter(s -> s.cause() == cause)
        .mapToDouble(Suspect::share)
        .findFirst()
        .orElse(0);
  }

  @Test
  void anOpeningLashIsLookedAtFromTheCheapestUp() {
    Diagnosis d = of(EnumSet.of(Symptom.OPENING));
    assertThat(d.causes().get(0).cause()).isEqualTo(Cause.LOBE);
    List<Look> looks = d.looks().stream().map(Diagnosis.NextLook::look).toList();
    assertThat(looks)
        .as("jam nut, pushrod tips, rocker, lift, lifter: domain order, common practice, no source")
        .containsSubsequence(Look.JAM_NUT, Look.PUSHROD, Look.LOBE_LIFT, Look.WHEEL)
        .contains(Look.ROCKER);
    assertThat(looks.stream().map(Look::minutes).toList()).isSorted();
    assertThat(share(d, Cause.SEAT)).isZero();
  }

  /** The issue's own words: a rough wheel is not the same as a short lobe. */
  @Test
  void aRoughWheelAndAShortLobeAreNotTheSame() {
    Diagnosis wheel = of(EnumSet.of(Symptom.OPENING), "WHEEL=rough", "LOBE_LIFT=full");
    Diagnosis lobe = of(EnumSet.of(Symptom.OPENING), "WHEEL=smooth", "LOBE_LIFT=short");
    assertThat(wheel.causes().get(0).cause()).isEqualTo(Cause.LIFTER);
    assertThat(lobe.causes().get(0).cause()).isEqualTo(Cause.LOBE);
    assertThat(lobe.causes().get(0).share()).isGreaterThan(0.8);
    assertThat(lobe.causes().get(0).saysFor()).anyMatch(w -> w.contains("lift missing"));
  }

  @Test
  void aSlippedNutFoundLooseExplainsAStep() {
    Diagnosis d = of(EnumSet.of(Symptom.STEP_OPEN), "JAM_NUT=moved");
    assertThat(d.causes().get(0).cause()).isEqualTo(Cause.JAM_NUT);
    Diagnosis tight = of(EnumSet.of(Symptom.STEP_OPEN), "JAM_NUT=tight");
    assertThat(tight.causes().stream().filter(s -> s.cause() == Cause.JAM_NUT))
        .allMatch(Suspect::ruledOut);
  }

  @Test
  void closingLashWithAGrownHeightIsTheSeatAndLocksNeverMoveLash() {
    Diagnosis d = of(EnumSet.of(Symptom.CLOSING), "SPRING_HEIGHT=grown");
    assertThat(d.causes().get(0).cause()).isEqualTo(Cause.SEAT);
    assertThat(d.causes().stream().filter(s -> s.cause() == Cause.LOCKS))
        .allMatch(Suspect::ruledOut);
  }

  @Test
  void afterAnOverRevAWideLashAsksForALeakDown() {
    Diagnosis d = of(EnumSet.of(Symptom.STEP_OPEN, Symptom.AFTER_OVER_REV));
    assertThat(d.causes().get(0).cause()).isEqualTo(Cause.PUSHROD_BENT);
    assertThat(d.looks()).extracting(Diagnosis.NextLook::look).contains(Look.SEAT_LEAK);
  }

  /** A solid lifter has no plunger; a flat tappet ticks while its lobe goes. */
  @Test
  void noiseWeighsTheKindOfLifter() {
    assertThat(ticks(Lifter.ROLLER_HYDRAULIC).causes().get(0).cause()).isEqualTo(Cause.PLUNGER);
    assertThat(ticks(Lifter.ROLLER_SOLID).causes())
        .filteredOn(s -> s.cause() == Cause.PLUNGER)
        .allMatch(Diagnosis.Suspect::ruledOut);
    assertThat(ticks(Lifter.ROLLER_SOLID).causes())
        .extracting(Diagnosis.Suspect::cause)
        .contains(Cause.JAM_NUT)
        .doesNotContain(Cause.LOBE);
    assertThat(ticks(Lifter.FLAT_SOLID).causes().get(0).cause()).isEqualTo(Cause.LOBE);
    assertThat(ticks(Lifter.BUCKET).causes())
        .extracting(Diagnosis.Suspect::cause)
        .doesNotContain(Cause.LOBE);
  }

  private static Diagnosis ticks(Lifter kind) {
    return Diagnosis.of(
        Symptom.at(kind, ValveDrift.Signal.STEADY, false, Optional.of(Level.WORN), false),
        List.of());
  }

  @Test
  void marksUnderARockerSpeakForTheLobe() {
    Diagnosis before = of(EnumSet.of(Symptom.OPENING));
    Diagnosis marked = of(EnumSet.of(Symptom.OPENING), "ROCKER_UNDERSIDE=marked");
    assertThat(marked.causes().get(0).cause()).isEqualTo(Cause.LOBE);
    assertThat(marked.causes().get(0).share()).isGreaterThan(before.causes().get(0).share());
  }

  @Test
  void aNoisyHydraulicLifter() {
    Diagnosis d = of(EnumSet.of(Symptom.NOISE), "LEAK_DOWN_TIME=drops");
    assertThat(d.causes().get(0).cause()).isEqualTo(Cause.PLUNGER);
    assertThat(
            of(EnumSet.of(Symptom.NOISE), "PLUNGER=firm", "GUIDE_GAP=touching")
                .causes()
                .get(0)
                .cause())
        .isEqualTo(Cause.GEOMETRY);
  }

  @Test
  void aSpringThatReadsLowWithAGrownHeightIsNotTheSpring() {
    Diagnosis d = of(EnumSet.of(Symptom.LOAD_LOW, Symptom.CLOSING), "SPRING_HEIGHT=grown");
    assertThat(d.causes().get(0).cause()).isEqualTo(Cause.SEAT);
    Diagnosis locks = of(EnumSet.of(Symptom.LOAD_LOW), "SPRING_HEIGHT=grown", "LOCKS=no gap");
    assertThat(locks.causes().get(0).cause()).isEqualTo(Cause.LOCKS);
  }

  @ParameterizedTest
  @EnumSource(Symptom.class)
  void sharesAreAWholeAndALookIsNeverAskedForTwice(Symptom symptom) {
    Diagnosis d =
        of(EnumSet.of(symptom, symptom.name().startsWith("NOISE_") ? Symptom.NOISE : symptom));
    assertThat(d.causes().stream().mapToDouble(Suspect::share).sum()).isCloseTo(1, within(1e-9));
    assertThat(d.causes()).allMatch(s -> s.ruledOut() || !s.saysFor().isEmpty());
    for (Diagnosis.NextLook next : d.looks()) {
      Grade first = next.look().grades().get(0);
      Diagnosis then =
          Diagnosis.of(Set.of(symptom), List.of(new Diagnosis.Seen(next.look(), first)));
      assertThat(then.looks()).extracting(Diagnosis.NextLook::look).doesNotContain(next.look());
      assertThat(next.tells()).isNotEmpty();
    }
  }

  @Test
  void debrisIsWeighedWithTheRest() {
    Diagnosis steel = of(EnumSet.of(Symptom.OPENING), "FILTER=magnetic flakes");
    Diagnosis bearing = of(EnumSet.of(Symptom.OPENING), "BEARING=flakes");
    assertThat(share(steel, Cause.LOBE))
        .isGreaterThan(share(of(EnumSet.of(Symptom.OPENING)), Cause.LOBE));
    assertThat(share(bearing, Cause.LOBE))
        .isLessThan(share(of(EnumSet.of(Symptom.OPENING)), Cause.LOBE));
  }

  @Test
  void aWornGuideThatDrinksOilBeatsItsSeat() {
    Diagnosis d =
        of(
            EnumSet.of(Symptom.CLOSING),
            "GUIDE_PLAY=worn",
            "OIL_USE=more",
            "SPRING_HEIGHT=unchanged");
    assertThat(d.causes().get(0).cause()).isEqualTo(Cause.GUIDE);
  }

  @Test
  void theLastFindingOfALookCounts() {
    Diagnosis d = of(EnumSet.of(Symptom.OPENING), "LOBE_LIFT=flat", "LOBE_LIFT=full");
    assertThat(share(d, Cause.LOBE))
        .isEqualTo(share(of(EnumSet.of(Symptom.OPENING), "LOBE_LIFT=full"), Cause.LOBE));
  }

  @Test
  void nothingKnownAsksNothing() {
    assertThat(of(EnumSet.noneOf(Symptom.class)).causes()).isEmpty();
  }

  /** The table itself: nothing unreadable, nothing twice, every cause can be found and refuted. */
  @Test
  void theTableIsWhole() {
    assertThat(Rules.ALL.stream().map(r -> r.cause() + "|" + r.symptom() + r.look() + r.grade()))
        .doesNotHaveDuplicates();
    assertThat(Rules.ALL).allMatch(r -> r.reason().length() > 3);
    assertThat(Rules.ALL.stream().filter(r -> r.look().isPresent()))
        .allMatch(r -> r.look().get().grade(r.grade()).isPresent());
    for (Cause c : Cause.values()) {
      assertThat(Rules.ALL).anyMatch(r -> r.cause() == c && r.weight() > 0);
      assertThat(Rules.ALL).anyMatch(r -> r.cause() == c && r.weight() < 0);
    }
    assertThat(Stream.of(Look.values()).filter(l -> l.grades().size() < 2)).isEmpty();
    assertThat(Stream.of(Look.values()).flatMap(l -> l.grades().stream()))
        .allMatch(g -> !g.means().isEmpty() && (g.level() == Level.GOOD || !g.todo().isEmpty()));
  }

  /**
   * Bounds are common practice, no source: over 0.005 short is worn, 0.040 or more a flat cam; a
   * pushrod has 0.005 and more on each side of its guide plate.
   */
  @ParameterizedTest
  @CsvSource({
    "LOBE_LIFT, 4.9, full",
    "LOBE_LIFT, 5, full",
    "LOBE_LIFT, 5.1, short",
    "LOBE_LIFT, 39.9, short",
    "LOBE_LIFT, 40, flat",
    "LOBE_LIFT, 41, flat",
    "GUIDE_GAP, 5, even",
    "GUIDE_GAP, 4.9, tight",
    "GUIDE_GAP, 3, tight",
    "GUIDE_GAP, 1, tight",
    "GUIDE_GAP, 0.9, touching",
    "GUIDE_GAP, 0, touching",
    "LEAK_DOWN_TIME, 25, holds",
    "LEAK_DOWN_TIME, 12, quick",
    "LEAK_DOWN_TIME, 3, drops",
    "LEAK_DOWN_TIME, 20, holds",
    "LEAK_DOWN_TIME, 10, quick",
    "SEAT_LEAK, 6, tight",
    "SEAT_LEAK, 15, leaks",
    "SEAT_LEAK, 40, leaks badly",
    "SEAT_LEAK, 10, tight",
    "SEAT_LEAK, 20, leaks",
    "SPRING_HEIGHT, 5, unchanged",
    "SPRING_HEIGHT, 15, grown",
    "SPRING_HEIGHT, 15.1, grown much"
  })
  void figuresAreGraded(Look look, double figure, String word) {
    assertThat(look.grade(figure)).get().extracting(Grade::word).isEqualTo(word);
  }

  /** Whatever the card, lift that is short by exactly a bound is at it, not a hair beside it. */
  @Test
  void aLiftShortByExactlyTheBoundIsAtIt() {
    for (int wantedThou = 200; wantedThou <= 700; wantedThou++) {
      for (int shortThou : new int[] {5, 40}) {
        double shortBy = (wantedThou / 1000.0 - (wantedThou - shortThou) / 1000.0) * 1000;
        assertThat(Look.LOBE_LIFT.grade(shortBy))
            .as("%d of %d thou", shortThou, wantedThou)
            .get()
            .extracting(Grade::word)
            .isEqualTo(shortThou == 5 ? "full" : "flat");
      }
    }
  }

  @Test
  void noFigureNoGrade() {
    assertThat(Look.LOBE_LIFT.grade(Double.NaN)).isEmpty();
    assertThat(Look.LOBE_LIFT.grade(Double.POSITIVE_INFINITY)).isEmpty();
    assertThat(Look.WHEEL.grade(3)).isEmpty();
    assertThat(Look.WHEEL.grade("Pitted ")).get().extracting(Grade::level).isEqualTo(Level.BAD);
  }
}
