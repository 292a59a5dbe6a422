package shim.app.change;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** The rules of one engine's spring changes as a document. */
@Entity
@Audited
@Table(name = "change_rules")
class ChangeRulesRow {
  @Id UUID id;
  UUID engineId;

  @Lob
  @Column(columnDefinition = "clob")
  String sheet;

  @Version int version;

  protected ChangeRulesRow() {}

  ChangeRulesRow(UUID id, UUID engineId) {
    this.id = id;
    this.engineId = engineId;
  }
}
