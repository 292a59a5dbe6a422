package shim.app.record;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Table;
import java.util.UUID;
import org.springframework.stereotype.Component;
import shim.app.http.Refusal;

/**
 * An id belongs to one thing for ever. A copy of an old request that arrives late, after its
 * reading was taken back, must not bring it back.
 */
@Component
public class TakenBack {
  private static final int DELETED = 2;
  private final EntityManager store;

  TakenBack(EntityManager store) {
    this.store = store;
  }

  /** Refuses the id of a row of this kind that was taken back. */
  public void refuse(Class<?> row, UUID id) {
    String table = row.getAnnotation(Table.class).name();
    Number times =
        (Number)
            store
                .createNativeQuery(
                    "select count(*) from " + table + "_history where id = :id and revtype = :gone")
                .setParameter("id", id)
                .setParameter("gone", DELETED)
                .getSingleResult();
    if (times.intValue() > 0) {
      throw Refusal.conflict("this was taken back before: enter it anew");
    }
  }

  /** Refuses an id that already belongs to something at another place. */
  public static void refuseOther(boolean samePlace) {
    if (!samePlace) {
      throw Refusal.conflict(
          "this entry's id already belongs to another one, which stays as it is: enter it anew");
    }
  }
}
