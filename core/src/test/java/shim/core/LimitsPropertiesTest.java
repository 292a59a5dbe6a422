package shim.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.function.BiPredicate;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.Lifter;
import shim.core.engine.Position;
import shim.core.engine.PreloadSpec;
import shim.core.engine.ValveKind;
import shim.core.lash.LashTarget;
import shim.core.lash.LashVerdict;
import shim.core.lash.PreloadTarget;
import shim.core.lifter.Level;
import shim.core.lifter.LobeSurvey;
import shim.core.spring.Fit;
import shim.core.spring.HeightPlan;
import shim.core.spring.PocketPlay;
import shim.core.spring.SpringCheck;
import shim.core.spring.SpringSheet;
import shim.core.spring.SpringType;
import shim.core.unit.Said;

/**
 * Every limit of the trade against exact decimal arithmetic: figures are drawn as whole thousandths
 * (or finer), and a rule is asked one step below its limit, at it and one step above.
 */
class LimitsPropertiesTest {
  /** One question of a rule: figures that make up what is judged, and whether it must be in. */
  private record Case(List<BigDecimal> figures, boolean in) {
    double at(int i) {
      return figures.get(i).doubleValue();
    }
  }

  private static BigDecimal thou(int thou) {
    return BigDecimal.valueOf(thou, 3);
  }

  /** Sums that end at a limit or one step to either side of it, by decimals. */
  private static List<Case> around(
      int low, int high, int limitThou, int parts, BiPredicate<Integer, Integer> in) {
    Random r = new Random(low * 31L + limitThou);
    List<Case> cases = new ArrayList<>();
    for (int i = 0; i < 400; i++) {
      int step = i % 3 - 1;
      int rest = limitThou + step;
      List<BigDecimal> figures = new ArrayList<>();
      for (int p = 1; p < parts; p++) {
        int part = low + r.nextInt(high - low);
        figures.add(thou(part));
        rest += part;
      }
      figures.add(0, thou(rest));
      cases.add(new Case(figures, in.test(limitThou + step, limitThou)));
    }
    return cases;
  }

  private static final BiPredicate<Integer, Integer> AT_LEAST = (a, limit) -> a >= limit;
  private static final BiPredicate<Integer, Integer> AT_MOST = (a, limit) -> a <= limit;

  private static SpringType type(double bindIn, double odIn) {
    SpringSheet sheet =
        new SpringSheet(
            "limit",
            SpringSheet.Form.DUAL,
            null,
            List.of(new SpringSheet.LoadPoint(2.9, 200.0), new SpringSheet.LoadPoint(2.2, 500.0)),
            null,
            null,
            bindIn,
            odIn,
            null,
            null,
            null,
            null,
            null);
    return SpringCheck.check(sheet).type().orElseThrow();
  }

  private static boolean says(Fit fit, String code) {
    return fit.remarks().stream().anyMatch(r -> r.said().code().equals("FIT." + code));
  }

  private static Fit fit(SpringType type, Fit.Measured at, double grossIn) {
    return Fit.of(
        type,
        at,
        Optional.of(new Fit.Lift(grossIn, grossIn)),
        Fit.Asked.usual(Lifter.ROLLER_SOLID));
  }

  private interface Rule {
    boolean in(Case c);
  }

  static Stream<Arguments> limits() {
    return Stream.of(
        of(
            "bind clearance asked about",
            around(400, 1100, 60, 3, AT_LEAST),
            c ->
                !says(
                    fit(
                        type(c.at(1), 1.5),
                        new Fit.Measured(c.at(0), null, null, null, null, null),
                        c.at(2)),
                    "CLOSE_TO_BIND")),
        of(
            "bind clearance that stops",
            around(400, 1100, 40, 3, AT_LEAST),
            c ->
                !says(
                    fit(
                        type(c.at(1), 1.5),
                        new Fit.Measured(c.at(0), null, null, null, null, null),
                        c.at(2)),
                    "NEAR_BIND")),
        of(
            "retainer to seal",
            around(300, 800, 50, 2, AT_LEAST),
            c ->
                !says(
                    fit(
                        type(0.9, 1.5),
                        new Fit.Measured(2.9, c.at(0), null, null, null, null),
                        c.at(1)),
                    "CLOSE_TO_SEAL")),
        of(
            "gap of the lowest coils",
            around(0, 1, 80, 1, AT_LEAST),
            c ->
                !says(
                    fit(
                        type(0.9, 1.5),
                        new Fit.Measured(2.9, null, null, null, c.at(0), null),
                        0.5),
                    "COILS_CLOSE")),
        of(
            "a stated clearance that disagrees",
            around(400, 900, 10, 1, AT_MOST),
            c ->
                !says(
                    fit(
                        type(1.18, 1.5),
                        new Fit.Measured(1.95, null, null, null, null, 0.07 + c.at(0)),
                        0.7),
                    "STATED_DIFFERS")),
        of("a snug pocket", around(900, 1700, 2, 2, AT_LEAST), c -> play(c) != PocketPlay.SNUG),
        of("much play", around(900, 1700, 10, 2, AT_MOST), c -> play(c) != PocketPlay.MUCH),
        of("play that cannot be", around(900, 1700, 30, 2, AT_MOST), c -> play(c).fits()),
        of("a height's tolerance above", around(1500, 2300, 5, 2, AT_MOST), c -> stays(c, 1)),
        of("a height's tolerance below", around(1500, 2300, 5, 2, AT_MOST), c -> stays(c, -1)),
        of(
            "lash too wide",
            around(6, 30, 2, 2, AT_MOST),
            c -> lash(c.at(1)).judge(c.at(0)) != LashVerdict.WIDE),
        of(
            "lash too tight",
            around(6, 30, 2, 2, AT_MOST),
            c -> lash(c.at(0)).judge(c.at(1)) != LashVerdict.TIGHT),
        of(
            "the plunger's end",
            around(0, 1, 80, 1, (a, limit) -> a < limit),
            c -> preload().judge(c.at(0)) != LashVerdict.BOTTOMED),
        of(
            "a shallow preload",
            around(7000, 8500, 25, 2, AT_LEAST),
            c -> preload().judge(c.at(0) - c.at(1)) != LashVerdict.SHALLOW),
        of(
            "a deep preload",
            around(7000, 8500, 60, 2, AT_MOST),
            c -> preload().judge(c.at(0) - c.at(1)) != LashVerdict.DEEP),
        of(
            "a preload above zero",
            around(7000, 8500, 0, 2, (a, limit) -> a > limit),
            c -> preload().judge(c.at(0) - c.at(1)) != LashVerdict.NO_PRELOAD),
        of("a worn lobe", around(0, 1, 5, 1, AT_MOST), c -> level(c) == Level.GOOD),
        of(
            "a flat lobe",
            around(0, 1, 40, 1, (a, limit) -> a < limit),
            c -> level(c).compareTo(Level.BAD) < 0));
  }

  private static Arguments of(String what, List<Case> cases, Rule rule) {
    return Arguments.of(what, cases, rule);
  }

  private static PocketPlay play(Case c) {
    return PocketPlay.of(c.at(0) - c.at(1), PocketPlay.Bounds.USUAL);
  }

  private static boolean stays(Case c, int side) {
    double height = side > 0 ? c.at(0) : c.at(1);
    double target = side > 0 ? c.at(1) : c.at(0);
    return HeightPlan.of(
                new HeightPlan.Wanted(
                    height,
                    target,
                    0.005,
                    List.of(),
                    List.of(),
                    null,
                    HeightPlan.School.FEWEST_PIECES,
                    null))
            .ways()
            .get(0)
            .kind()
        == HeightPlan.Kind.AS_IT_IS;
  }

  private static LashTarget lash(double targetIn) {
    return new LashTarget(
        ValveKind.INTAKE, HeatState.HOT, targetIn, null, 0.002, Said.kept("test"), null);
  }

  private static PreloadTarget preload() {
    return new PreloadTarget(
        ValveKind.INTAKE,
        PreloadSpec.Unit.INCH,
        0.025,
        0.060,
        0.0425,
        0.080,
        1,
        null,
        null,
        true,
        true);
  }

  private static Level level(Case c) {
    Engine engine = Engines.engine(Engines.sheet("v8-odd-even"));
    Position p = Position.parse("1E");
    double full = LobeSurvey.wantedIn(engine, p.kind()).orElseThrow();
    return LobeSurvey.of(engine, Map.of(p, full - c.at(0)), Map.of())
        .get(0)
        .grade()
        .orElseThrow()
        .level();
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("limits")
  void aFigureAtItsLimitIsAtItAsDecimalsSay(String what, List<Case> cases, Rule rule) {
    for (Case c : cases) {
      assertThat(rule.in(c)).as("%s: %s", what, c.figures()).isEqualTo(c.in());
    }
  }
}
