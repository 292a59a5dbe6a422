package shim.app.engine;

import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import shim.app.record.Because;
import shim.core.engine.EngineSheet;
import shim.core.engine.Presets;
import shim.core.engine.Problem;
import shim.core.engine.SheetCheck;
import shim.core.lash.EngineFacts;
import shim.core.lash.Growth;

/** Engines, and the stateless check of a sheet while it is written. */
@RestController
class EngineController {
  private final Engines engines;

  EngineController(Engines engines) {
    this.engines = engines;
  }

  /**
   * A sheet as Shim understands it.
   *
   * @param layout as soon as it alone is sound
   * @param facts once nothing is refused
   */
  record SheetReading(
      List<Problem> problems, @Nullable LayoutView layout, @Nullable EngineFacts facts) {}

  /** A stored engine with its layout. */
  record EngineView(UUID id, String name, int version, EngineSheet sheet, LayoutView layout) {}

  /** Lists the team's engines. */
  @GetMapping("/api/engines")
  List<EngineView> all() {
    return engines.all().stream().map(EngineController::view).toList();
  }

  /** Gives one engine as described. */
  @GetMapping("/api/engines/{id}")
  EngineView one(@PathVariable UUID id) {
    return view(engines.get(id));
  }

  /** Keeps an engine as described; a change names the version it was made on. */
  @PutMapping("/api/engines/{id}")
  EngineView put(
      @PathVariable UUID id,
      @RequestBody EngineSheet sheet,
      @RequestParam(required = false) @Nullable Integer basedOn,
      @RequestParam(required = false) @Size(max = 12, message = Because.INITIALS)
          @Nullable String who) {
    return view(engines.put(id, sheet, basedOn, who));
  }

  /** Lists engine layouts to begin from. */
  @GetMapping("/api/presets")
  List<Presets.Preset> presets() {
    return Presets.all();
  }

  /** Reads a sheet without keeping it: all problems at once, the layout, and what follows. */
  @PostMapping("/api/calc/sheet")
  SheetReading check(@RequestBody EngineSheet sheet) {
    SheetCheck.Checked checked = SheetCheck.check(sheet);
    return new SheetReading(
        checked.problems(),
        checked.layout().map(LayoutView::of).orElse(null),
        checked.engine().map(e -> EngineFacts.of(e, new Growth(Map.of()))).orElse(null));
  }

  private static EngineView view(Engines.Stored s) {
    return new EngineView(
        s.id(), s.name(), s.version(), s.sheet(), LayoutView.of(s.engine().layout()));
  }
}
