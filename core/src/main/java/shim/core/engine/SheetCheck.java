package shim.core.engine;

import java.util.EnumSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import shim.core.engine.EngineSheet.BottomEnd;
import shim.core.engine.EngineSheet.CamSheet;
import shim.core.engine.EngineSheet.ClassRule;
import shim.core.engine.EngineSheet.InTolerance;
import shim.core.engine.EngineSheet.RulesSheet;
import shim.core.engine.EngineSheet.UseSheet;
import shim.core.unit.Figures;
import shim.core.unit.Units;

/**
 * Reads an {@link EngineSheet} into an {@link Engine}. All problems are found in one go; parts that
 * stand by themselves (the layout, for the plan being drawn) come back even when others are
 * refused.
 */
public final class SheetCheck {
  /** Common practice, no source: lash is set to two thou either way. */
  public static final double DEFAULT_TOLERANCE_IN = 0.002;

  public static final double DEFAULT_FEELER_STEP_IN = 0.001;

  /** Over any lash in use; a larger figure is another unit. */
  private static final double MOST_LASH_IN = 0.080;

  private SheetCheck() {}

  /**
   * @param layout the layout, as soon as it alone is sound
   * @param engine the whole engine, when nothing was refused
   * @param problems everything found
   */
  public record Checked(
      Optional<Layout> layout,
      Optional<Engine.Drive> drive,
      Optional<Engine> engine,
      List<Problem> problems) {
    public boolean refused() {
      return engine.isEmpty();
    }
  }

  public static Checked check(EngineSheet sheet) {
    Problems problems = new Problems();
    if (sheet.name() == null || sheet.name().isBlank()) {
      problems.missing("name", "give the engine a name");
    } else if (sheet.name().length() > 80) {
      problems.refuse("name", "80 letters are enough for a name");
    }
    Optional<Layout> layout = new LayoutCheck(problems).read(sheet.layout());
    Optional<Engine.Drive> drive =
        new DriveCheck(problems).read(sheet.drive(), preloadRuled(sheet.use()));
    bottomEnd(problems, sheet.bottomEnd());
    Engine.LashSpec lash = lash(problems, sheet.cam(), drive);
    Engine.Rules rules = rules(problems, sheet.rules(), sheet.bottomEnd());
    use(problems, sheet.use());
    Optional<CamCard> cam = new CamCheck(problems).read(sheet.cam(), drive.orElse(null));
    Optional<Engine> engine =
        problems.refused() || layout.isEmpty() || drive.isEmpty()
            ? Optional.empty()
            : Optional.of(
                new Engine(
                    Objects.requireNonNull(sheet.name()).strip(),
                    layout.get(),
                    drive.get(),
                    cam,
                    lash,
                    rules));
    return new Checked(layout, drive, engine, problems.all());
  }

  private static void bottomEnd(Problems problems, @Nullable BottomEnd b) {
    if (b == null) {
      return;
    }
    problems.optional("bottomEnd.boreIn", b.boreIn(), "a bore", 1, 8, "in");
    problems.optional("bottomEnd.strokeIn", b.strokeIn(), "a stroke", 1, 8, "in");
    Optional<Double> rod = problems.optional("bottomEnd.rodIn", b.rodIn(), "a rod", 2, 16, "in");
    if (rod.isPresent() && b.strokeIn() != null && rod.get() < b.strokeIn()) {
      problems.refuse(
          "bottomEnd.rodIn",
          "a rod of {%s in} is shorter than the stroke of {%s in}",
          Problems.text(rod.get()),
          Problems.text(b.strokeIn()));
    }
    problems.optional(
        "bottomEnd.staticTimingDeg",
        b.staticTimingDeg(),
        "a static timing",
        -10,
        60,
        "degrees before TDC");
  }

  private static Engine.LashSpec lash(
      Problems problems, @Nullable CamSheet cam, Optional<Engine.Drive> drive) {
    boolean solid = drive.map(d -> !d.lifter().hydraulic()).orElse(true);
    HeatState state = cam == null || cam.lashState() == null ? HeatState.HOT : cam.lashState();
    if (cam == null || !solid) {
      return new Engine.LashSpec(0, 0, null, null, state);
    }
    double intake = lashFigure(problems, "cam.lashIntakeIn", cam.lashIntakeIn(), "intake lash");
    Double typedExhaust = cam.lashExhaustIn() == null ? cam.lashIntakeIn() : cam.lashExhaustIn();
    double exhaust = lashFigure(problems, "cam.lashExhaustIn", typedExhaust, "exhaust lash");
    floor(problems, "cam.floorIntakeIn", cam.floorIntakeIn(), intake);
    floor(problems, "cam.floorExhaustIn", cam.floorExhaustIn(), exhaust);
    EngineSheet.CamBench bench = cam.bench();
    Optional<Double> ownIntake =
        bench == null
            ? Optional.empty()
            : teams(
                problems,
                "cam.bench.teamLashIntakeIn",
                bench.teamLashIntakeIn(),
                cam.floorIntakeIn());
    Optional<Double> ownExhaust =
        bench == null
            ? Optional.empty()
            : teams(
                problems,
                "cam.bench.teamLashExhaustIn",
                bench.teamLashExhaustIn(),
                cam.floorExhaustIn());
    Set<ValveKind> chosen = EnumSet.noneOf(ValveKind.class);
    ownIntake.ifPresent(l -> chosen.add(ValveKind.INTAKE));
    ownExhaust.ifPresent(l -> chosen.add(ValveKind.EXHAUST));
    return new Engine.LashSpec(
        ownIntake.orElse(intake),
        ownExhaust.orElse(exhaust),
        cam.floorIntakeIn(),
        cam.floorExhaustIn(),
        state,
        chosen);
  }

  /** The lash a team chose instead of the card's; never below what the maker allows. */
  private static Optional<Double> teams(
      Problems problems, String field, @Nullable Double own, @Nullable Double low) {
    if (own == null) {
      return Optional.empty();
    }
    if (!(own > 0 && own <= MOST_LASH_IN) || low != null && Figures.below(own, low)) {
      problems.refuse(
          field,
          "a lash of {%s in} cannot be chosen: {%s in} to {%s in} is possible",
          Problems.text(own),
          Problems.text(low == null ? 0.001 : low),
          Problems.text(MOST_LASH_IN));
      return Optional.empty();
    }
    return Optional.of(own);
  }

  private static double lashFigure(
      Problems problems, String field, @Nullable Double value, String what) {
    if (value != null && value > MOST_LASH_IN) {
      String guess =
          value >= 4
              ? String.format("%s thou is {%.3f in}", Problems.text(value), value / 1000)
              : String.format(
                  "%s mm is {%.4f in}", Problems.text(value), value / Units.MM_PER_INCH);
      problems.refuse(field, "%s of {%s in} cannot be: %s", what, Problems.text(value), guess);
      return 0;
    }
    double lash = problems.number(field, value, "the " + what, 0, MOST_LASH_IN, "in").orElse(0.0);
    if (lash > 0.035 || (lash > 0 && lash < 0.003)) {
      problems.ask(
          field,
          "%s of {%s in} is outside the usual {0.003 in} to {0.035 in}: right?",
          what,
          Problems.text(lash));
    }
    return lash;
  }

  private static void floor(
      Problems problems, String field, @Nullable Double floor, double target) {
    if (floor != null && !(floor >= 0 && floor <= target)) {
      problems.refuse(
          field,
          "the lowest allowed lash of {%s in} must not be above the lash of {%s in}",
          Problems.text(floor),
          Problems.text(target));
    }
  }

  private static Engine.Rules rules(
      Problems problems, @Nullable RulesSheet r, @Nullable BottomEnd b) {
    Material block = b == null || b.block() == null ? Material.IRON : b.block();
    Material heads = b == null || b.heads() == null ? Material.IRON : b.heads();
    Optional<Double> timing =
        b == null ? Optional.empty() : Optional.ofNullable(b.staticTimingDeg());
    if (r == null) {
      return new Engine.Rules(
          HotColdSchool.TABLE,
          0,
          block,
          heads,
          DEFAULT_TOLERANCE_IN,
          DEFAULT_FEELER_STEP_IN,
          Optional.empty(),
          List.of(),
          timing,
          InTolerance.ASK);
    }
    HotColdSchool school = r.hotCold() == null ? HotColdSchool.TABLE : r.hotCold();
    if (school == HotColdSchool.FIXED) {
      problems.number(
          "rules.fixedColdMinusHotIn",
          r.fixedColdMinusHotIn(),
          "the cold-minus-hot difference",
          -0.030,
          0.030,
          "in");
    }
    double fixed = r.fixedColdMinusHotIn() == null ? 0 : r.fixedColdMinusHotIn();
    double tolerance =
        problems
            .optional("rules.toleranceIn", r.toleranceIn(), "a tolerance", 0.0001, 0.010, "in")
            .orElse(DEFAULT_TOLERANCE_IN);
    double step =
        problems
            .optional("rules.feelerStepIn", r.feelerStepIn(), "a leaf step", 0.0002, 0.005, "in")
            .orElse(DEFAULT_FEELER_STEP_IN);
    Optional<Double> margin =
        problems.optional(
            "rules.rampMarginDeg", r.rampMarginDeg(), "a ramp margin", 0, 90, "degrees");
    List<Double> marks =
        problems
            .numbers("rules.balancerMarks", r.balancerMarks(), "the balancer marks")
            .orElse(List.of());
    if (marks.stream().anyMatch(m -> !(m >= 0 && m < 360))) {
      problems.refuse("rules.balancerMarks", "balancer marks run from 0 to below 360 degrees");
      marks = List.of();
    }
    InTolerance inTolerance = r.inTolerance() == null ? InTolerance.ASK : r.inTolerance();
    return new Engine.Rules(
        school, fixed, block, heads, tolerance, step, margin, marks, timing, inTolerance);
  }

  private static boolean preloadRuled(@Nullable UseSheet use) {
    return use != null
        && use.classRules() != null
        && use.classRules().stream()
            .anyMatch(r -> r.holds() == EngineSheet.Holds.PRELOAD_ABOVE_ZERO);
  }

  private static void use(Problems problems, @Nullable UseSheet use) {
    if (use == null) {
      return;
    }
    problems.optional("use.boostPsi", use.boostPsi(), "a boost", 0, 120, "psi");
    List<ClassRule> rules = use.classRules() == null ? List.of() : use.classRules();
    for (int i = 0; i < rules.size(); i++) {
      ClassRule rule = rules.get(i);
      if (rule.rule() != null
          && !rule.rule().isBlank()
          && (rule.source() == null || rule.source().isBlank())) {
        problems.ask("use.classRules." + i + ".source", "where does this class rule stand?");
      }
    }
  }
}
