package shim.app.change;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface OpenRows extends JpaRepository<OpenRow, UUID> {
  List<OpenRow> findByEngineIdOrderByOpenedAt(UUID engineId);
}
