package shim.app.lash;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import shim.app.running.HoursWritten;

interface ChainChangeRows extends JpaRepository<ChainChangeRow, UUID>, HoursWritten {
  List<ChainChangeRow> findByEngineIdOrderByChangedAt(UUID engineId);
}
