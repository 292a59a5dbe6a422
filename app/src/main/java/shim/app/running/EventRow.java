package shim.app.running;

import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;
import shim.app.record.Sound;

/** An event of one engine, planned or run. */
@Entity
@Audited
@Table(name = "race_event")
class EventRow {
  @Id UUID id;
  UUID engineId;
  String name;
  LocalDate onDate;

  @Convert(converter = Sound.Hours.class)
  double plannedHours;

  @Convert(converter = Sound.MaybeHours.class)
  @Nullable Double runHours;

  @Version int version;

  protected EventRow() {}

  EventRow(UUID id) {
    this.id = id;
  }
}
