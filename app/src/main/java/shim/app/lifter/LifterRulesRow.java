package shim.app.lifter;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** What a team has settled for an engine's lifters, as a document. */
@Entity
@Audited
@Table(name = "lifter_rules")
class LifterRulesRow {
  @Id UUID id;
  UUID engineId;

  @Lob
  @Column(columnDefinition = "clob")
  String sheet;

  @Version int version;

  protected LifterRulesRow() {}

  LifterRulesRow(UUID id, UUID engineId) {
    this.id = id;
    this.engineId = engineId;
  }
}
