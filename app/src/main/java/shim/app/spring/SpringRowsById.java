package shim.app.spring;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SpringRowsById extends JpaRepository<SpringRow, UUID> {
  List<SpringRow> findAllByOrderByMark();
}
