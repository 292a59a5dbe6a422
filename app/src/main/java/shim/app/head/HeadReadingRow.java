package shim.app.head;

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
import shim.core.engine.Position;
import shim.core.head.HeadMeasure;
import shim.core.head.HeadPlace;
import shim.core.head.HeadRecord.HeadReading;

/** One figure read on a head; its place among all is the order they came in. */
@Entity
@Audited
@Table(name = "head_reading")
class HeadReadingRow {
  @Id UUID id;
  UUID headId;

  @Enumerated(EnumType.STRING)
  HeadMeasure what;

  @Nullable String valve;
  @Nullable Integer cylinder;
  @Nullable Integer bank;
  double figure;
  String hand;
  Instant takenAt;
  long place;
  boolean takenBack;
  @Version int version;

  protected HeadReadingRow() {}

  HeadReadingRow(UUID id, UUID headId, long place) {
    this.id = id;
    this.headId = headId;
    this.place = place;
  }

  HeadPlace at() {
    return new HeadPlace(valve == null ? null : Position.parse(valve), cylinder, bank);
  }

  HeadReading reading() {
    return new HeadReading(what, at(), figure);
  }
}
