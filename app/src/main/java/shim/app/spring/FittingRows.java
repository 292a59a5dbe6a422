package shim.app.spring;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import shim.app.fitted.FittedRows;

interface FittingRows extends FittedRows<FittingRow> {
  List<FittingRow> findBySpringIdInOrderByFittedAt(Collection<UUID> springIds);
}
