package shim.app.record;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import org.hibernate.envers.RevisionEntity;
import org.hibernate.envers.RevisionNumber;
import org.hibernate.envers.RevisionTimestamp;
import org.jspecify.annotations.Nullable;

/** One change: when, by whom, why. */
@Entity
@Table(name = "revision")
@RevisionEntity(RevisionWriter.class)
public class Revision {
  @Id
  @GeneratedValue(strategy = GenerationType.IDENTITY)
  @RevisionNumber
  private int id;

  @RevisionTimestamp
  @Column(name = "at_millis")
  private long atMillis;

  @Nullable private String who;
  @Nullable private String why;

  public long atMillis() {
    return atMillis;
  }

  public @Nullable String who() {
    return who;
  }

  public @Nullable String why() {
    return why;
  }

  void sign(@Nullable String who, @Nullable String why) {
    this.who = who;
    this.why = why;
  }
}
