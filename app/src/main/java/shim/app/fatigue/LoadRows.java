package shim.app.fatigue;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LoadRows extends JpaRepository<LoadRow, UUID> {
  List<LoadRow> findByTestIdOrderByTakenAt(UUID testId);

  List<LoadRow> findByTestIdIn(Collection<UUID> testIds);
}
