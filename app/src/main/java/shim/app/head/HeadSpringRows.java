package shim.app.head;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface HeadSpringRows extends JpaRepository<HeadSpringRow, UUID> {
  List<HeadSpringRow> findByHeadIdAndTakenAtIsNullOrderByValve(UUID headId);

  List<HeadSpringRow> findByTakenAtIsNull();
}
