package shim.app.head;

import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.http.Refusal;
import shim.app.spring.Springs;
import shim.app.walk.JobReader;

/** Heads that come off an engine; those without a record get one, with what is known of them. */
@Service
@Transactional
class HeadsOff {
  private final Heads heads;
  private final Springs springs;
  private final JobReader jobs;

  HeadsOff(Heads heads, Springs springs, JobReader jobs) {
    this.heads = heads;
    this.springs = springs;
    this.jobs = jobs;
  }

  void off(UUID headId, UUID engineId, double hours, @Nullable String name, String hand) {
    if (jobs.of(engineId).stream().anyMatch(j -> j.endedAt() == null)) {
      throw Refusal.conflict("a job on this engine is open: end it before the heads come off");
    }
    Optional<UUID> sitting = heads.sitting(engineId);
    if (sitting.isPresent() && !sitting.get().equals(headId)) {
      throw Refusal.invalid("engineId", "other heads sit on this engine");
    }
    if (heads.find(headId).isEmpty()) {
      if (name == null || name.isBlank()) {
        throw Refusal.invalid("name", "give the heads a name");
      }
      heads.put(
          headId,
          new HeadSheet(name.strip(), engineId, false, null, null, null, null, null),
          null,
          hand);
      heads.known(headId, springs.fitted(engineId), hand);
    } else if (sitting.isEmpty()) {
      throw Refusal.invalid("engineId", "these heads do not sit on this engine");
    }
    heads.unmount(headId, engineId, hours, hand, springs);
  }
}
