package shim.app.lash;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Positive;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.core.engine.Adjuster;
import shim.core.engine.AdjusterThread;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet;
import shim.core.engine.HeatState;
import shim.core.engine.ValveKind;
import shim.core.lash.Growth;
import shim.core.lash.LashWanted;
import shim.core.lash.Turn;
import shim.core.stats.Robust;

/** Lash target and adjuster as stateless calls, so that anyone can check the numbers. */
@RestController
class LashCalcController {

  /**
   * @param grownIntakeIn measured cold minus hot differences at intakes, inch; may be empty
   */
  record TargetRequest(
      @NotNull EngineSheet sheet,
      @NotNull HeatState state,
      @Nullable List<Double> grownIntakeIn,
      @Nullable List<Double> grownExhaustIn) {}

  /**
   * @param thread by name, such as 3/8-24
   * @param foundIn lash now, inch
   * @param wantedIn lash wanted, inch
   */
  record TurnRequest(
      @NotNull Adjuster adjuster,
      @NotBlank String thread,
      @Positive double ratio,
      double foundIn,
      double wantedIn) {}

  /** Turn of the wrench, with what one turn moves: lash and hydraulic plunger, inch. */
  record TurnAnswer(Turn turn, double lashPerTurnIn, double plungerPerTurnIn) {}

  /**
   * Finds what each valve's lash should be now, from its wanted lash, its state of heat and the
   * engine's growth.
   */
  @PostMapping("/api/calc/lash-target")
  LashWanted target(@RequestBody TargetRequest request) {
    Engine engine = Engines.reading(request.sheet());
    Map<ValveKind, Robust.Mean> grown = new EnumMap<>(ValveKind.class);
    if (request.grownIntakeIn() != null && !request.grownIntakeIn().isEmpty()) {
      grown.put(ValveKind.INTAKE, Robust.Mean.of(request.grownIntakeIn()));
    }
    if (request.grownExhaustIn() != null && !request.grownExhaustIn().isEmpty()) {
      grown.put(ValveKind.EXHAUST, Robust.Mean.of(request.grownExhaustIn()));
    }
    return LashWanted.of(engine, request.state(), new Growth(grown));
  }

  /** Finds how far to turn an adjuster for a wanted change of lash. */
  @PostMapping("/api/calc/turn")
  TurnAnswer turn(@RequestBody TurnRequest r) {
    if (!r.adjuster().turned()) {
      throw Refusal.invalid("adjuster", r.adjuster().words() + " is exchanged, not turned");
    }
    AdjusterThread thread =
        AdjusterThread.parse(r.thread())
            .orElseThrow(
                () ->
                    Refusal.invalid("thread", "\"" + r.thread() + "\" is no thread: 3/8-24, M8x1"));
    double perTurn = Turn.lashPerTurnIn(r.adjuster(), thread, r.ratio());
    return new TurnAnswer(
        Turn.of(r.foundIn(), r.wantedIn(), perTurn),
        perTurn,
        Turn.plungerPerTurnIn(r.adjuster(), thread, r.ratio()));
  }
}
