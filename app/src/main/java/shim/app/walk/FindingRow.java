package shim.app.walk;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;

/** What the eye saw at a step; its photo lies as a file beside the database. */
@Entity
@Audited
@Table(name = "job_finding")
class FindingRow {
  @Id UUID id;
  UUID jobId;
  @Nullable String valve;

  @Enumerated(EnumType.STRING)
  Jobs.Look what;

  @Enumerated(EnumType.STRING)
  Jobs.Grade grade;

  @Nullable String note;
  @Nullable String photoType;
  String hand;
  Instant foundAt;
  @Version int version;

  protected FindingRow() {}

  FindingRow(UUID id, UUID jobId) {
    this.id = id;
    this.jobId = jobId;
  }
}
