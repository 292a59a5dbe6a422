package shim.app.fatigue;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import shim.app.running.HoursWritten;

interface TestRows extends JpaRepository<TestRow, UUID>, HoursWritten {
  List<TestRow> findByEngineIdOrderByStartedAt(UUID engineId);

  List<TestRow> findByRoundIdOrderByStartedAt(UUID roundId);

  /** Counts one more change of a test. */
  @Modifying
  @Query("update TestRow t set t.changes = t.changes + 1 where t.id = :id")
  void touch(UUID id);
}
