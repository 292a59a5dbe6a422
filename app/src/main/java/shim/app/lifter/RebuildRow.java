package shim.app.lifter;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** A lifter rebuilt: its interval begins anew. */
@Entity
@Audited
@Table(name = "lifter_rebuild")
class RebuildRow {
  @Id UUID id;
  UUID lifterId;
  double ownHours;
  String what;
  String hand;
  Instant rebuiltAt;
  @Version int version;

  protected RebuildRow() {}

  RebuildRow(UUID id) {
    this.id = id;
  }
}
