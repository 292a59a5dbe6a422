package shim.app.lifter;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Objects;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;
import shim.core.lifter.Look;

/** What was seen at a valve, a cylinder or the engine; its photo lies beside the database. */
@Entity
@Audited
@Table(name = "inspection")
class InspectionRow {
  @Id UUID id;
  UUID engineId;
  @Nullable String valve;
  @Nullable Integer cylinder;

  @Enumerated(EnumType.STRING)
  Look look;

  String grade;
  @Nullable Double figure;
  @Nullable Double otherSide;
  @Nullable Double liftIn;
  @Nullable String note;
  @Nullable String photoType;
  double engineHours;
  String hand;
  Instant seenAt;
  @Version int version;

  protected InspectionRow() {}

  InspectionRow(UUID id) {
    this.id = id;
  }

  /** It is this look at this place. */
  boolean isAt(Inspections.FindingSeen seen) {
    String at = seen.valve() == null ? null : seen.valve().toString();
    return look == seen.look()
        && Objects.equals(valve, at)
        && Objects.equals(cylinder, seen.cylinder());
  }
}
