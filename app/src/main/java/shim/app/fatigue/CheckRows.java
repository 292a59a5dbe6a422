package shim.app.fatigue;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CheckRows extends JpaRepository<CheckRow, UUID> {
  List<CheckRow> findByTestIdInOrderByTakenAt(Collection<UUID> testIds);
}
