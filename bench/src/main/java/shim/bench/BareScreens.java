package shim.bench;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
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
import shim.core.fatigue.SetHistory;
import shim.core.fatigue.SetPrior;
import shim.core.fatigue.Situation;
import shim.core.fatigue.SpringSet;
import shim.core.lash.Growth;
import shim.core.lash.LashRecord;
import shim.core.lash.Reading;
import shim.core.lash.ValveHistory;
import shim.core.lash.WrittenRound;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a screen costs without an application around it: plain SQL for an engine's rows, and core's
 * work on them. Prints milliseconds an engine, as JSON, for bench/screens/growth.mjs.
 */
public final class BareScreens {
  private static final int WARM_UP = 10;
  private static final int ASKED = 7;

  private final Connection db;
  private final UUID engineId;
  private final Engine engine;

  private BareScreens(Connection db, UUID engineId) throws SQLException {
    this.db = db;
    this.engineId = engineId;
    this.engine = sheet(rows("select sheet from engine where id = ?", r -> r.getString(1)).get(0));
  }

  /**
   * @param args a data folder in which no Shim works, and engines in it
   */
  public static void main(String[] args) throws Exception {
    List<String> told = new ArrayList<>();
    try (Connection db =
        DriverManager.getConnection("jdbc:h2:file:" + Path.of(args[0], "shim"), "shim", "")) {
      for (String id : List.of(args).subList(1, args.length)) {
        BareScreens of = new BareScreens(db, UUID.fromString(id));
        double drift = time(of::drift);
        double springs = time(of::springs);
        told.add(
            String.format(Locale.ROOT, "{\"lash-drift\":%.2f,\"springs\":%.2f}", drift, springs));
      }
    }
    System.out.println("[" + String.join(",", told) + "]");
  }

  private interface Work {
    Object doIt() throws SQLException;
  }

  private interface Row<T> {
    T of(ResultSet row) throws SQLException;
  }

  private static double time(Work work) throws SQLException {
    double[] millis = new double[ASKED];
    for (int i = -WARM_UP; i < ASKED; i++) {
      long from = System.nanoTime();
      Object answer = work.doIt();
      if (i >= 0) {
        millis[i] = (System.nanoTime() - from) / 1e6;
      }
      if (answer.hashCode() == 0) {
        throw new IllegalStateException("an answer that says nothing");
      }
    }
    Arrays.sort(millis);
    return millis[ASKED / 2];
  }

  private static Engine sheet(String stored) {
    JsonMapper json = new JsonMapper();
    JsonNode document = json.readTree(stored).path("document");
    return SheetCheck.check(json.treeToValue(document, EngineSheet.class)).engine().orElseThrow();
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

  private record Read(double hours, String spring, double loadLbf) {}

  private List<?> springs() throws SQLException {
    List<String> fitted =
        rows(
            "select spring_id from spring_fitting where engine_id = ? and to_hours is null",
            r -> r.getString(1));
    Map<String, List<Read>> tests = new LinkedHashMap<>();
    rows(
        "select t.id, t.engine_hours, r.spring_id, r.load_lbf from spring_test t"
            + " join spring_reading r on r.test_id = t.id"
            + " join spring_fitting f on f.spring_id = r.spring_id and f.to_hours is null"
            + " where t.engine_id = ? and r.member = 'WHOLE' order by t.started_at, r.taken_at",
        r ->
            tests
                .computeIfAbsent(r.getString(1), x -> new ArrayList<>())
                .add(new Read(r.getDouble(2), r.getString(3), r.getDouble(4))));
    SetHistory history =
        new SetHistory(
            fitted.stream().map(s -> new SetHistory.Member(s, Optional.empty())).toList(),
            tests.values().stream().map(BareScreens::test).toList());
    SpringSet set = SpringSet.of(history, SetPrior.USUAL);
    double last =
        tests.values().stream().flatMap(List::stream).mapToDouble(Read::hours).max().orElseThrow();
    return fitted.stream()
        .map(
            s ->
                set.judge(
                    new Situation(s, last, List.of(1.0), false, Optional.empty()), Limits.USUAL))
        .toList();
  }

  private static SetHistory.Test test(List<Read> reads) {
    Map<String, List<Double>> loads = new LinkedHashMap<>();
    reads.forEach(r -> loads.computeIfAbsent(r.spring(), x -> new ArrayList<>()).add(r.loadLbf()));
    return new SetHistory.Test(
        Optional.empty(),
        loads.entrySet().stream()
            .map(e -> SetHistory.Read.once(e.getKey(), reads.get(0).hours(), e.getValue()))
            .toList());
  }
}
