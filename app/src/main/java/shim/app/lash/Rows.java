package shim.app.lash;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface RoundRows extends JpaRepository<RoundRow, UUID> {
  List<RoundRow> findByEngineIdOrderByStartedAt(UUID engineId);
}

interface ReadingRows extends JpaRepository<ReadingRow, UUID> {
  List<ReadingRow> findByRoundId(UUID roundId);

  List<ReadingRow> findByRoundIdIn(Collection<UUID> roundIds);

  Optional<ReadingRow> findByRoundIdAndValveAndPhase(UUID roundId, String valve, Phase phase);
}

interface LookRows extends JpaRepository<LookRow, UUID> {
  List<LookRow> findByRoundId(UUID roundId);

  Optional<LookRow> findByRoundIdAndValve(UUID roundId, String valve);
}

interface ChainChangeRows extends JpaRepository<ChainChangeRow, UUID> {
  List<ChainChangeRow> findByEngineIdOrderByChangedAt(UUID engineId);
}
