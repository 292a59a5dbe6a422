package shim.app.lash;

import jakarta.persistence.Column;
import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.hibernate.envers.Audited;
import org.hibernate.envers.NotAudited;
import org.jspecify.annotations.Nullable;
import shim.app.record.Sound;
import shim.core.crank.School;
import shim.core.engine.HeatState;
import shim.core.engine.Position;

/** One lash round, with the engine's sheet as it stood when the round began. */
@Entity
@Audited
@Table(name = "lash_round")
class RoundRow {
  @Id UUID id;
  UUID engineId;

  @Enumerated(EnumType.STRING)
  HeatState state;

  String hand;

  @Convert(converter = Sound.Hours.class)
  double engineHours;

  @Column(name = "head_temp_start_f")
  @Nullable Double headTempStartF;

  @Column(name = "head_temp_end_f")
  @Nullable Double headTempEndF;

  @Enumerated(EnumType.STRING)
  School school;

  int stops;
  boolean onMarks;
  @Nullable Double fromDeg;
  boolean lookAtSprings;
  @Nullable String note;

  @Lob
  @Column(columnDefinition = "clob")
  String sheet;

  Instant startedAt;

  /** Valves of a partial round, one after another; null for all. */
  @Nullable String onlyValves;

  /** Where the crank stands now: passing news for the other devices, not history. */
  @NotAudited @Nullable Double crankDeg;

  @NotAudited @Nullable String crankBy;

  /** Class rules looked at when it was signed, one a line. */
  @Nullable String rulesChecked;

  @Nullable String signedBy;
  @Nullable Instant signedAt;

  /** What Shim said on the day of the signature. */
  @Lob
  @Column(columnDefinition = "clob")
  @Nullable String said;

  /** Goes up with each change of the round or of anything in it; written by {@code touch}. */
  @NotAudited
  @Column(insertable = false, updatable = false)
  long changes;

  @Version int version;

  protected RoundRow() {}

  RoundRow(UUID id, Rounds.RoundStart start, String sheet, Instant startedAt) {
    this.id = id;
    this.engineId = start.engineId();
    this.state = start.state();
    this.hand = start.hand();
    this.engineHours = start.engineHours();
    this.headTempStartF = start.headTempStartF();
    this.school = start.school();
    this.stops = start.stops();
    this.onMarks = start.onMarks();
    this.fromDeg = start.fromDeg();
    this.lookAtSprings = start.lookAtSprings();
    this.note = start.note();
    this.sheet = sheet;
    this.startedAt = startedAt;
    this.onlyValves =
        start.only() == null || start.only().isEmpty()
            ? null
            : String.join(" ", start.only().stream().map(Position::toString).toList());
  }

  /** The valves of a partial round; null for all. */
  @Nullable List<Position> only() {
    return onlyValves == null
        ? null
        : Stream.of(onlyValves.split(" ")).map(Position::parse).toList();
  }

  boolean signed() {
    return signedBy != null;
  }
}
