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
import shim.core.fatigue.TesterDay;

/** One reading of the check spring. */
@Entity
@Audited
@Table(name = "check_reading")
class CheckRow {
  @Id UUID id;
  UUID testId;
  String name;
  double knownLbf;
  double loadLbf;

  @Enumerated(EnumType.STRING)
  TesterDay.Side side;

  @Nullable String typed;
  String hand;
  Instant takenAt;
  @Version int version;

  protected CheckRow() {}

  CheckRow(UUID id) {
    this.id = id;
  }

  TesterDay.Check check() {
    return new TesterDay.Check(knownLbf, loadLbf, side);
  }
}
