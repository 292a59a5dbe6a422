package shim.app.spring;

import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;
import shim.app.record.Sound;

/** One spring by its mark. */
@Entity
@Audited
@Table(name = "spring")
class SpringRow {
  @Id UUID id;
  UUID typeId;
  String mark;
  @Nullable String setName;
  @Nullable String batch;

  @Convert(converter = Sound.Hours.class)
  double hoursBefore;

  @Nullable Double odIn;
  boolean scrapped;
  @Nullable Double brokeAtHours;
  @Nullable String note;
  @Version int version;

  protected SpringRow() {}

  SpringRow(UUID id) {
    this.id = id;
  }
}
