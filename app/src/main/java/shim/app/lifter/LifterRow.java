package shim.app.lifter;

import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;
import shim.app.record.Sound;
import shim.core.engine.Lifter;

/** One lifter by its mark. */
@Entity
@Audited
@Table(name = "lifter")
class LifterRow {
  @Id UUID id;

  @Enumerated(EnumType.STRING)
  Lifter kind;

  String mark;
  @Nullable String setName;
  @Nullable UUID partnerId;

  @Convert(converter = Sound.Hours.class)
  double hoursBefore;

  boolean scrapped;
  @Nullable String note;
  @Version int version;

  protected LifterRow() {}

  LifterRow(UUID id) {
    this.id = id;
  }
}
