package shim.app.lifter;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.app.lifter.DriftViews.LashDriftView;
import shim.core.drift.DriftRules;
import shim.core.drift.Gap;
import shim.core.drift.LashRound;
import shim.core.engine.EngineSheet;
import shim.core.engine.HeatState;
import shim.core.engine.Layout;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.lash.Growth;
import shim.core.lifter.Diagnosis;
import shim.core.lifter.Grade;
import shim.core.lifter.Look;
import shim.core.lifter.Symptom;
import shim.core.stats.Robust;

/** Drift and diagnosis as stateless calls: anyone can hold them against their own numbers. */
@RestController
class DriftCalcController {

  /**
   * One valve's gap in one round, thou: what it leaves open.
   *
   * @param leftLow left after setting; missing where nothing was touched
   */
  record CalcGap(
      @NotNull Position valve,
      double foundLow,
      double foundHigh,
      @Nullable Double leftLow,
      @Nullable Double leftHigh) {}

  /** One round, valves in the order they were read. */
  record CalcRound(
      @NotBlank String name,
      double engineHours,
      @NotNull HeatState state,
      @Nullable String hand,
      @NotNull List<CalcGap> reads,
      @Nullable List<Position> renewed) {}

  /**
   * Rounds in order of time.
   *
   * @param grownIntakeThou cold minus hot where measured, thou
   * @param smallestThouPerHour the smallest rate worth finding; 0.5 when missing
   */
  record DriftRequest(
      @NotNull EngineSheet sheet,
      @NotEmpty(message = "at least one round, please") List<CalcRound> rounds,
      @Nullable Double grownIntakeThou,
      @Nullable Double grownExhaustThou,
      @Nullable Double smallestThouPerHour) {}

  /** One finding. */
  record CalcSeen(@NotNull Look look, @NotBlank String grade) {}

  /** What a valve shows and what was seen of it. */
  record DiagnosisRequest(@NotNull Set<Symptom> symptoms, @NotNull List<CalcSeen> seen) {}

  /** Drift, signals, since when, and probabilities of each valve; the common part as its own. */
  @PostMapping("/api/calc/lash-drift")
  LashDriftView drift(@RequestBody DriftRequest r) {
    Layout layout = Engines.reading(r.sheet()).layout();
    Refusal.outside(
        "smallestThouPerHour", r.smallestThouPerHour(), 0.05, 10, "0.05 to 10 thou an hour");
    DriftRules rules =
        r.smallestThouPerHour() == null
            ? DriftRules.USUAL
            : DriftRules.USUAL.smallest(r.smallestThouPerHour());
    List<LashRound> rounds = new ArrayList<>();
    for (CalcRound c : r.rounds()) {
      rounds.add(round(layout, c, rounds.size()));
    }
    return DriftViews.of(layout, rounds, growth(r), rules);
  }

  private static LashRound round(Layout layout, CalcRound c, int index) {
    List<LashRound.Read> reads = new ArrayList<>();
    for (CalcGap g : c.reads()) {
      if (!layout.positions().contains(g.valve())) {
        throw Refusal.invalid("rounds[" + index + "]", "this engine has no valve " + g.valve());
      }
      Gap left =
          g.leftLow() == null || g.leftHigh() == null ? null : new Gap(g.leftLow(), g.leftHigh());
      reads.add(new LashRound.Read(g.valve(), new Gap(g.foundLow(), g.foundHigh()), left));
    }
    return new LashRound(
        c.name(),
        index,
        c.engineHours(),
        c.state(),
        c.hand() == null ? "" : c.hand(),
        reads,
        c.renewed() == null ? Set.of() : new HashSet<>(c.renewed()));
  }

  private static Growth growth(DriftRequest r) {
    Map<ValveKind, Robust.Mean> grown = new EnumMap<>(ValveKind.class);
    if (r.grownIntakeThou() != null) {
      grown.put(ValveKind.INTAKE, new Robust.Mean(r.grownIntakeThou() / 1000, 0, 1));
    }
    if (r.grownExhaustThou() != null) {
      grown.put(ValveKind.EXHAUST, new Robust.Mean(r.grownExhaustThou() / 1000, 0, 1));
    }
    return new Growth(grown);
  }

  /** Causes in order, with reasons, and what to look at next. */
  @PostMapping("/api/calc/valve-diagnosis")
  Diagnosis diagnosis(@RequestBody DiagnosisRequest r) {
    return Diagnosis.of(r.symptoms(), r.seen().stream().map(DriftCalcController::seen).toList());
  }

  private static Diagnosis.Seen seen(CalcSeen s) {
    Grade grade =
        s.look()
            .grade(s.grade())
            .orElseThrow(
                () ->
                    Refusal.invalid(
                        "seen." + s.look(),
                        "\""
                            + s.grade()
                            + "\" is none of "
                            + String.join(
                                ", ", s.look().grades().stream().map(Grade::word).toList())));
    return new Diagnosis.Seen(s.look(), grade);
  }
}
