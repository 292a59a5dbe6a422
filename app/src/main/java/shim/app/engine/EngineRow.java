package shim.app.engine;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** An engine's sheet as written down; one revision a change. */
@Entity
@Audited
@Table(name = "engine")
class EngineRow {
  @Id private UUID id;
  private String name;

  @Lob
  @Column(columnDefinition = "clob")
  private String sheet;

  @Version private int version;

  protected EngineRow() {}

  EngineRow(UUID id, String name, String sheet) {
    this.id = id;
    this.name = name;
    this.sheet = sheet;
  }

  UUID id() {
    return id;
  }

  String name() {
    return name;
  }

  String sheet() {
    return sheet;
  }

  int version() {
    return version;
  }

  void write(String name, String sheet) {
    this.name = name;
    this.sheet = sheet;
  }
}
