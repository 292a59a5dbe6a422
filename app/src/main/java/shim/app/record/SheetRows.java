package shim.app.record;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SheetRows extends JpaRepository<SheetRow, String> {
  List<SheetRow> findByKindOrderById(Documents.Kind kind);

  List<SheetRow> findByKindAndEngineIdOrderById(Documents.Kind kind, UUID engineId);
}
