package shim.app.engine;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface EngineRows extends JpaRepository<EngineRow, UUID> {
  List<EngineRow> findAllByOrderByName();
}
