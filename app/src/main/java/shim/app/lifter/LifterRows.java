package shim.app.lifter;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LifterRows extends JpaRepository<LifterRow, UUID> {
  List<LifterRow> findAllByOrderByMark();
}
