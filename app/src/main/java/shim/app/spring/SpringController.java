package shim.app.spring;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import shim.app.record.Because;
import shim.core.engine.Lifter;
import shim.core.engine.Problem;
import shim.core.spring.Candidate;
import shim.core.spring.Fit;
import shim.core.spring.FitLimits;
import shim.core.spring.HeightPlan;
import shim.core.spring.Kit;
import shim.core.spring.SpringCheck;
import shim.core.spring.SpringSheet;
import shim.core.spring.SpringSort;
import shim.core.spring.WeakestLink;

/** Spring types, springs and fittings; and the arithmetic of heights as stateless calls. */
@RestController
class SpringController {
  private final SpringTypes types;
  private final Springs springs;
  private final SpringSets sets;
  private final SpringRules rules;
  private final Pockets pockets;
  private final SpringKits kits;

  SpringController(
      SpringTypes types,
      Springs springs,
      SpringSets sets,
      SpringRules rules,
      Pockets pockets,
      SpringKits kits) {
    this.kits = kits;
    this.sets = sets;
    this.pockets = pockets;
    this.types = types;
    this.springs = springs;
    this.rules = rules;
  }

  /** A data sheet as Shim understands it: rate in lbf/in, load at the reference height in lbf. */
  record SpringSheetReading(
      List<Problem> problems, @Nullable Double rateLbfPerIn, @Nullable Double nominalLbf) {}

  /** A spring at a valve with a cam: what to look at. */
  record FitRequest(
      @NotNull SpringSheet sheet,
      @NotNull Fit.Measured measured,
      Fit.@Nullable Lift lift,
      @NotNull Lifter lifter,
      FitLimits.@Nullable Sheet limits,
      @Nullable Double boostLbf) {}

  /** Limits of the chain and what is asked of it. */
  record LinkRequest(@NotNull List<WeakestLink.Limit> limits, WeakestLink.@NotNull Duty duty) {}

  /** A box of springs and the pockets at hand. */
  record SortRequest(
      @NotNull SpringSheet sheet,
      @NotNull List<SpringSort.Boxed> box,
      @NotNull List<SpringSort.Pocket> pockets,
      double targetIn,
      double toleranceIn,
      @NotNull List<Double> shimsIn,
      FitLimits.@Nullable Sheet limits) {}

  /** Lists the kinds of springs the team knows. */
  @GetMapping("/api/spring-types")
  List<SpringTypes.StoredType> springTypes() {
    return types.all();
  }

  /** Keeps a kind of spring from its data sheet. */
  @PutMapping("/api/spring-types/{id}")
  SpringTypes.StoredType putSpringType(
      @PathVariable UUID id,
      @RequestBody SpringSheet sheet,
      @RequestParam(required = false) @Size(max = 12, message = Because.INITIALS)
          @Nullable String who) {
    return types.put(id, sheet, who);
  }

  /** What a kind can be had with, as entered; {@code basedOn} is the version it was changed on. */
  record KitEntry(
      @NotNull Kit kit,
      @Nullable Integer basedOn,
      @Nullable @Size(max = 12, message = Because.INITIALS) String hand) {}

  /** Tells which retainers, locks, cups and shims go with a kind of spring. */
  @GetMapping("/api/spring-types/{id}/kit")
  SpringKits.StoredKit kit(@PathVariable UUID id) {
    return kits.of(id);
  }

  /** Keeps which retainers, locks, cups and shims go with a kind of spring. */
  @PutMapping("/api/spring-types/{id}/kit")
  SpringKits.StoredKit putKit(@PathVariable UUID id, @RequestBody KitEntry entry) {
    return kits.put(id, entry.kit(), entry.basedOn(), entry.hand());
  }

  /** Lists every spring, where it sits and its hours. */
  @GetMapping("/api/springs")
  List<Springs.StoredSpring> springs() {
    return springs.all();
  }

  /** Keeps what a spring is. */
  @PutMapping("/api/springs/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putSpring(
      @PathVariable UUID id,
      @RequestBody Springs.SpringEntry entry,
      @RequestParam(required = false) @Size(max = 12, message = Because.INITIALS)
          @Nullable String who) {
    springs.put(id, entry, who);
  }

  /** Puts a spring at a valve. */
  @PutMapping("/api/fittings/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void fit(@PathVariable UUID id, @RequestBody Springs.FittingEntry entry) {
    springs.fit(id, entry);
  }

  /** Takes a spring out. */
  @PutMapping("/api/fittings/{id}/removal")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable UUID id, @RequestBody Springs.Removal removal) {
    springs.remove(id, removal);
  }

  /** One spring out and another in, both or neither. */
  @PutMapping("/api/fittings/{id}/exchange")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void exchange(@PathVariable UUID id, @RequestBody SpringSets.Exchange exchange) {
    sets.exchange(id, exchange);
  }

  /** Puts a new set into every valve that has no spring; safe to repeat. */
  @PutMapping("/api/engines/{engineId}/spring-sets/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putSet(
      @PathVariable UUID engineId, @PathVariable UUID id, @RequestBody SpringSets.NewSet set) {
    sets.put(engineId, id, set);
  }

  /** Tells the team's rules for springs on this engine. */
  @GetMapping("/api/engines/{id}/spring-rules")
  SpringRules.SpringRulesSheet rules(@PathVariable UUID id) {
    return rules.of(id);
  }

  /** Keeps the team's rules for springs on this engine. */
  @PutMapping("/api/engines/{id}/spring-rules")
  SpringRules.SpringRulesSheet putRules(
      @PathVariable UUID id,
      @RequestBody SpringRules.SpringRulesSheet sheet,
      @RequestParam(required = false) @Size(max = 12, message = Because.INITIALS)
          @Nullable String who) {
    return rules.put(id, sheet, who);
  }

  /** What stands at each valve and how it fits there. */
  @GetMapping("/api/engines/{id}/pockets")
  Pockets.EnginePockets pockets(@PathVariable UUID id) {
    return pockets.of(id);
  }

  /** Springs held beside each other on this engine, with its cam or a proposed one. */
  @PostMapping("/api/engines/{id}/spring-candidates")
  List<Candidate> candidates(@PathVariable UUID id, @RequestBody Pockets.Candidates asked) {
    return pockets.compare(id, asked);
  }

  /** Reads a data sheet without keeping it. */
  @PostMapping("/api/calc/spring-sheet")
  SpringSheetReading check(@RequestBody SpringSheet sheet) {
    SpringCheck.Checked c = SpringCheck.check(sheet);
    return new SpringSheetReading(
        c.problems(),
        c.type().map(t -> t.curve().rateLbfPerIn()).orElse(null),
        c.type().map(t -> t.nominalLbf()).orElse(null));
  }

  /** Ways to bring a spring to its installed height, the best first. */
  @PostMapping("/api/calc/spring-height")
  HeightPlan height(@RequestBody HeightPlan.Wanted wanted) {
    return HeightPlan.of(wanted);
  }

  /** Loads and clearances of a spring at a valve. */
  @PostMapping("/api/calc/spring-fit")
  Fit fit(@RequestBody FitRequest r) {
    return Fit.of(
        SpringTypes.reading("sheet", r.sheet()),
        r.measured(),
        Optional.ofNullable(r.lift()),
        new Fit.Asked(
            r.lifter(),
            (r.limits() == null ? FitLimits.Sheet.BLANK : r.limits()).read(),
            r.boostLbf() == null ? 0 : r.boostLbf()));
  }

  /** The part of the chain nearest to its limit. */
  @PostMapping("/api/calc/weakest-link")
  WeakestLink weakest(@RequestBody LinkRequest r) {
    return WeakestLink.of(new ArrayList<>(r.limits()), r.duty());
  }

  /** Which spring of a box goes into which pocket. */
  @PostMapping("/api/calc/spring-sort")
  SpringSort sort(@RequestBody SortRequest r) {
    return SpringSort.of(
        r.box(),
        r.pockets(),
        new SpringSort.Wanted(
            r.targetIn(),
            r.toleranceIn(),
            r.shimsIn(),
            SpringTypes.reading("sheet", r.sheet()).curve(),
            (r.limits() == null ? FitLimits.Sheet.BLANK : r.limits()).read().play()));
  }
}
