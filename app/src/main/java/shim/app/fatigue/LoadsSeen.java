package shim.app.fatigue;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * All readings of some springs, as rows and not as entities: an engine has ten thousand of them,
 * and nothing is changed through this door.
 */
@Component
class LoadsSeen {
  private final JdbcClient jdbc;

  LoadsSeen(JdbcClient jdbc) {
    this.jdbc = jdbc;
  }

  List<LoadSeen> of(Collection<UUID> springs) {
    if (springs.isEmpty()) {
      return List.of();
    }
    return jdbc.sql(
            "select test_id, spring_id, valve, height_in, load_lbf, member, again"
                + " from spring_reading"
                + " where spring_id in (:springs) and "
                + LoadRow.SOUND
                + " order by taken_at")
        .param("springs", springs)
        .query(
            (r, n) ->
                new LoadSeen(
                    r.getObject(1, UUID.class),
                    r.getObject(2, UUID.class),
                    r.getString(3),
                    r.getDouble(4),
                    r.getDouble(5),
                    member(r.getString(6)),
                    r.getBoolean(7)))
        .list();
  }

  /** Nearly all are whole springs: that is known without a look into the list of names. */
  private static SpringTests.Member member(String name) {
    return "WHOLE".equals(name) ? SpringTests.Member.WHOLE : SpringTests.Member.valueOf(name);
  }
}
