package shim.app.head;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;

/** Heads on an engine, from one reading of its hours to another. */
@Entity
@Audited
@Table(name = "head_stay")
class HeadStayRow {
  @Id UUID id;
  UUID headId;
  UUID engineId;
  double fromHours;
  Instant fromAt;
  @Nullable Double toHours;
  @Nullable Instant toAt;
  String hand;
  @Version int version;

  protected HeadStayRow() {}

  HeadStayRow(UUID id, UUID headId, UUID engineId) {
    this.id = id;
    this.headId = headId;
    this.engineId = engineId;
  }

  boolean open() {
    return toHours == null;
  }
}
