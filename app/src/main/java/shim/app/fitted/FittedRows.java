package shim.app.fitted;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.repository.NoRepositoryBean;
import shim.app.running.HoursWritten;

/** The stays of one kind of part. */
@NoRepositoryBean
public interface FittedRows<R extends FittedRow>
    extends JpaRepository<R, UUID>, HoursWritten.OfStays {
  List<R> findByEngineIdOrderByFittedAt(UUID engineId);

  List<R> findByToHoursIsNull();
}
