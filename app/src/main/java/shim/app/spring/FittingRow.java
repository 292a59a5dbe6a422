package shim.app.spring;

import jakarta.persistence.Convert;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;
import shim.app.fitted.FittedRow;
import shim.app.record.Sound;

/** A spring at one valve from some engine hours on, with what is under and over it. */
@Entity
@Audited
@Table(name = "spring_fitting")
class FittingRow extends FittedRow {
  UUID springId;

  @Convert(converter = Sound.Height.class)
  @Nullable Double heightIn;

  @Nullable String shims;
  @Nullable String retainer;
  @Nullable String locks;
  @Nullable String locator;
  @Nullable Double sealGapIn;
  @Nullable Double pocketIn;
  @Nullable Double coilGapIn;

  protected FittingRow() {}

  FittingRow(UUID id) {
    super(id);
  }

  @Override
  public UUID partId() {
    return springId;
  }

  @Override
  public void partId(UUID part) {
    springId = part;
  }
}
