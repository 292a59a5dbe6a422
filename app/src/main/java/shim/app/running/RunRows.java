package shim.app.running;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RunRows extends JpaRepository<RunRow, UUID> {
  List<RunRow> findByEngineIdOrderByOnDate(UUID engineId);
}
