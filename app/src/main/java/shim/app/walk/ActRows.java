package shim.app.walk;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ActRows extends JpaRepository<ActRow, UUID> {
  List<ActRow> findByJobIdOrderByPlace(UUID jobId);
}
