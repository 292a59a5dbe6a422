package shim.app.lash;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;

/** A part changed in the chain of some valves: their lash starts a new baseline. */
@Entity
@Audited
@Table(name = "chain_change")
class ChainChangeRow {
  @Id UUID id;
  UUID engineId;
  String valves;

  @Enumerated(EnumType.STRING)
  Part part;

  double engineHours;
  Instant changedAt;
  String hand;
  @Nullable String note;
  @Version int version;

  protected ChainChangeRow() {}

  ChainChangeRow(UUID id) {
    this.id = id;
  }

  List<Position> positions() {
    return Arrays.stream(valves.split(" ")).map(Position::parse).toList();
  }
}
