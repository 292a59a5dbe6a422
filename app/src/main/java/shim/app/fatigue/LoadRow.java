package shim.app.fatigue;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.SQLRestriction;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;

/** One reading of one spring. */
@Entity
@Audited
@SQLRestriction(LoadRow.SOUND)
@Table(name = "spring_reading")
class LoadRow {
  /** Rows that hold what cannot be are left out until they are mended. */
  static final String SOUND = "load_lbf > 0 and load_lbf <= 5000 and height_in between 0.1 and 300";

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
