package shim.app.fatigue;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.hibernate.envers.NotAudited;
import org.jspecify.annotations.Nullable;
import shim.app.record.Sound;
import shim.core.engine.HeatState;

/** One spring test of one engine. */
@Entity
@Audited
@Table(name = "spring_test")
class TestRow {
  @Id UUID id;
  UUID engineId;
  @Nullable UUID roundId;
  Instant startedAt;

  @Convert(converter = Sound.Hours.class)
  double engineHours;

  @Enumerated(EnumType.STRING)
  SpringTests.Place place;

  @Enumerated(EnumType.STRING)
  HeatState state;

  @Enumerated(EnumType.STRING)
  SpringTests.WorkingOrder workingOrder;

  String tester;
  int repeats;
  String hand;
  @Nullable String note;
  @Nullable Instant endedAt;

  /** Goes up with each change of the test or of anything in it; written by {@code touch}. */
  @NotAudited
  @Column(insertable = false, updatable = false)
  long changes;

  @Version int version;

  protected TestRow() {}

  TestRow(UUID id) {
    this.id = id;
  }
}
