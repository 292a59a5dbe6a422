package shim.app.fatigue;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TestRows extends JpaRepository<TestRow, UUID> {
  List<TestRow> findByEngineIdOrderByStartedAt(UUID engineId);

  List<TestRow> findByRoundIdOrderByStartedAt(UUID roundId);
}

interface LoadRows extends JpaRepository<LoadRow, UUID> {
  List<LoadRow> findByTestIdOrderByTakenAt(UUID testId);
}

interface CheckRows extends JpaRepository<CheckRow, UUID> {
  List<CheckRow> findByTestIdInOrderByTakenAt(Collection<UUID> testIds);
}
