package shim.bench;

import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Scanner;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import shim.core.drift.DriftRules;
import shim.core.drift.LashDrift;
import shim.core.drift.LashRounds;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.engine.SheetCheck;
import shim.core.fatigue.Limits;
import shim.core.fatigue.Situation;
import shim.core.fatigue.SpringOutlook;
import shim.core.fatigue.SpringRecord;
import shim.core.fatigue.SpringSet;
import shim.core.fatigue.TestedSet;
import shim.core.fatigue.TesterDay;
import shim.core.lash.Growth;
import shim.core.lash.LashRecord;
import shim.core.lash.Reading;
import shim.core.lash.ValveHistory;
import shim.core.lash.WrittenRound;
import shim.core.running.EngineHours;
import shim.core.running.PartHours;
import shim.core.spring.SpringCheck;
import shim.core.spring.SpringSheet;
import shim.core.spring.SpringType;
import shim.core.stats.Range;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a screen costs without an application around it: plain SQL for an engine's rows, and all of
 * core's work on them. Asked line by line ({@code springs <engine>}), for bench/screens/growth.mjs
 * to ask it in turns with Shim; answers in milliseconds.
 */
public final class BareScreens {
  private final Connection db;
  private final UUID engineId;
  private final Engine engine;

  private BareScreens(Connection db, UUID engineId) throws SQLException {
    this.db = db;
    this.engineId = engineId;
    this.engine = sheet(rows("select sheet from engine where id = ?", r -> r.getString(1)).get(0));
  }

  /**
   * @param args a data folder in which no Shim works
   */
  public static void main(String[] args) throws Exception {
    try (Connection db =
            DriverManager.getConnection("jdbc:h2:file:" + Path.of(args[0], "shim"), "shim", "");
        Scanner asked = new Scanner(System.in, StandardCharsets.UTF_8)) {
      Map<UUID, BareScreens> engines = new HashMap<>();
      while (asked.hasNext()) {
        String what = asked.next();
        UUID id = UUID.fromString(asked.next());
        // Shim keeps the sheets of engines too: reading one is no part of a screen.
        if (!engines.containsKey(id)) {
          engines.put(id, new BareScreens(db, id));
        }
        System.out.printf(Locale.ROOT, "%.3f%n", engines.get(id).millis(what));
      }
    }
  }

  private double millis(String what) throws SQLException {
    long from = System.nanoTime();
    Object answer =
        switch (what) {
          case "springs" -> springs();
          case "lash-drift" -> drift();
          default -> throw new IllegalArgumentException(what);
        };
    double millis = (System.nanoTime() - from) / 1e6;
    if (answer.hashCode() == 0) {
      throw new IllegalStateException("an answer that says nothing");
    }
    return millis;
  }

  private interface Row<T> {
    T of(ResultSet row) throws SQLException;
  }

  private static final JsonMapper JSON = new JsonMapper();

  private static <T> T document(String stored, Class<T> type) {
    return JSON.treeToValue(JSON.readTree(stored).path("document"), type);
  }

  private static Engine sheet(String stored) {
    return SheetCheck.check(document(stored, EngineSheet.class)).engine().orElseThrow();
  }

  private <T> List<T> rows(String sql, Row<T> read) throws SQLException {
    List<T> all = new ArrayList<>();
    try (PreparedStatement asked = db.prepareStatement(sql)) {
      asked.setObject(1, engineId);
      ResultSet rows = asked.executeQuery();
      while (rows.next()) {
        all.add(read.of(rows));
      }
    }
    return all;
  }

  private LashDrift drift() throws SQLException {
    Map<UUID, List<WrittenRound.Entry>> read = new LinkedHashMap<>();
    rows(
        "select l.round_id, l.valve, l.phase, l.form, l.figure, l.second_figure, l.feel,"
            + " l.part_size_in, l.taken_at from lash_reading l"
            + " join lash_round r on r.id = l.round_id where r.engine_id = ?",
        r ->
            read.computeIfAbsent(r.getObject(1, UUID.class), x -> new ArrayList<>())
                .add(entry(r, engine.rules().feelerStepIn())));
    List<WrittenRound> rounds =
        rows(
            "select id, started_at, engine_hours, state, hand from lash_round"
                + " where engine_id = ? order by started_at",
            r ->
                new WrittenRound(
                    r.getString(1),
                    r.getTimestamp(2).getTime(),
                    r.getDouble(3),
                    HeatState.valueOf(r.getString(4)),
                    r.getString(5),
                    read.getOrDefault(r.getObject(1, UUID.class), List.of())));
    List<ValveHistory.ChainChange> changes =
        rows(
                "select valves, changed_at from chain_change where engine_id = ?"
                    + " order by changed_at",
                r -> changed(r.getString(1), r.getTimestamp(2).getTime()))
            .stream()
            .flatMap(List::stream)
            .toList();
    LashRecord record = new LashRecord(rounds, changes);
    return LashDrift.of(
        engine.layout(),
        LashRounds.of(record),
        Growth.of(record.history(), engine.layout().positions()),
        DriftRules.USUAL);
  }

  private static List<ValveHistory.ChainChange> changed(String valves, long at) {
    return Stream.of(valves.split(" "))
        .map(v -> new ValveHistory.ChainChange(Position.parse(v), at))
        .toList();
  }

  private static WrittenRound.Entry entry(ResultSet r, double stepIn) throws SQLException {
    String form = r.getString(4);
    @Nullable Double figure = (Double) r.getObject(5);
    return new WrittenRound.Entry(
        Position.parse(r.getString(2)),
        WrittenRound.Phase.valueOf(r.getString(3)),
        gap(form, figure, r, stepIn),
        form.equals("TURNS") ? maybe(figure) : OptionalDouble.empty(),
        form.equals("LENGTH") ? maybe(figure) : OptionalDouble.empty(),
        form.equals("SAME"),
        maybe((Double) r.getObject(8)),
        r.getTimestamp(9).getTime());
  }

  private static Optional<Reading> gap(
      String form, @Nullable Double figure, ResultSet r, double stepIn) throws SQLException {
    if (figure == null) {
      return Optional.empty();
    }
    return switch (form) {
      case "FIGURE" -> Optional.of(new Reading.Figure(figure, stepIn));
      case "GO_NO_GO" -> Optional.of(new Reading.GoNoGo(figure, r.getDouble(6)));
      case "LEAF" ->
          Optional.of(
              new Reading.Leaf(
                  figure,
                  r.getString(7) == null
                      ? Reading.Feel.RIGHT
                      : Reading.Feel.valueOf(r.getString(7)),
                  stepIn));
      default -> Optional.empty();
    };
  }

  private static OptionalDouble maybe(@Nullable Double figure) {
    return figure == null ? OptionalDouble.empty() : OptionalDouble.of(figure);
  }

  /** What is said of a spring, and its loss after each coming event. */
  private record Told(SpringOutlook outlook, List<Range> losses) {}

  private List<Told> springs() throws SQLException {
    EngineHours clock = hours();
    SpringRecord record = new SpringRecord(members(), tests());
    Map<String, SpringType> types = new HashMap<>();
    for (String[] t :
        rows(
            "select id, sheet from spring_type where id in (select s.type_id from spring s"
                + " join spring_fitting f on f.spring_id = s.id where f.engine_id = ?)",
            r -> new String[] {r.getString(1), r.getString(2)})) {
      types.put(t[0], SpringCheck.check(document(t[1], SpringSheet.class)).type().orElseThrow());
    }
    Map<String, SpringSet> solved =
        record.sets(types::get).stream()
            .collect(Collectors.toMap(TestedSet::typeId, TestedSet::solved));
    Map<String, SpringRecord.Spring> byId = record.byId();
    List<Double> planned =
        clock.coming().stream().map(c -> c.event().orElseThrow().plannedHours()).toList();
    return rows(
            "select spring_id from spring_fitting where engine_id = ? and to_hours is null",
            r -> r.getString(1))
        .stream()
        .map(
            id -> {
              SpringRecord.Spring spring = byId.get(id);
              double now = spring.life().in(engineId.toString(), clock.now());
              SpringSet set = solved.get(spring.type());
              return new Told(
                  set.judge(
                      new Situation(id, now, planned, false, record.batchBroke(id)), Limits.USUAL),
                  clock.coming().stream()
                      .map(c -> set.loss(id, now + c.toHours() - clock.now()))
                      .toList());
            })
        .toList();
  }

  private EngineHours hours() throws SQLException {
    return EngineHours.of(
        rows(
            "select id, name, on_date, planned_hours, run_hours from race_event where engine_id = ?",
            r ->
                new EngineHours.Event(
                    r.getString(1),
                    r.getString(2),
                    r.getObject(3, LocalDate.class),
                    r.getDouble(4),
                    maybe((Double) r.getObject(5)))),
        rows(
            "select on_date, minutes, event_id from race_run where engine_id = ?",
            r ->
                new EngineHours.Run(
                    r.getObject(1, LocalDate.class),
                    r.getDouble(2),
                    Optional.ofNullable(r.getString(3)))),
        rows(
                "select max(h) from (select engine_id, engine_hours h from lash_round union all"
                    + " select engine_id, engine_hours from spring_test union all"
                    + " select engine_id, from_hours from spring_fitting) where engine_id = ?",
                r -> r.getDouble(1))
            .stream()
            .mapToDouble(Double::doubleValue));
  }

  private static final String EVER_IN =
      " in (select spring_id from spring_fitting where engine_id = ?)";

  private List<SpringRecord.Spring> members() throws SQLException {
    Map<String, List<PartHours.Fitting>> stays = new HashMap<>();
    rows(
        "select spring_id, engine_id, from_hours, to_hours from spring_fitting where spring_id"
            + EVER_IN
            + " order by fitted_at",
        r ->
            stays
                .computeIfAbsent(r.getString(1), x -> new ArrayList<>())
                .add(
                    new PartHours.Fitting(
                        r.getString(2), r.getDouble(3), maybe((Double) r.getObject(4)))));
    return rows(
        "select id, mark, type_id, batch, broke_at_hours, hours_before from spring where id"
            + EVER_IN,
        r ->
            new SpringRecord.Spring(
                r.getString(1),
                r.getString(2),
                r.getString(3),
                Optional.ofNullable(r.getString(4)),
                maybe((Double) r.getObject(5)),
                new PartHours(r.getDouble(6), stays.getOrDefault(r.getString(1), List.of()))));
  }

  private List<SpringRecord.Test> tests() throws SQLException {
    Map<String, List<TesterDay.Check>> checks = new HashMap<>();
    rows(
        "select c.test_id, c.known_lbf, c.load_lbf, c.side from check_reading c join spring_test t"
            + " on t.id = c.test_id where t.engine_id = ? order by c.taken_at",
        r ->
            checks
                .computeIfAbsent(r.getString(1), x -> new ArrayList<>())
                .add(
                    new TesterDay.Check(
                        r.getDouble(2), r.getDouble(3), TesterDay.Side.valueOf(r.getString(4)))));
    Map<String, List<SpringRecord.Load>> loads = new HashMap<>();
    rows(
        "select test_id, spring_id, valve, height_in, load_lbf, member, again from spring_reading"
            + " where spring_id"
            + EVER_IN
            + " order by taken_at",
        r ->
            loads
                .computeIfAbsent(r.getString(1), x -> new ArrayList<>())
                .add(
                    new SpringRecord.Load(
                        r.getString(2),
                        Objects.requireNonNullElse(r.getString(3), ""),
                        r.getDouble(4),
                        r.getDouble(5),
                        r.getString(6).equals("WHOLE"),
                        r.getBoolean(7))));
    return rows(
        "select id, engine_id, engine_hours, state from spring_test where engine_id = ?"
            + " order by started_at",
        r ->
            new SpringRecord.Test(
                r.getString(1),
                r.getString(2),
                r.getDouble(3),
                HeatState.valueOf(r.getString(4)),
                checks.getOrDefault(r.getString(1), List.of()),
                loads.getOrDefault(r.getString(1), List.of())));
  }
}
