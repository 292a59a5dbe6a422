package shim.app.spring;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import shim.app.fitted.FittedRows;

interface SpringTypeRows extends JpaRepository<SpringTypeRow, UUID> {
  List<SpringTypeRow> findAllByOrderByName();
}

interface SpringRowsById extends JpaRepository<SpringRow, UUID> {
  List<SpringRow> findAllByOrderByMark();
}

interface FittingRows extends FittedRows<FittingRow> {
  List<FittingRow> findBySpringIdInOrderByFittedAt(Collection<UUID> springIds);
}
