package shim.app.record;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.support.GeneratedKeyHolder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.http.Refusal;

/**
 * Rows that hold what is refused today: kept by an older Shim, or brought in from outside. They are
 * left out of every calculation, shown, and mended by a person, with who did it in their history.
 */
@Service
@Transactional
class BadRows {
  private final JdbcTemplate sql;
  private final Clock clock;

  BadRows(JdbcTemplate sql, Clock clock) {
    this.sql = sql;
    this.clock = clock;
  }

  /** What kind of figure cannot be. */
  enum Kind {
    EVENT_PLANNED_HOURS("race_event", "planned_hours", "name", 0, Sound.MOST_HOURS),
    EVENT_RUN_HOURS("race_event", "run_hours", "name", 0, Sound.MOST_HOURS),
    RUN_MINUTES("race_run", "minutes", "cast(on_date as varchar)", 0.01, 6000),
    SPRING_HOURS_BEFORE("spring", "hours_before", "mark", 0, Sound.MOST_HOURS),
    LIFTER_HOURS_BEFORE("lifter", "hours_before", "mark", 0, Sound.MOST_HOURS),
    FITTING_HEIGHT("spring_fitting", "height_in", "valve", 0.1, 10),
    FITTING_FROM_HOURS("spring_fitting", "from_hours", "valve", 0, Sound.MOST_HOURS),
    TEST_HOURS("spring_test", "engine_hours", "tester", 0, Sound.MOST_HOURS),
    ROUND_HOURS("lash_round", "engine_hours", "hand", 0, Sound.MOST_HOURS),
    LOAD("spring_reading", "load_lbf", "valve", 0.01, 5000),
    LOAD_HEIGHT("spring_reading", "height_in", "valve", 0.1, 10),
    LASH("lash_reading", "figure", "valve", 0, 0.9999),
    ZERO_LASH_LENGTH("lash_reading", "figure", "valve", 2, 16);

    private final String table;
    private final String column;
    private final String label;
    private final double low;
    private final double high;

    Kind(String table, String column, String label, double low, double high) {
      this.table = table;
      this.column = column;
      this.label = label;
      this.low = low;
      this.high = high;
    }

    /** Which rows of the table belong to an engine. */
    private String ofEngine() {
      return switch (table) {
        case "spring" -> "id in (select spring_id from spring_fitting where engine_id = ?)";
        case "lifter" -> "id in (select lifter_id from lifter_fitting where engine_id = ?)";
        case "spring_reading" -> "test_id in (select id from spring_test where engine_id = ?)";
        case "lash_reading" ->
            (this == LASH ? "form not in ('TURNS', 'LENGTH', 'SAME')" : "form = 'LENGTH'")
                + " and round_id in (select id from lash_round where engine_id = ?)";
        default -> "engine_id = ?";
      };
    }

    /** A reading is nothing without its figure: it may be taken out too. */
    private boolean mayGo() {
      return table.endsWith("_reading");
    }
  }

  /**
   * A row that cannot be.
   *
   * @param label what it belongs to: an event's name, a valve, a mark
   * @param value what stands in it
   * @param low least that may stand there, {@code high} the most
   * @param mayGo it may be taken out as a whole
   */
  record BadRow(
      Kind kind, UUID id, String label, String value, double low, double high, boolean mayGo) {}

  @Transactional(readOnly = true)
  List<BadRow> of(UUID engineId) {
    List<BadRow> all = new ArrayList<>();
    for (Kind k : Kind.values()) {
      String query =
          "select id, %s, %s from %s where %s is not null and not (%s between %s and %s) and %s"
              .formatted(
                  k.label, k.column, k.table, k.column, k.column, k.low, top(k), k.ofEngine());
      all.addAll(sql.query(query, (r, i) -> row(k, r), engineId));
    }
    return all;
  }

  /** A height may stand there in millimetres, and is asked about where it is used. */
  private static double top(Kind k) {
    return k.column.equals("height_in") ? 300 : k.high;
  }

  private static BadRow row(Kind k, ResultSet r) throws SQLException {
    return new BadRow(
        k,
        r.getObject(1, UUID.class),
        String.valueOf(r.getString(2)),
        r.getString(3),
        k.low,
        k.high,
        k.mayGo());
  }

  /** Puts another figure in its place or, without one, takes the row out; history tells of both. */
  void mend(UUID engineId, Kind kind, UUID id, @Nullable Double value, String hand) {
    if (of(engineId).stream().noneMatch(b -> b.kind() == kind && b.id().equals(id))) {
      throw Refusal.notFound("this entry needs no mending any more");
    }
    if (value == null && !kind.mayGo()) {
      throw Refusal.invalid("value", "which figure shall stand there?");
    }
    Refusal.outside(
        "value", value, kind.low, kind.high, "between " + kind.low + " and " + kind.high);
    int revision = revision(hand);
    String history =
        "insert into %s_history (id, rev, revtype, %s) values (?, ?, ?, ?)"
            .formatted(kind.table, kind.column);
    if (value == null) {
      sql.update("delete from " + kind.table + " where id = ?", id);
      sql.update(history, id, revision, DELETED, null);
    } else {
      sql.update(
          "update %s set %s = ?, version = version + 1 where id = ?"
              .formatted(kind.table, kind.column),
          value,
          id);
      sql.update(history, id, revision, CHANGED, value);
    }
  }

  private static final int CHANGED = 1;
  private static final int DELETED = 2;

  private int revision(String hand) {
    GeneratedKeyHolder key = new GeneratedKeyHolder();
    sql.update(
        c -> {
          var s =
              c.prepareStatement(
                  "insert into revision (at_millis, who, why) values (?, ?, ?)",
                  new String[] {"id"});
          s.setLong(1, clock.millis());
          s.setString(2, hand);
          s.setString(3, "mended: it could not be");
          return s;
        },
        key);
    Map<String, Object> keys = java.util.Objects.requireNonNull(key.getKeys());
    return ((Number) keys.values().iterator().next()).intValue();
  }
}
