package shim.app.lash;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import shim.app.http.Refusal;
import shim.app.record.Because;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.lash.LashWanted;

/** The lash round. An entry answers with what it changed in the round. */
@RestController
class RoundController {
  private final Rounds rounds;
  private final RoundReader reader;
  private final LashHistory history;

  RoundController(Rounds rounds, RoundReader reader, LashHistory history) {
    this.rounds = rounds;
    this.reader = reader;
    this.history = history;
  }

  /** Where the crank stands, in degrees of the cycle, and who says so. */
  record CrankNow(double crankDeg, @NotBlank String by) {}

  /** Gives a round: its stops, its valves, what was read and what is to be done next. */
  @GetMapping("/api/rounds/{id}")
  RoundView round(@PathVariable UUID id) {
    return reader.view(id);
  }

  /** Begins a round of lash. */
  @PutMapping("/api/rounds/{id}")
  RoundView start(@PathVariable UUID id, @RequestBody Rounds.RoundStart start) {
    rounds.start(id, start);
    return reader.view(id);
  }

  /** Says where the crank stands now. */
  @PutMapping("/api/rounds/{id}/crank")
  RoundChange crank(@PathVariable UUID id, @RequestBody CrankNow now) {
    if (!Double.isFinite(now.crankDeg())) {
      throw Refusal.invalid("crankDeg", "the crank position must be a number of degrees");
    }
    rounds.crank(id, now.crankDeg(), now.by());
    return reader.change(id, p -> false);
  }

  /** Keeps one lash, as found or as left; sent again it changes nothing. */
  @PutMapping("/api/rounds/{id}/readings/{readingId}")
  RoundChange read(
      @PathVariable UUID id, @PathVariable UUID readingId, @RequestBody Rounds.ReadingEntry entry) {
    rounds.enter(id, readingId, entry);
    return reader.change(id, entry.valve()::equals);
  }

  /** Takes back a reading; it stays on record as taken back. */
  @DeleteMapping("/api/rounds/{id}/readings/{readingId}")
  RoundChange withdraw(
      @PathVariable UUID id,
      @PathVariable UUID readingId,
      @RequestParam(required = false) @Size(max = 12, message = Because.INITIALS)
          @Nullable String hand,
      @RequestParam(required = false) @Size(max = 400, message = "400 letters at most")
          @Nullable String why) {
    Optional<Position> of = rounds.withdraw(id, readingId, hand, why);
    return reader.change(id, p -> of.isEmpty() || of.get().equals(p));
  }

  /** Keeps what was seen at a valve in passing: its spring, its rocker, a note. */
  @PutMapping("/api/rounds/{id}/valves/{valve}")
  RoundChange look(
      @PathVariable UUID id, @PathVariable String valve, @RequestBody Rounds.ValveLook look) {
    Position of = Position.parse(valve);
    rounds.look(id, of, look);
    return reader.change(id, of::equals);
  }

  /** Signs a round: it is not changed any more. */
  @PutMapping("/api/rounds/{id}/signature")
  RoundView sign(@PathVariable UUID id, @RequestBody Rounds.SignOff signature) {
    rounds.signOff(id, signature);
    return reader.view(id);
  }

  /** Tells which valves a stop that was passed would have set. */
  @GetMapping("/api/rounds/{id}/past-stop")
  LashHistory.PastStop pastStop(
      @PathVariable UUID id, @RequestParam double crankDeg, @RequestParam double missedDeg) {
    return history.pastStop(id, crankDeg, missedDeg);
  }

  /** Tells what to look at first at the end of a round, and why. */
  @GetMapping("/api/rounds/{id}/looks")
  RoundLooksView looks(@PathVariable UUID id) {
    return rounds.looks(id);
  }

  /** Tells every reading of a round as it was once written, by whom and when. */
  @GetMapping("/api/rounds/{id}/revisions")
  List<LashHistory.ReadingRevision> revisions(@PathVariable UUID id) {
    return history.revisions(id);
  }

  /** Lists an engine's rounds. */
  @GetMapping("/api/engines/{id}/rounds")
  List<LashHistory.RoundLine> rounds(@PathVariable UUID id) {
    return history.rounds(id);
  }

  /** Tells every valve's lash over the engine's hours. */
  @GetMapping("/api/engines/{id}/lash-history")
  LashHistory.EngineLash lashHistory(@PathVariable UUID id) {
    return history.lash(id);
  }

  /** Tells what each valve's lash should be, hot or cold. */
  @GetMapping("/api/engines/{id}/lash-targets")
  LashWanted targets(@PathVariable UUID id, @RequestParam HeatState state) {
    return reader.wanted(id, state);
  }

  /**
   * Writes down that a part between cam and valve was changed: lash before and after are not one
   * story.
   */
  @PutMapping("/api/chain-changes/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void change(@PathVariable UUID id, @RequestBody Rounds.PartsChanged change) {
    rounds.change(id, change);
  }
}
