package shim.app.spring;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.util.UUID;
import org.hibernate.envers.Audited;

/** A data sheet as written down. */
@Entity
@Audited
@Table(name = "spring_type")
class SpringTypeRow {
  @Id UUID id;
  String name;

  @Lob
  @Column(columnDefinition = "clob")
  String sheet;

  @Version int version;

  protected SpringTypeRow() {}

  SpringTypeRow(UUID id) {
    this.id = id;
  }
}
