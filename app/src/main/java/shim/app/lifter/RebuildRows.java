package shim.app.lifter;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RebuildRows extends JpaRepository<RebuildRow, UUID> {
  List<RebuildRow> findByLifterIdInOrderByRebuiltAt(Collection<UUID> lifters);
}
