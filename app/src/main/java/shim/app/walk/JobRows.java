package shim.app.walk;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import shim.app.running.HoursWritten;

interface JobRows extends JpaRepository<JobRow, UUID>, HoursWritten {
  List<JobRow> findByEngineIdOrderByStartedAt(UUID engineId);

  List<JobRow> findByHeadIdOrderByStartedAt(UUID headId);

  List<JobRow> findByEndedAtIsNullOrderByStartedAt();

  /** Counts one more change of a job. */
  @Modifying
  @Query("update JobRow j set j.changes = j.changes + 1 where j.id = :id")
  void touch(UUID id);
}
