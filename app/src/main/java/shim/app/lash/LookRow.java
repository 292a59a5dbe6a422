package shim.app.lash;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;
import shim.app.record.Ids;
import shim.core.lash.Seen;

/** What the eye saw at one valve during a round, and whether it was put off. */
@Entity
@Audited
@Table(name = "valve_look")
class LookRow {
  @Id UUID id;
  UUID roundId;
  String valve;

  @Enumerated(EnumType.STRING)
  @Nullable Seen spring;

  @Enumerated(EnumType.STRING)
  @Nullable Seen rocker;

  @Nullable String note;
  boolean skipped;
  String hand;
  @Version int version;

  protected LookRow() {}

  LookRow(UUID roundId, String valve) {
    this.id = Ids.of(roundId + valve);
    this.roundId = roundId;
    this.valve = valve;
  }
}
