package shim.app.change;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;
import shim.core.change.StaysOpen;

/** Something that stays open on an engine until it is put right. */
@Entity
@Audited
@Table(name = "open_item")
class OpenRow {
  @Id UUID id;
  UUID engineId;
  @Nullable UUID jobId;

  @Enumerated(EnumType.STRING)
  StaysOpen.Kind kind;

  String words;
  @Nullable Double dueHours;
  @Nullable Double dueUsed;
  @Nullable LocalDate dueOn;
  @Nullable String valve;
  @Nullable String part;
  String hand;
  Instant openedAt;
  @Nullable Instant closedAt;
  @Nullable String closedBy;
  @Nullable String closedWhy;
  @Version int version;

  protected OpenRow() {}

  OpenRow(UUID id, UUID engineId) {
    this.id = id;
    this.engineId = engineId;
  }
}
