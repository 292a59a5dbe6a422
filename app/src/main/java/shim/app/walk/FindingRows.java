package shim.app.walk;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface FindingRows extends JpaRepository<FindingRow, UUID> {
  List<FindingRow> findByJobIdOrderByFoundAt(UUID jobId);
}
