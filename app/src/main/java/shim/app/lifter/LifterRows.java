package shim.app.lifter;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import shim.app.running.HoursWritten;

interface LifterRows extends JpaRepository<LifterRow, UUID> {
  List<LifterRow> findAllByOrderByMark();
}

interface LifterFittingRows extends JpaRepository<LifterFittingRow, UUID>, HoursWritten {
  @Override
  @Query(
      "select max(coalesce(x.toHours, x.fromHours)) from LifterFittingRow x where x.engineId = :engineId"
          + " and coalesce(x.toHours, x.fromHours)"
          + HoursWritten.SOUND)
  @Nullable Double latestHours(UUID engineId);

  List<LifterFittingRow> findByEngineIdOrderByFittedAt(UUID engineId);

  List<LifterFittingRow> findByLifterIdInOrderByFittedAt(Collection<UUID> lifters);

  List<LifterFittingRow> findByToHoursIsNull();
}

interface RebuildRows extends JpaRepository<RebuildRow, UUID> {
  List<RebuildRow> findByLifterIdInOrderByRebuiltAt(Collection<UUID> lifters);
}

interface LifterRulesRows extends JpaRepository<LifterRulesRow, UUID> {
  Optional<LifterRulesRow> findByEngineId(UUID engineId);
}

interface InspectionRows extends JpaRepository<InspectionRow, UUID>, HoursWritten {
  @Override
  @Query(
      "select max(x.engineHours) from InspectionRow x where x.engineId = :engineId and x.engineHours"
          + HoursWritten.SOUND)
  @Nullable Double latestHours(UUID engineId);

  List<InspectionRow> findByEngineIdOrderBySeenAt(UUID engineId);
}
