package shim.app.head;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface HeadStayRows extends JpaRepository<HeadStayRow, UUID> {
  List<HeadStayRow> findByHeadIdOrderByFromAt(UUID headId);

  List<HeadStayRow> findByEngineIdAndToHoursIsNull(UUID engineId);
}
