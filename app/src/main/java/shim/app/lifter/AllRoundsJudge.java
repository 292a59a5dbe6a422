package shim.app.lifter;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.lash.LashBook;
import shim.app.lash.RoundJudge;
import shim.core.drift.CommonStory;
import shim.core.drift.LashDrift;
import shim.core.engine.Engine;
import shim.core.lash.RoundStory;
import shim.core.lifter.RoundLooks;

/** Judges the end of a round with the drift of all rounds and with what was seen. */
@Service
@Transactional(readOnly = true)
class AllRoundsJudge implements RoundJudge {
  private final LashBook lash;
  private final Engines engines;
  private final LifterRules rules;
  private final Inspections inspections;
  private final LifterFittingRows fittings;

  AllRoundsJudge(
      LashBook lash,
      Engines engines,
      LifterRules rules,
      Inspections inspections,
      LifterFittingRows fittings) {
    this.lash = lash;
    this.engines = engines;
    this.rules = rules;
    this.inspections = inspections;
    this.fittings = fittings;
  }

  @Override
  public List<RoundStory.Look> looks(UUID engineId, UUID roundId, RoundStory story) {
    Engine engine = engines.get(engineId).engine();
    LashBook.Booked booked = lash.of(engineId, engine).upTo(roundId);
    LashDrift drift =
        LashDrift.of(engine.layout(), booked.rounds(), booked.growth(), rules.of(engineId).drift());
    SeenBook seen =
        SeenBook.of(inspections.of(engineId), fittings.findByEngineIdOrderByFittedAt(engineId));
    return RoundLooks.of(
        story,
        drift,
        CommonStory.of(drift.rounds(), engine.layout().banks().size()),
        roundId.toString(),
        seen::speakingOf);
  }
}
