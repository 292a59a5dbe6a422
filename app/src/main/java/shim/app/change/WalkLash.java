package shim.app.change;

import java.util.List;
import java.util.Objects;
import java.util.UUID;
import org.springframework.stereotype.Component;
import shim.app.lash.Form;
import shim.app.lash.Rounds;
import shim.app.walk.Jobs;
import shim.core.change.JobPlan;
import shim.core.change.SpringAct;
import shim.core.crank.School;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.lash.WrittenRound.Phase;
import shim.core.walk.Done;

/** Lash or preload that is set in a walk: a round of its own, signed with the walk. */
@Component
public class WalkLash {
  private final Rounds rounds;

  WalkLash(Rounds rounds) {
    this.rounds = rounds;
  }

  /**
   * What is set in a walk.
   *
   * @param note what the round says of itself
   */
  public record Setting(
      UUID jobId,
      UUID engineId,
      double engineHours,
      HeatState state,
      List<Position> valves,
      JobPlan.Sets sets,
      String note) {
    private UUID round() {
      return Jobs.named(jobId, "lash");
    }
  }

  /** A valve's length at zero lash, or what it was set to. */
  public void read(Setting s, Done done) {
    rounds.start(
        s.round(),
        new Rounds.RoundStart(
            s.engineId(),
            s.state(),
            done.hand(),
            s.engineHours(),
            null,
            School.COMPRESSION_TDC,
            1,
            false,
            false,
            s.note(),
            done.at(),
            s.valves(),
            null));
    boolean measured = done.act() == SpringAct.ZERO_LASH;
    boolean length = s.sets() == JobPlan.Sets.LENGTH;
    rounds.setAgain(
        s.round(),
        Jobs.named(s.jobId(), (measured ? "zero lash " : "lash ") + done.valve()),
        new Rounds.ReadingEntry(
            Objects.requireNonNull(done.valve()),
            measured ? Phase.FOUND : Phase.LEFT,
            form(s.sets()),
            measured || !length ? done.figure() : null,
            null,
            null,
            done.word() == null ? String.valueOf(done.figure()) : done.word(),
            !measured && length ? done.figure() : null,
            done.hand(),
            null,
            null,
            null),
        done.at());
  }

  public void sign(Setting s, Done done) {
    rounds.sign(s.round(), new Rounds.SignOff(done.hand(), null, s.note(), null), done.at());
  }

  private static Form form(JobPlan.Sets sets) {
    return switch (sets) {
      case LASH -> Form.FIGURE;
      case TURNS -> Form.TURNS;
      case LENGTH -> Form.LENGTH;
    };
  }
}
