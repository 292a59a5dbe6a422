package shim.app.lash;

import java.util.List;
import java.util.UUID;
import shim.core.lash.RoundStory;

/** Says what to look at first at the end of a round, from all rounds up to it. */
public interface RoundJudge {
  /**
   * @param story the round by itself
   * @return most pressing first
   */
  List<RoundStory.Look> looks(UUID engineId, UUID roundId, RoundStory story);
}
