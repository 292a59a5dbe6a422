package shim.app.interchange;

import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import shim.app.fatigue.TestArchive;
import shim.app.record.Because;
import shim.app.spring.Springs;

/** Files in and out. */
@RestController
class InterchangeController {
  private final EngineFile files;
  private final Notebook notebook;
  private final TestArchive archive;
  private final Springs springs;

  InterchangeController(EngineFile files, Notebook notebook, TestArchive archive, Springs springs) {
    this.files = files;
    this.notebook = notebook;
    this.archive = archive;
    this.springs = springs;
  }

  /** An engine that was taken in. */
  record TakenIn(UUID id) {}

  /** An engine with everything. */
  @GetMapping("/api/engines/{id}/file")
  ResponseEntity<EngineFile.EngineDocument> file(@PathVariable UUID id) {
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"engine.shim.json\"")
        .body(files.export(id));
  }

  /** Takes an engine in as a whole, or not at all. */
  @PutMapping("/api/engine-files")
  TakenIn takeFile(@RequestBody EngineFile.EngineDocument document) {
    return new TakenIn(files.take(document));
  }

  /** All spring readings of an engine as a table. */
  @GetMapping(value = "/api/engines/{id}/spring-readings", produces = "text/csv")
  ResponseEntity<String> readings(@PathVariable UUID id) {
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"spring-readings.csv\"")
        .body(ReadingsCsv.write(lines(id)));
  }

  /** Reads a table of readings: with {@code keep} it is kept, else only shown what it would say. */
  @PostMapping(value = "/api/engines/{id}/spring-readings", consumes = "text/csv")
  Notebook.NotebookPreview takeReadings(
      @PathVariable UUID id,
      @RequestParam @Size(max = 12, message = Because.INITIALS) String hand,
      @RequestParam(defaultValue = "false") boolean keep,
      @RequestBody String text) {
    return notebook.take(id, text, hand, keep);
  }

  private List<ReadingsCsv.Line> lines(UUID engineId) {
    Map<UUID, String> marks = new HashMap<>();
    springs.all().forEach(s -> marks.put(s.id(), s.spring().mark()));
    List<ReadingsCsv.Line> lines = new ArrayList<>();
    for (TestArchive.ArchivedTest t : archive.of(engineId)) {
      t.checks().stream()
          .filter(c -> c.check().side() == shim.core.fatigue.TesterDay.Side.START)
          .forEach(c -> lines.add(check(t, c)));
      for (TestArchive.ArchivedLoad r : t.readings()) {
        lines.add(
            line(
                t,
                r.reading().valve() == null ? "" : r.reading().valve().toString(),
                marks.getOrDefault(r.reading().springId(), ""),
                Optional.of(r.reading().heightIn()),
                r.reading().loadLbf(),
                Optional.empty(),
                r.reading().member().name(),
                r.reading().again(),
                r.reading().note() == null ? "" : r.reading().note()));
      }
      t.checks().stream()
          .filter(c -> c.check().side() == shim.core.fatigue.TesterDay.Side.END)
          .forEach(c -> lines.add(check(t, c)));
    }
    return lines;
  }

  private static ReadingsCsv.Line check(TestArchive.ArchivedTest t, TestArchive.ArchivedCheck c) {
    return line(
        t,
        "",
        c.check().name(),
        Optional.empty(),
        c.check().loadLbf(),
        Optional.of(c.check().knownLbf()),
        "",
        false,
        "");
  }

  private static ReadingsCsv.Line line(
      TestArchive.ArchivedTest t,
      String valve,
      String spring,
      Optional<Double> heightIn,
      double loadLbf,
      Optional<Double> knownLbf,
      String member,
      boolean again,
      String note) {
    return new ReadingsCsv.Line(
        0,
        Objects.requireNonNull(t.start().startedAt()),
        t.start().engineHours(),
        t.start().place().name(),
        t.start().state().name(),
        t.start().tester(),
        t.start().hand(),
        valve,
        spring,
        heightIn,
        loadLbf,
        knownLbf,
        member,
        again,
        note);
  }
}
