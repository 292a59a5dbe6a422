package shim.app.running;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;
import shim.app.record.Sound;

/** One run of one engine. */
@Entity
@Audited
@Table(name = "race_run")
class RunRow {
  @Id UUID id;
  UUID engineId;
  @Nullable UUID eventId;

  @Enumerated(EnumType.STRING)
  Runs.Kind kind;

  LocalDate onDate;

  @Convert(converter = Sound.Minutes.class)
  double minutes;

  @Nullable Double topRpm;
  int overRevs;
  @Nullable Double cycles;

  @Column(name = "hottest_f")
  @Nullable Double hottestF;

  boolean fromLogger;
  String hand;
  @Nullable String note;
  @Nullable Double used;
  @Nullable Double powerHp;
  @Nullable Double bestSeconds;
  @Version int version;

  protected RunRow() {}

  RunRow(UUID id) {
    this.id = id;
  }
}
