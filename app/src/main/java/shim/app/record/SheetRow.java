package shim.app.record;

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
import org.jspecify.annotations.Nullable;

/** One document under an id of its own. */
@Entity
@Audited
@Table(name = "kept_sheet")
class SheetRow {
  @Id String id;

  @Enumerated(EnumType.STRING)
  Documents.Kind kind;

  @Nullable UUID engineId;

  @Lob
  @Column(columnDefinition = "clob")
  String sheet;

  @Version int version;

  protected SheetRow() {}

  SheetRow(String id, Documents.Kind kind) {
    this.id = id;
    this.kind = kind;
  }
}
