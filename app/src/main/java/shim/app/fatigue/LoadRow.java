package shim.app.fatigue;

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

/** One reading of one spring. */
@Entity
@Audited
@Table(name = "spring_reading")
class LoadRow {
  @Id UUID id;
  UUID testId;
  UUID springId;
  @Nullable String valve;
  double heightIn;
  double loadLbf;

  @Enumerated(EnumType.STRING)
  SpringTests.Member member;

  @Nullable String typed;
  boolean again;
  String hand;
  @Nullable String note;
  Instant takenAt;
  @Version int version;

  protected LoadRow() {}

  LoadRow(UUID id) {
    this.id = id;
  }
}
