package shim.app.lifter;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import shim.app.running.HoursWritten;

interface InspectionRows extends JpaRepository<InspectionRow, UUID>, HoursWritten {
  List<InspectionRow> findByEngineIdOrderBySeenAt(UUID engineId);
}
