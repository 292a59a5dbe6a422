package shim.app.lash;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import shim.app.running.HoursWritten;

interface RoundRows extends JpaRepository<RoundRow, UUID>, HoursWritten {
  List<RoundRow> findByEngineIdOrderByStartedAt(UUID engineId);

  /** Counts one more change of a round. */
  @Modifying
  @Query("update RoundRow r set r.changes = r.changes + 1 where r.id = :id")
  void touch(UUID id);
}
