package shim.app.fatigue;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.query.Param;

interface TestRows extends JpaRepository<TestRow, UUID> {
  List<TestRow> findByEngineIdOrderByStartedAt(UUID engineId);
}

interface LoadRows extends JpaRepository<LoadRow, UUID> {
  List<LoadRow> findByTestIdOrderByTakenAt(UUID testId);

  @Query(
      "select new shim.app.fatigue.LoadSeen(r.testId, r.springId, r.valve, r.heightIn, r.loadLbf,"
          + " r.member) from LoadRow r where r.springId in :springs order by r.takenAt")
  List<LoadSeen> seenOf(@Param("springs") Collection<UUID> springIds);
}

interface CheckRows extends JpaRepository<CheckRow, UUID> {
  List<CheckRow> findByTestIdInOrderByTakenAt(Collection<UUID> testIds);
}
