package shim.app.walk;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
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
  @Nullable UUID engineId;
  @Nullable UUID headId;

  @Enumerated(EnumType.STRING)
  JobKind kind;

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

  JobRow(UUID id, JobKind kind, @Nullable UUID engineId, @Nullable UUID headId) {
    this.id = id;
    this.kind = kind;
    this.engineId = engineId;
    this.headId = headId;
  }
}
