package shim.app.cam;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface CamReadingRows extends JpaRepository<CamReadingRow, UUID> {
  List<CamReadingRow> findBySittingIdAndTakenBackFalseOrderByPlace(UUID sittingId);

  @Query("select max(r.place) from CamReadingRow r where r.sittingId = :sittingId")
  @Nullable Long last(UUID sittingId);
}
