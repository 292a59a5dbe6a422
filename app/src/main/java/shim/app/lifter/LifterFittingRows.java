package shim.app.lifter;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import shim.app.fitted.FittedRows;

interface LifterFittingRows extends FittedRows<LifterFittingRow> {
  List<LifterFittingRow> findByLifterIdInOrderByFittedAt(Collection<UUID> lifters);
}
