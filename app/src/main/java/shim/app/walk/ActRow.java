package shim.app.walk;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;
import shim.core.walk.Done;

/** Something done in a job; its place among the acts is its order. */
@Entity
@Audited
@Table(name = "job_act")
class ActRow {
  @Id UUID id;
  UUID jobId;
  int place;

  String act;

  String step;
  @Nullable Integer cylinder;
  @Nullable String valve;
  @Nullable Double figure;
  @Nullable String word;
  String hand;
  Instant doneAt;
  @Version int version;

  protected ActRow() {}

  ActRow(UUID id, UUID jobId, int place, Done done) {
    this.id = id;
    this.jobId = jobId;
    this.place = place;
    this.act = done.act().name();
    this.step = done.step();
    this.cylinder = done.cylinder();
    this.valve = done.valve() == null ? null : done.valve().toString();
    this.figure = done.figure();
    this.word = done.word();
    this.hand = done.hand();
    this.doneAt = done.at();
  }

  Done done() {
    return new Done(
        Acts.of(act),
        step,
        cylinder,
        valve == null ? null : Position.parse(valve),
        figure,
        word,
        hand,
        doneAt);
  }
}
