package shim.app.cam;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;
import shim.core.cam.CamMeasure;

/**
 * One figure read at the cam bench; its place among all is the order they came in. {@code atFigure}
 * is where it was read: inch under the nose, or crank degrees after TDC; else zero.
 */
@Entity
@Audited
@Table(name = "cam_reading")
class CamReadingRow {
  @Id UUID id;
  UUID sittingId;

  @Enumerated(EnumType.STRING)
  CamMeasure what;

  @Nullable String valve;
  double atFigure;
  double figure;
  boolean touched;
  String hand;
  Instant takenAt;
  long place;
  boolean takenBack;
  @Version int version;

  protected CamReadingRow() {}

  CamReadingRow(UUID id, UUID sittingId, long place) {
    this.id = id;
    this.sittingId = sittingId;
    this.place = place;
  }
}
