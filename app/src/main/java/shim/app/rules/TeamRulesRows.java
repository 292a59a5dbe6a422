package shim.app.rules;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import shim.app.record.Documents;

interface TeamRulesRows extends JpaRepository<TeamRulesRow, UUID> {
  Optional<TeamRulesRow> findByEngineIdAndKind(UUID engineId, Documents.Kind kind);
}
