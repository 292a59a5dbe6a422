package shim.app.lifter;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.util.UUID;
import org.hibernate.envers.Audited;
import shim.app.fitted.FittedRow;

/** A lifter under one valve from some engine hours on. */
@Entity
@Audited
@Table(name = "lifter_fitting")
class LifterFittingRow extends FittedRow {
  UUID lifterId;

  protected LifterFittingRow() {}

  LifterFittingRow(UUID id) {
    super(id);
  }

  @Override
  public UUID partId() {
    return lifterId;
  }

  @Override
  public void partId(UUID part) {
    lifterId = part;
  }
}
