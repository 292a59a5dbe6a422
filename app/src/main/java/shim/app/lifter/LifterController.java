package shim.app.lifter;

import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import shim.app.engine.Engines;
import shim.app.lash.LashBook;
import shim.app.lifter.DriftViews.LashDriftView;
import shim.app.lifter.LifterViews.EngineLifters;
import shim.app.lifter.LifterViews.LookView;
import shim.app.lifter.LifterViews.ValveStory;
import shim.app.record.Because;
import shim.core.engine.Engine;
import shim.core.engine.Position;
import shim.core.lifter.Look;

/** Lifters, what was seen, and what the lash says. */
@RestController
class LifterController {
  private final Lifters lifters;
  private final LifterSets sets;
  private final LifterReader reader;
  private final LifterRules rules;
  private final Inspections inspections;
  private final LiftTables tables;
  private final LashBook lash;
  private final Engines engines;

  LifterController(
      Lifters lifters,
      LifterSets sets,
      LifterReader reader,
      LifterRules rules,
      Inspections inspections,
      LiftTables tables,
      LashBook lash,
      Engines engines) {
    this.lifters = lifters;
    this.sets = sets;
    this.reader = reader;
    this.rules = rules;
    this.inspections = inspections;
    this.tables = tables;
    this.lash = lash;
    this.engines = engines;
  }

  /** Lists what an inspection can see, part by part. */
  @GetMapping("/api/looks")
  List<LookView> looks() {
    return Stream.of(Look.values()).map(LookView::of).toList();
  }

  /**
   * Weighs all rounds of an engine together: which valve's lash drifts, since when and how fast.
   */
  @GetMapping("/api/engines/{id}/lash-drift")
  LashDriftView drift(@PathVariable UUID id) {
    Engine engine = engines.get(id).engine();
    LashBook.Booked booked = lash.of(id, engine);
    return DriftViews.of(engine.layout(), booked.rounds(), booked.growth(), rules.of(id).drift());
  }

  /** Tells every lifter's hours, what was seen of it and whether it may run on. */
  @GetMapping("/api/engines/{id}/lifters")
  EngineLifters lifters(@PathVariable UUID id) {
    return reader.engine(id);
  }

  /** Tells one valve's story, from its signal to its likely causes and what to check first. */
  @GetMapping("/api/engines/{id}/valves/{valve}/story")
  ValveStory story(@PathVariable UUID id, @PathVariable String valve) {
    return reader.story(id, Position.parse(valve));
  }

  /** Keeps the team's rules for lifters on this engine. */
  @PutMapping("/api/engines/{id}/lifter-rules")
  LifterRules.LifterRulesSheet putRules(
      @PathVariable UUID id,
      @RequestParam(required = false) @Size(max = 12, message = Because.INITIALS)
          @Nullable String who,
      @RequestBody LifterRules.LifterRulesSheet sheet) {
    return rules.put(id, sheet, who);
  }

  /** Keeps what a lifter is. */
  @PutMapping("/api/lifters/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void put(
      @PathVariable UUID id,
      @RequestParam(required = false) @Size(max = 12, message = Because.INITIALS)
          @Nullable String who,
      @RequestBody Lifters.LifterEntry entry) {
    lifters.put(id, entry, who);
  }

  /** A set under every valve without a lifter on record; all of them or none. */
  @PutMapping("/api/engines/{engineId}/lifter-sets/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void putSet(
      @PathVariable UUID engineId, @PathVariable UUID id, @RequestBody LifterSets.NewLifters set) {
    sets.put(engineId, id, set);
  }

  /** Puts a lifter into an engine. */
  @PutMapping("/api/lifter-fittings/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void fit(@PathVariable UUID id, @RequestBody Lifters.LifterFitting entry) {
    lifters.fit(id, entry);
  }

  /** Takes a lifter out of an engine. */
  @PutMapping("/api/lifter-fittings/{id}/removal")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void remove(@PathVariable UUID id, @RequestBody Lifters.LifterRemoval removal) {
    lifters.remove(id, removal);
  }

  /** Writes down that a lifter was rebuilt. */
  @PutMapping("/api/lifter-rebuilds/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void rebuild(@PathVariable UUID id, @RequestBody Lifters.LifterRebuild entry) {
    lifters.rebuild(id, entry);
  }

  /** Keeps one thing seen on an inspection. */
  @PutMapping("/api/inspections/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void see(@PathVariable UUID id, @RequestBody Inspections.FindingSeen seen) {
    inspections.put(id, seen);
  }

  /** Takes back one thing seen; it stays on record as taken back. */
  @DeleteMapping("/api/inspections/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void unsee(@PathVariable UUID id) {
    inspections.withdraw(id);
  }

  /** A photo of a finding, JPEG or PNG, 12 MB at most. */
  @PutMapping(
      value = "/api/inspections/{id}/photo",
      consumes = {
        MediaType.IMAGE_JPEG_VALUE,
        MediaType.IMAGE_PNG_VALUE,
        "application/octet-stream"
      })
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void photo(@PathVariable UUID id, @RequestBody byte[] image) {
    inspections.photo(id, image);
  }

  /** Lift of one valve from a measured table: CSV of degrees and dial reading; nothing is kept. */
  @PostMapping(value = "/api/calc/lift-table", consumes = MediaType.TEXT_PLAIN_VALUE)
  LiftTables.LiftFound table(@RequestBody String csv) {
    return tables.read(csv);
  }
}
