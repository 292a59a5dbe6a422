package shim.core.spring;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import shim.core.Engines;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet;
import shim.core.engine.Lifter;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.spring.SpringChoice.Bare;
import shim.core.spring.SpringChoice.KindOf;
import shim.core.spring.SpringChoice.Ranked;
import shim.core.spring.SpringChoice.Verdict;
import shim.core.spring.SpringSheet.LoadPoint;
import shim.core.unit.Said;

/** Every kind tried with everything it can be had with; lifts of 0.640 intake, 0.600 exhaust. */
class SpringChoiceTest {
  private static final Engine V8 = Engines.engine(Engines.sheet("v8-odd-even"));
  private static final List<Double> SHIMS = List.of(0.015, 0.030, 0.060);

  private static SpringSheet sheet(String name, double heightIn, double bindIn, double odIn) {
    return new SpringSheet(
        name,
        SpringSheet.Form.SINGLE,
        null,
        List.of(new LoadPoint(heightIn, 220.0), new LoadPoint(heightIn - 0.65, 505.0)),
        null,
        null,
        bindIn,
        odIn,
        null,
        null,
        null,
        null,
        null);
  }

  private static KindOf kind(SpringSheet sheet, Kit kit, int stock, Double price) {
    return new KindOf(
        String.valueOf(sheet.name()),
        sheet,
        SpringCheck.check(sheet).type().orElseThrow(),
        kit,
        stock,
        price);
  }

  private static Bare bare(String valve, double heightIn, Double pocketIn, Double sealGapIn) {
    return new Bare(
        Position.parse(valve), heightIn, pocketIn, sealGapIn, new Kit.Stem(0.341, null));
  }

  private static SpringChoice.Asked asked(Engine engine) {
    return new SpringChoice.Asked(
        engine,
        FitLimits.USUAL,
        0.005,
        SHIMS,
        HeightPlan.School.FEWEST_PIECES,
        Map.of(),
        Map.of(),
        Map.of(
            ValveKind.EXHAUST,
            List.of(new WeakestLink.Limit(WeakestLink.Part.STUD, 560.0, null, null))),
        0);
  }

  private static Ranked judged(KindOf kind, Bare... head) {
    return SpringChoice.of(List.of(kind), List.of(head), asked(V8)).kinds().get(0);
  }

  private static List<String> codes(Ranked r) {
    return r.reasons().stream().map(SpringChoice.Against::said).map(Said::code).toList();
  }

  /** 1.966 less one shim of 0.015 is 1.951; 1.951 − 0.640 − 1.180 leaves 0.131 to bind. */
  @Test
  void aHeightIsReachedWithTheFewestPiecesAndJudgedThere() {
    Ranked r =
        judged(
            kind(sheet("A", 1.95, 1.18, 1.55), Kit.NONE, 16, null), bare("3I", 1.966, 1.556, 0.75));
    SpringChoice.AtValve at = r.at().get(0);
    assertThat(at.way().shimsIn()).containsExactly(0.015);
    assertThat(at.fit().heightIn()).isEqualTo(1.951);
    assertThat(at.fit().bindClearanceIn().orElseThrow())
        .isCloseTo(0.131, org.assertj.core.api.Assertions.within(1e-9));
    assertThat(r.verdict()).isEqualTo(Verdict.FITS);
  }

  @ParameterizedTest
  @CsvSource({
    "1.950, 1.290, 1.556, 0.75, FIT.NEAR_BIND",
    "1.950, 1.180, 1.549, 0.75, FIT.WIDER_THAN_POCKET",
    "1.950, 1.180, 1.556, 0.64, FIT.MEETS_SEAL",
    "2.200, 1.180, 1.556, 0.75, CHOICE.MUST_BE_CUT"
  })
  void whatSpeaksAgainstAKindIsSaidWithItsValves(
      double heightIn, double bindIn, double pocketIn, double sealIn, String code) {
    Ranked r =
        judged(
            kind(sheet("A", 1.95, bindIn, 1.55), Kit.NONE, 16, null),
            bare("3I", heightIn, pocketIn, sealIn));
    assertThat(codes(r)).contains(code);
    assertThat(r.verdict())
        .isEqualTo(code.equals("CHOICE.MUST_BE_CUT") ? Verdict.WITH_QUESTIONS : Verdict.NOT);
    assertThat(r.reasons().get(0).valves()).containsExactly(Position.parse("3I"));
  }

  @Test
  void aCupMakesANarrowSpringFitAndTallLocksAndSealGapGoTogether() {
    Kit kit =
        new Kit(
            List.of(new Kit.RetainerPart("R-10", 0, 10.0)),
            List.of(
                new Kit.LockPart("L-plain", 0, 10.0, 0.341, null),
                new Kit.LockPart("L-plus", 0.050, 10.0, 0.341, null)),
            List.of(new Kit.CupPart("C", 1.556, 0.060)));
    Ranked r =
        judged(kind(sheet("A", 1.95, 1.18, 1.55), kit, 16, null), bare("3I", 1.960, 1.640, 0.66));
    SpringChoice.AtValve at = r.at().get(0);
    assertThat(at.cup()).isNotNull();
    assertThat(at.locks().name()).isEqualTo("L-plus");
    // 1.960 − 0.060 of the cup + 0.050 of the locks
    assertThat(at.fit().heightIn()).isCloseTo(1.950, org.assertj.core.api.Assertions.within(1e-9));
    // 0.66 + 0.05 − 0.64
    assertThat(at.fit().sealClearanceIn().orElseThrow())
        .isCloseTo(0.070, org.assertj.core.api.Assertions.within(1e-9));
    assertThat(r.verdict()).isEqualTo(Verdict.FITS);
  }

  /**
   * 1.966 is reached by one shim under plain locks, or by 0.060 under tall ones: the plain ones.
   */
  @Test
  void oneKindOfLocksStaysInASetWhereItCan() {
    Kit kit =
        new Kit(
            List.of(),
            List.of(
                new Kit.LockPart("L-plus", 0.050, 10.0, 0.341, null),
                new Kit.LockPart("L-plain", 0, 10.0, 0.341, null)),
            List.of());
    Ranked r =
        judged(kind(sheet("A", 1.95, 1.18, 1.55), kit, 16, null), bare("3I", 1.961, 1.556, 0.75));
    assertThat(r.at().get(0).locks().name()).isEqualTo("L-plain");
    assertThat(r.at().get(0).way().shimsIn()).containsExactly(0.015);
  }

  @ParameterizedTest
  @CsvSource({
    "7.0, 0.341, SQUARE, ANGLE",
    "10.0, 0.313, SQUARE, STEM",
    "10.0, 0.343, SQUARE, ",
    "10.0, 0.3432, SQUARE, STEM",
    "10.0, 0.341, ROUND, GROOVE",
    "10.0, 0.341, SQUARE, "
  })
  void locksMatchRetainerStemAndGroove(
      double deg, double stemIn, Kit.Groove groove, Kit.Mismatch why) {
    Kit.LockPart lock = new Kit.LockPart("L", 0, deg, stemIn, groove);
    Kit.RetainerPart retainer = new Kit.RetainerPart("R", 0, 10.0);
    Kit.Stem stem = new Kit.Stem(0.341, Kit.Groove.SQUARE);
    assertThat(Kit.mismatch(lock, retainer, stem)).isEqualTo(java.util.Optional.ofNullable(why));
    Ranked r =
        SpringChoice.of(
                List.of(
                    kind(
                        sheet("A", 1.95, 1.18, 1.55),
                        new Kit(List.of(retainer), List.of(lock), List.of()),
                        16,
                        null)),
                List.of(new Bare(Position.parse("3I"), 1.950, 1.556, 0.75, stem)),
                asked(V8))
            .kinds()
            .get(0);
    assertThat(codes(r).contains("CHOICE.NO_LOCKS")).isEqualTo(why != null);
    assertThat(r.verdict()).isEqualTo(why == null ? Verdict.FITS : Verdict.NOT);
  }

  /** 220 + 438.5 × 0.584 net is 476 open at the exhaust: a stud of 560 carries it, 880 not. */
  @Test
  void aLinkThatIsExceededIsNamedOnce() {
    SpringSheet hard =
        new SpringSheet(
            "hard",
            SpringSheet.Form.SINGLE,
            null,
            List.of(new LoadPoint(1.95, 300.0), new LoadPoint(1.30, 900.0)),
            null,
            null,
            1.18,
            1.55,
            null,
            null,
            null,
            null,
            null);
    Ranked r =
        judged(
            kind(hard, Kit.NONE, 0, null),
            bare("3E", 1.950, 1.556, 0.75),
            bare("5E", 1.950, 1.556, 0.75));
    assertThat(r.exceeded())
        .extracting(WeakestLink.Link::part)
        .containsExactly(WeakestLink.Part.STUD);
    assertThat(r.reasons())
        .filteredOn(x -> x.said().code().equals("CHOICE.LINK_OVER_LOAD"))
        .singleElement()
        .satisfies(x -> assertThat(x.valves()).hasSize(2));
  }

  /** Open loads of 280 and 220 are the two schools' limits; the outer alone by measurement. */
  @ParameterizedTest
  @CsvSource({
    "220.0, 140, WHOLE, WHOLE",
    "220.1, 140, INNER_OUT, WHOLE",
    "280.0, 221, LIGHTER_SET, WHOLE",
    "281.0, 220, INNER_OUT, INNER_OUT",
    "400.0, 300, LIGHTER_SET, LIGHTER_SET"
  })
  void bothSchoolsOfBreakingInAreAnswered(
      double open, double outer, BreakIn.Says gentle, BreakIn.Says hearty) {
    BreakIn b =
        BreakIn.of(open, java.util.Optional.of(new Nest.Alone(outer, Nest.Source.MEASURED)));
    assertThat(b.gentle()).isEqualTo(gentle);
    assertThat(b.hearty()).isEqualTo(hearty);
  }

  @Test
  void breakingInIsOfFlatTappetsOnly() {
    EngineSheet flat = Engines.with(Engines.sheet("v8-odd-even"), Engines.drive(Lifter.FLAT_SOLID));
    KindOf kind = kind(sheet("A", 1.95, 1.18, 1.55), Kit.NONE, 16, null);
    List<Bare> head = List.of(bare("3I", 1.950, 1.556, 0.75));
    assertThat(
            SpringChoice.of(List.of(kind), head, asked(Engines.engine(flat)))
                .kinds()
                .get(0)
                .breakIn())
        .isPresent();
    assertThat(judged(kind, head.get(0)).breakIn()).isEmpty();
  }

  /** Two valves: what lies free is taken first, and only the rest is paid for. */
  @ParameterizedTest
  @CsvSource({"0, 2, 37.0", "1, 1, 18.5", "2, 0, 0.0", "9, 0, 0.0"})
  void whatIsNotInStockIsBought(int stock, int buy, double cost) {
    Ranked r =
        judged(
            kind(sheet("A", 1.95, 1.18, 1.55), Kit.NONE, stock, 18.5),
            bare("3I", 1.966, 1.556, 0.75),
            bare("3E", 1.966, 1.556, 0.75));
    assertThat(r.toBuy()).isEqualTo(buy);
    assertThat(r.cost()).isEqualTo(cost);
  }

  @Test
  void ofWhatFitsWhatLiesInStockAndCostsLeastComesFirst() {
    List<Bare> head = List.of(bare("3I", 1.950, 1.556, 0.75), bare("3E", 1.950, 1.556, 0.75));
    List<KindOf> kinds =
        List.of(
            kind(sheet("dear", 1.95, 1.18, 1.55), Kit.NONE, 0, 20.0),
            kind(sheet("wide", 1.95, 1.18, 1.57), Kit.NONE, 16, 1.0),
            kind(sheet("here", 1.95, 1.18, 1.55), Kit.NONE, 2, 30.0),
            kind(sheet("some", 1.95, 1.18, 1.55), Kit.NONE, 1, 30.0));
    assertThat(SpringChoice.of(kinds, head, asked(V8)).kinds())
        .extracting(r -> r.kind().id())
        .containsExactly("here", "some", "dear", "wide");
    assertThat(SpringChoice.of(kinds, List.of(), asked(V8)).kinds())
        .allSatisfy(r -> assertThat(r.verdict()).isEqualTo(Verdict.NOT));
  }

  /** What speaks against one combination, worked without the class that is tested. */
  private record Trial(boolean out, int stops, boolean cut, int asks) {}

  private static Trial bruteForce(KindOf kind, Bare b) {
    double lift = b.valve().kind() == ValveKind.INTAKE ? 0.640 : 0.600;
    SpringSheet s = kind.sheet();
    double target = s.loads().get(0).heightIn();
    List<Trial> all = new ArrayList<>();
    List<double[]> cups = new ArrayList<>(List.of(new double[] {b.pocketIn(), 0}));
    kind.kit().cups().forEach(c -> cups.add(new double[] {c.insideIn(), c.thickIn()}));
    for (double[] cup : cups) {
      for (double lock : kind.kit().locks().stream().map(Kit.LockPart::raisesIn).toList()) {
        for (double retainer :
            Stream.concat(
                    Stream.of(0.0), kind.kit().retainers().stream().map(Kit.RetainerPart::raisesIn))
                .toList()) {
          for (double shims : stacks()) {
            double h = b.heightIn() - cup[1] + lock + retainer - shims;
            boolean out = Math.abs(h - target) > 0.005 + 1e-9;
            all.add(trial(s, h, cup[0], b.sealGapIn() + lock, lift, out, false));
          }
        }
      }
      if (kind.kit().locks().stream().anyMatch(l -> l.raisesIn() == 0)) {
        all.add(trial(s, target, cup[0], b.sealGapIn(), lift, false, true));
      }
    }
    return all.stream()
        .min(
            Comparator.comparing(Trial::out)
                .thenComparing(Trial::stops)
                .thenComparing(Trial::cut)
                .thenComparing(Trial::asks))
        .orElseThrow();
  }

  private static List<Double> stacks() {
    List<Double> sums = new ArrayList<>(List.of(0.0));
    for (int pieces = 0; pieces < 3; pieces++) {
      List<Double> more = new ArrayList<>();
      sums.forEach(x -> SHIMS.forEach(p -> more.add(x + p)));
      sums.addAll(more);
    }
    return sums.stream().map(x -> Math.round(x * 1000) / 1000.0).distinct().toList();
  }

  private static Trial trial(
      SpringSheet s, double h, double pocket, double gap, double lift, boolean out, boolean cut) {
    double bind = h - lift - s.bindIn();
    double seal = gap - lift;
    double play = pocket - s.odIn();
    int stops =
        (bind < 0.040 - 1e-9 ? 1 : 0)
            + (seal <= 1e-9 ? 1 : 0)
            + (play < -1e-9 || play > 0.030 + 1e-9 ? 1 : 0);
    int asks =
        (bind >= 0.040 - 1e-9 && bind < 0.060 - 1e-9 ? 1 : 0)
            + (seal > 1e-9 && seal < 0.050 - 1e-9 ? 1 : 0)
            + (play >= -1e-9 && play < 0.002 - 1e-9 || play > 0.010 + 1e-9 && play <= 0.030 + 1e-9
                ? 1
                : 0);
    return new Trial(out, stops, cut, asks);
  }

  private static double thou(double v) {
    return Math.round(v * 1000) / 1000.0;
  }

  @Test
  void theBestWayAndTheRankingAgreeWithTryingEverything() {
    Random r = new Random(1611);
    int fits = 0;
    int not = 0;
    for (int round = 0; round < 70; round++) {
      List<Bare> head = new ArrayList<>();
      for (String v : List.of("1I", "1E", "3I", "3E")) {
        head.add(
            bare(
                v,
                thou(1.92 + 0.12 * r.nextDouble()),
                thou(1.545 + 0.03 * r.nextDouble()),
                thou(0.62 + 0.15 * r.nextDouble())));
      }
      List<KindOf> kinds = new ArrayList<>();
      for (int k = 0; k < 4; k++) {
        List<Kit.LockPart> locks =
            new ArrayList<>(List.of(new Kit.LockPart("plain", 0, 10.0, 0.341, null)));
        if (r.nextBoolean()) {
          locks.add(new Kit.LockPart("plus", 0.050, 10.0, 0.341, null));
        }
        List<Kit.CupPart> cups =
            r.nextBoolean() ? List.of(new Kit.CupPart("cup", 1.556, 0.045)) : List.of();
        List<Kit.RetainerPart> retainers =
            r.nextBoolean() ? List.of(new Kit.RetainerPart("low", -0.030, 10.0)) : List.of();
        kinds.add(
            kind(
                sheet(
                    "K" + k,
                    thou(1.90 + 0.08 * r.nextDouble()),
                    thou(1.15 + 0.12 * r.nextDouble()),
                    1.55),
                new Kit(retainers, locks, cups),
                16,
                null));
      }
      List<Ranked> ranked = SpringChoice.of(kinds, head, asked(V8)).kinds();
      List<Integer> stops = new ArrayList<>();
      for (Ranked x : ranked) {
        List<Trial> best = head.stream().map(b -> bruteForce(x.kind(), b)).toList();
        Verdict expected =
            best.stream().anyMatch(t -> t.out() || t.stops() > 0)
                ? Verdict.NOT
                : best.stream().anyMatch(t -> t.cut() || t.asks() > 0)
                    ? Verdict.WITH_QUESTIONS
                    : Verdict.FITS;
        assertThat(x.verdict()).as(x.kind() + " on " + head).isEqualTo(expected);
        assertThat(x.cuts()).isEqualTo((int) best.stream().filter(Trial::cut).count());
        stops.add(best.stream().mapToInt(t -> t.stops() + (t.out() ? 1 : 0)).sum());
        fits += expected == Verdict.FITS ? 1 : 0;
        not += expected == Verdict.NOT ? 1 : 0;
      }
      assertThat(stops).as("the fewest reasons against first").isSorted();
      assertThat(ranked).extracting(Ranked::verdict).isSorted();
    }
    assertThat(fits).isGreaterThan(5);
    assertThat(not).isGreaterThan(10);
  }
}
