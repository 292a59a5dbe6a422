package shim.app.spring;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SpringTypeRows extends JpaRepository<SpringTypeRow, UUID> {
  List<SpringTypeRow> findAllByOrderByName();
}
