package shim.app.head;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import shim.app.head.HeadViews.BookView;
import shim.app.head.HeadViews.HeadLine;
import shim.app.head.HeadViews.HeadView;
import shim.app.record.Hours;
import shim.app.record.Initials;
import shim.app.walk.JobReader;
import shim.app.walk.JobViews.JobView;

/** Heads: what is measured, which springs suit, assembling them, putting them on. */
@RestController
class HeadController {
  private final Heads heads;
  private final HeadReader reader;
  private final HeadChoice choice;
  private final HeadsOff off;
  private final HeadWork work;
  private final JobReader jobReader;

  HeadController(
      Heads heads,
      HeadReader reader,
      HeadChoice choice,
      HeadsOff off,
      HeadWork work,
      JobReader jobReader) {
    this.heads = heads;
    this.reader = reader;
    this.choice = choice;
    this.off = off;
    this.work = work;
    this.jobReader = jobReader;
  }

  /** Heads as entered; {@code basedOn} is the version they were changed on, null for new ones. */
  record HeadEntry(
      @NotNull @Valid HeadSheet head, @Nullable Integer basedOn, @Initials String hand) {}

  /** Who takes a figure back. */
  record FigureBack(@Initials String hand) {}

  /** Heads that come off; heads without a record get one under this name. */
  record HeadsComeOff(
      @NotNull UUID engineId,
      @Hours double engineHours,
      @Nullable @Size(max = 40, message = "40 letters at most") String name,
      @Initials String hand) {}

  /** How an assembly begins. */
  record AssemblyStart(
      @NotNull UUID headId, @Initials String hand, @NotNull @Valid AssemblyAsk ask) {}

  /** How putting heads on begins. */
  record HeadsOnStart(
      @NotNull UUID headId,
      @NotNull UUID engineId,
      @Hours double engineHours,
      @Initials String hand,
      @NotNull @Valid HeadsOnPlanner.HeadsOnAsk ask) {}

  /** Lists the heads, on engines and on the rack. */
  @GetMapping("/api/heads")
  List<HeadLine> heads() {
    return reader.all();
  }

  /** Gives one head with everything measured on it and what is still to be done. */
  @GetMapping("/api/heads/{id}")
  HeadView head(@PathVariable UUID id) {
    return reader.view(id);
  }

  /** Keeps what a head is. */
  @PutMapping("/api/heads/{id}")
  HeadView putHead(@PathVariable UUID id, @RequestBody HeadEntry entry) {
    heads.put(id, entry.head(), entry.basedOn(), entry.hand());
    return reader.view(id);
  }

  /** Keeps one figure measured on a head. */
  @PutMapping("/api/heads/{id}/readings/{readingId}")
  HeadView read(
      @PathVariable UUID id, @PathVariable UUID readingId, @RequestBody Heads.HeadFigure figure) {
    heads.read(id, readingId, figure);
    return reader.view(id);
  }

  /** Takes back a figure measured on a head; it stays on record as taken back. */
  @PutMapping("/api/heads/{id}/readings/{readingId}/taken-back")
  HeadView takeBack(
      @PathVariable UUID id, @PathVariable UUID readingId, @RequestBody FigureBack back) {
    heads.takeBack(id, readingId, back.hand());
    return reader.view(id);
  }

  /** All kinds of spring, ranked for these heads and the cam of the engine they are made for. */
  @GetMapping("/api/heads/{id}/springs")
  HeadChoice.HeadChoiceView choice(@PathVariable UUID id) {
    return choice.all(id);
  }

  /** Heads come off an engine, with the springs that are on them. */
  @PutMapping("/api/heads/{id}/off")
  HeadView off(@PathVariable UUID id, @RequestBody HeadsComeOff come) {
    off.off(id, come.engineId(), come.engineHours(), come.name(), come.hand());
    return reader.view(id);
  }

  /** Begins to assemble a head, step by step. */
  @PutMapping("/api/assemblies/{id}")
  JobView assemble(@PathVariable UUID id, @RequestBody AssemblyStart start) {
    work.assemble(id, start.headId(), start.hand(), start.ask());
    return jobReader.view(id);
  }

  /** Begins to put heads on an engine, step by step. */
  @PutMapping("/api/heads-on/{id}")
  JobView on(@PathVariable UUID id, @RequestBody HeadsOnStart start) {
    work.putOn(
        id, start.headId(), start.engineId(), start.engineHours(), start.hand(), start.ask());
    return jobReader.view(id);
  }

  /** The assembly book, one page a head. */
  @GetMapping("/api/heads/{id}/book")
  BookView book(@PathVariable UUID id) {
    return reader.book(id);
  }
}
