package shim.app.spring;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;
import shim.app.running.HoursWritten;

interface SpringTypeRows extends JpaRepository<SpringTypeRow, UUID> {
  List<SpringTypeRow> findAllByOrderByName();
}

interface SpringRowsById extends JpaRepository<SpringRow, UUID> {
  List<SpringRow> findAllByOrderByMark();
}

interface FittingRows extends JpaRepository<FittingRow, UUID>, HoursWritten {
  @Override
  @Query(
      "select max(coalesce(x.toHours, x.fromHours)) from FittingRow x where x.engineId = :engineId"
          + " and coalesce(x.toHours, x.fromHours)"
          + HoursWritten.SOUND)
  @Nullable Double latestHours(UUID engineId);

  List<FittingRow> findByEngineIdOrderByFittedAt(UUID engineId);

  List<FittingRow> findBySpringIdInOrderByFittedAt(Collection<UUID> springIds);

  List<FittingRow> findByToHoursIsNull();
}

interface RulesRows extends JpaRepository<RulesRow, UUID> {
  Optional<RulesRow> findByEngineId(UUID engineId);
}
