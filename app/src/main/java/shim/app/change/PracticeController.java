package shim.app.change;

import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import shim.app.walk.JobKind;
import shim.app.walk.JobShow;
import shim.app.walk.JobViews;
import shim.app.walk.Jobs;
import shim.core.change.Job;
import shim.core.change.SpringPractice;
import shim.core.walk.Practice;

/** The walk for practice: a stateless call that follows a person's moves and keeps nothing. */
@RestController
class PracticeController {
  /** One move: an act, or an answer to what went wrong. */
  record PracticeMove(
      Jobs.@Nullable ActEntry act, @Nullable String surprise, @Nullable Integer choice) {}

  /** All moves so far. */
  record PracticeMoves(@Size(max = 1000) List<PracticeMove> moves) {}

  /** What has just gone wrong, and the answers there are. */
  record PracticeSurprise(String id, String happens, List<String> choices) {}

  /** Where the moves have led. */
  record PracticeView(
      JobViews.JobState state,
      @Nullable PracticeSurprise now,
      Practice.@Nullable Choice last,
      @Nullable String refused,
      int right,
      int wrong) {}

  /** Makes a walk to practise on, with things that go wrong. */
  @PostMapping("/api/calc/practice")
  PracticeView practice(@RequestBody PracticeMoves moves) {
    List<Practice.Move> all = new ArrayList<>();
    for (PracticeMove m : moves.moves()) {
      all.add(
          new Practice.Move(
              m.act() == null ? null : m.act().done(Instant.EPOCH),
              m.surprise(),
              m.choice() == null ? -1 : m.choice()));
    }
    Practice<Job> p = Practice.of(SpringPractice.course(), all);
    Practice.Surprise now = p.now();
    return new PracticeView(
        JobShow.of(JobKind.SPRINGS, p.walk(), SpringJobs.shownOf(p.walk()), all.size()),
        now == null
            ? null
            : new PracticeSurprise(
                now.id(),
                now.happens(),
                now.choices().stream().map(Practice.Choice::words).toList()),
        p.last(),
        p.refused(),
        p.right(),
        p.wrong());
  }
}
