package shim.app.change;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.hibernate.envers.NotAudited;
import org.jspecify.annotations.Nullable;

/** One job, with its plan as it was when it began. */
@Entity
@Audited
@Table(name = "job")
class JobRow {
  @Id UUID id;
  UUID engineId;

  @Lob
  @Column(columnDefinition = "clob")
  String plan;

  double engineHours;
  String hand;
  Instant startedAt;
  @Nullable Instant endedAt;
  @Nullable String signedBy;

  /** Goes up with each change of the job or of anything in it; written by {@code touch}. */
  @NotAudited
  @Column(insertable = false, updatable = false)
  long changes;

  @Version int version;

  protected JobRow() {}

  JobRow(UUID id, UUID engineId) {
    this.id = id;
    this.engineId = engineId;
  }
}
