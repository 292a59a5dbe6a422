package shim.app.readiness;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.lash.LashBook;
import shim.app.spring.Springs;
import shim.core.lash.EyeFindings;

/** What the eye saw in the rounds of an engine and still stands. */
@Service
@Transactional(readOnly = true)
class SeenInRounds {
  private final LashBook lash;
  private final Springs springs;

  SeenInRounds(LashBook lash, Springs springs) {
    this.lash = lash;
    this.springs = springs;
  }

  List<EyeFindings.Finding> of(UUID engineId) {
    return EyeFindings.standing(
        lash.seen(engineId),
        Stream.concat(fitted(engineId), lash.rockersRenewed(engineId).stream()).toList());
  }

  private Stream<EyeFindings.Renewed> fitted(UUID engineId) {
    return springs.fittings(engineId).stream()
        .map(Springs.StoredFitting::fitting)
        .flatMap(
            f ->
                Stream.ofNullable(f.fittedAt())
                    .map(Instant::toEpochMilli)
                    .map(at -> new EyeFindings.Renewed(f.valve(), EyeFindings.Part.SPRING, at)));
  }
}
