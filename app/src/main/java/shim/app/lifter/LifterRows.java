package shim.app.lifter;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import shim.app.fitted.FittedRows;
import shim.app.running.HoursWritten;

interface LifterRows extends JpaRepository<LifterRow, UUID> {
  List<LifterRow> findAllByOrderByMark();
}

interface LifterFittingRows extends FittedRows<LifterFittingRow> {
  List<LifterFittingRow> findByLifterIdInOrderByFittedAt(Collection<UUID> lifters);
}

interface RebuildRows extends JpaRepository<RebuildRow, UUID> {
  List<RebuildRow> findByLifterIdInOrderByRebuiltAt(Collection<UUID> lifters);
}

interface InspectionRows extends JpaRepository<InspectionRow, UUID>, HoursWritten {
  List<InspectionRow> findByEngineIdOrderBySeenAt(UUID engineId);
}
