package shim.app.rules;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.envers.Audited;
import shim.app.record.Documents;

/** The rules of one kind for one engine as a document. */
@Entity
@Audited
@Table(name = "team_rules")
class TeamRulesRow {
  @Id UUID id;
  UUID engineId;

  @Enumerated(EnumType.STRING)
  Documents.Kind kind;

  @Lob
  @Column(columnDefinition = "clob")
  String sheet;

  @Version int version;

  protected TeamRulesRow() {}

  TeamRulesRow(UUID id, UUID engineId, Documents.Kind kind) {
    this.id = id;
    this.engineId = engineId;
    this.kind = kind;
  }
}
