package shim.app.fatigue;

import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import shim.app.fatigue.SpringViews.EngineSprings;
import shim.app.fatigue.SpringViews.SpringLife;
import shim.app.fatigue.SpringViews.SpringTestView;
import shim.app.record.Because;
import shim.app.record.Initials;

/** Spring tests. Every change answers with the whole test as it then stands. */
@RestController
class TestController {
  private final SpringTests tests;
  private final TestReader reader;
  private final SpringReader engineReader;
  private final LifeReader lives;

  TestController(
      SpringTests tests, TestReader reader, SpringReader engineReader, LifeReader lives) {
    this.tests = tests;
    this.reader = reader;
    this.engineReader = engineReader;
    this.lives = lives;
  }

  /** The end of a test. */
  record TestEnd(@Initials String hand, @Nullable String note) {}

  /** The spring test of a lash round; none where springs are not tested with it. */
  record RoundTest(@Nullable UUID testId) {}

  /** Judges every spring of an engine from all its tests. */
  @GetMapping("/api/engines/{id}/springs")
  EngineSprings engineSprings(@PathVariable UUID id) {
    return engineReader.engine(id);
  }

  /** Tells one spring's life: tests, fittings and what they say. */
  @GetMapping("/api/springs/{id}/life")
  SpringLife springLife(@PathVariable UUID id) {
    return lives.life(id);
  }

  /** Gives a spring test with its readings and verdicts. */
  @GetMapping("/api/spring-tests/{id}")
  SpringTestView springTest(@PathVariable UUID id) {
    return reader.view(id);
  }

  /** The test that goes with a lash round, stop by stop. */
  @GetMapping("/api/rounds/{id}/spring-test")
  RoundTest roundTest(@PathVariable UUID id) {
    return new RoundTest(tests.ofRound(id).orElse(null));
  }

  /** Begins a spring test. */
  @PutMapping("/api/spring-tests/{id}")
  SpringTestView startTest(@PathVariable UUID id, @RequestBody SpringTests.TestStart start) {
    tests.start(id, start);
    return reader.view(id);
  }

  /** Keeps one load as read. */
  @PutMapping("/api/spring-tests/{id}/readings/{readingId}")
  SpringTestView readLoad(
      @PathVariable UUID id,
      @PathVariable UUID readingId,
      @RequestBody SpringTests.LoadEntry entry) {
    tests.read(id, readingId, entry, null);
    return reader.view(id);
  }

  /** Takes back a load; it stays on record as taken back. */
  @DeleteMapping("/api/spring-tests/{id}/readings/{readingId}")
  SpringTestView withdrawLoad(
      @PathVariable UUID id,
      @PathVariable UUID readingId,
      @RequestParam(required = false) @Size(max = 12, message = Because.INITIALS)
          @Nullable String hand) {
    tests.withdraw(id, readingId, hand);
    return reader.view(id);
  }

  /** Keeps a reading of the check spring, by which the tester is corrected. */
  @PutMapping("/api/spring-tests/{id}/checks/{checkId}")
  SpringTestView checkSpring(
      @PathVariable UUID id,
      @PathVariable UUID checkId,
      @RequestBody SpringTests.CheckEntry entry) {
    tests.check(id, checkId, entry, null);
    return reader.view(id);
  }

  /** Ends a spring test. */
  @PutMapping("/api/spring-tests/{id}/end")
  SpringTestView endTest(@PathVariable UUID id, @RequestBody TestEnd end) {
    tests.end(id, end.hand(), end.note(), null);
    return reader.view(id);
  }
}
