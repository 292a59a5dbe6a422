package shim.app.lash;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LookRows extends JpaRepository<LookRow, UUID> {
  List<LookRow> findByRoundId(UUID roundId);

  List<LookRow> findByRoundIdIn(Collection<UUID> roundIds);

  Optional<LookRow> findByRoundIdAndValve(UUID roundId, String valve);
}
