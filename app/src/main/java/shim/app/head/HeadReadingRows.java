package shim.app.head;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface HeadReadingRows extends JpaRepository<HeadReadingRow, UUID> {
  List<HeadReadingRow> findByHeadIdAndTakenBackFalseOrderByPlace(UUID headId);

  @Query("select max(r.place) from HeadReadingRow r where r.headId = :headId")
  @Nullable Long last(UUID headId);
}
