package shim.app.spring;

import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;
import shim.app.record.Sound;

/** A spring at one valve from some engine hours on, with what is under and over it. */
@Entity
@Audited
@Table(name = "spring_fitting")
class FittingRow {
  @Id UUID id;
  UUID springId;
  UUID engineId;
  String valve;

  @Convert(converter = Sound.Hours.class)
  double fromHours;

  Instant fittedAt;
  @Nullable Double toHours;
  @Nullable Instant removedAt;

  @Convert(converter = Sound.Height.class)
  @Nullable Double heightIn;

  @Nullable String shims;
  @Nullable String retainer;
  @Nullable String locks;
  @Nullable String locator;
  @Nullable Double sealGapIn;
  @Nullable Double pocketIn;
  String hand;
  @Nullable String why;
  @Version int version;

  protected FittingRow() {}

  FittingRow(UUID id) {
    this.id = id;
  }

  boolean open() {
    return toHours == null;
  }
}
