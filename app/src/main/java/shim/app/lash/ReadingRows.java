package shim.app.lash;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import shim.core.lash.WrittenRound.Phase;

interface ReadingRows extends JpaRepository<ReadingRow, UUID> {
  List<ReadingRow> findByRoundId(UUID roundId);

  List<ReadingRow> findByRoundIdIn(Collection<UUID> roundIds);

  Optional<ReadingRow> findByRoundIdAndValveAndPhase(UUID roundId, String valve, Phase phase);
}
