package shim.app.lifter;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import shim.app.running.HoursWritten;

interface LifterRows extends JpaRepository<LifterRow, UUID> {
  List<LifterRow> findAllByOrderByMark();
}

interface LifterFittingRows extends JpaRepository<LifterFittingRow, UUID>, HoursWritten.OfStays {
  List<LifterFittingRow> findByEngineIdOrderByFittedAt(UUID engineId);

  List<LifterFittingRow> findByLifterIdInOrderByFittedAt(Collection<UUID> lifters);

  List<LifterFittingRow> findByToHoursIsNull();
}

interface RebuildRows extends JpaRepository<RebuildRow, UUID> {
  List<RebuildRow> findByLifterIdInOrderByRebuiltAt(Collection<UUID> lifters);
}

interface InspectionRows extends JpaRepository<InspectionRow, UUID>, HoursWritten {
  List<InspectionRow> findByEngineIdOrderBySeenAt(UUID engineId);
}
