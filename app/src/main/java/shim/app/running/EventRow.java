package shim.app.running;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;

/** An event of one engine, planned or run. */
@Entity
@Audited
@Table(name = "race_event")
class EventRow {
  @Id UUID id;
  UUID engineId;
  String name;
  LocalDate onDate;
  double plannedHours;
  @Nullable Double runHours;
  @Version int version;

  protected EventRow() {}

  EventRow(UUID id) {
    this.id = id;
  }
}
