package shim.app.lash;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Objects;
import java.util.UUID;
import org.hibernate.annotations.SQLRestriction;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;
import shim.core.lash.Reading;
import shim.core.lash.WrittenRound.Phase;

/** One reading at one valve, as typed. */
@Entity
@Audited
@SQLRestriction(
    "form in ('TURNS', 'SAME') or "
        + "(form = 'LENGTH' and (figure is null or figure >= 2 and figure <= 16)) or "
        + "(form <> 'LENGTH' and figure >= 0 and figure < 1)")
@Table(name = "lash_reading")
class ReadingRow {
  @Id UUID id;
  UUID roundId;
  String valve;

  @Enumerated(EnumType.STRING)
  Phase phase;

  @Enumerated(EnumType.STRING)
  Form form;

  @Nullable Double figure;
  @Nullable Double secondFigure;

  @Enumerated(EnumType.STRING)
  Reading.@Nullable Feel feel;

  @Nullable String typed;
  @Nullable Double partSizeIn;
  String hand;
  @Nullable String note;
  Instant takenAt;
  @Version int version;

  protected ReadingRow() {}

  ReadingRow(UUID id, UUID roundId) {
    this.id = id;
    this.roundId = roundId;
  }

  void write(Rounds.ReadingEntry entry, Instant at) {
    valve = entry.valve().toString();
    phase = entry.phase();
    form = entry.form();
    figure = entry.figure();
    secondFigure = entry.secondFigure();
    feel = entry.feel();
    typed = entry.typed();
    partSizeIn = entry.partSizeIn();
    hand = entry.hand();
    note = entry.note();
    takenAt = at;
  }

  Rounds.ReadingEntry entry() {
    return new Rounds.ReadingEntry(
        Position.parse(valve),
        phase,
        form,
        figure,
        secondFigure,
        feel,
        typed,
        partSizeIn,
        hand,
        note,
        null,
        null);
  }

  /** It belongs to this round, valve and phase. */
  boolean isAt(UUID round, Rounds.ReadingEntry e) {
    return roundId.equals(round) && valve.equals(e.valve().toString()) && phase == e.phase();
  }

  /** True when the entry would change nothing: a repeat of what is already kept. */
  boolean sameAs(Rounds.ReadingEntry e) {
    return valve.equals(e.valve().toString())
        && phase == e.phase()
        && form == e.form()
        && Objects.equals(figure, e.figure())
        && Objects.equals(secondFigure, e.secondFigure())
        && feel == e.feel()
        && Objects.equals(partSizeIn, e.partSizeIn())
        && hand.equals(e.hand())
        && Objects.equals(note, e.note());
  }

  /** The gap it stands for; null of a hydraulic valve, or where it is the same as found. */
  @Nullable Reading reading(double stepIn) {
    double first = figure == null ? Double.NaN : figure;
    return switch (form) {
      case FIGURE -> new Reading.Figure(first, stepIn);
      case GO_NO_GO -> new Reading.GoNoGo(first, secondFigure == null ? Double.NaN : secondFigure);
      case LEAF -> new Reading.Leaf(first, feel == null ? Reading.Feel.RIGHT : feel, stepIn);
      case TURNS, LENGTH, SAME -> null;
    };
  }
}
