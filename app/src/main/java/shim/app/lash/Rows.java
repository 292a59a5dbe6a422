package shim.app.lash;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import shim.app.running.HoursWritten;
import shim.core.lash.WrittenRound.Phase;

interface RoundRows extends JpaRepository<RoundRow, UUID>, HoursWritten {
  List<RoundRow> findByEngineIdOrderByStartedAt(UUID engineId);

  /** Counts one more change of a round. */
  @Modifying
  @Query("update RoundRow r set r.changes = r.changes + 1 where r.id = :id")
  void touch(UUID id);
}

interface ReadingRows extends JpaRepository<ReadingRow, UUID> {
  List<ReadingRow> findByRoundId(UUID roundId);

  List<ReadingRow> findByRoundIdIn(Collection<UUID> roundIds);

  Optional<ReadingRow> findByRoundIdAndValveAndPhase(UUID roundId, String valve, Phase phase);
}

interface LookRows extends JpaRepository<LookRow, UUID> {
  List<LookRow> findByRoundId(UUID roundId);

  List<LookRow> findByRoundIdIn(Collection<UUID> roundIds);

  Optional<LookRow> findByRoundIdAndValve(UUID roundId, String valve);
}

interface ChainChangeRows extends JpaRepository<ChainChangeRow, UUID>, HoursWritten {
  List<ChainChangeRow> findByEngineIdOrderByChangedAt(UUID engineId);
}
