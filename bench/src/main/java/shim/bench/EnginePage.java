package shim.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import shim.core.fatigue.Limits;
import shim.core.fatigue.SetHistory;
import shim.core.fatigue.SetPrior;
import shim.core.fatigue.Situation;
import shim.core.fatigue.SpringSet;

/**
 * An engine's springs from a large database: 40 engines, 3 seasons of 52 tests, 12 repeats of 16
 * springs, 400,000 readings. The packaged application is asked over HTTP; beside it the bare SQL
 * for the same rows and the core computation, in the same run. Prints both and their ratio.
 */
public final class EnginePage {
  private static final int ENGINES = 40;
  private static final int TESTS = 52;
  private static final int REPEATS = 12;
  private static final int WARM_UP = 100;
  private static final int ASKED = 25;
  private static final int PORT = 8497;
  private static final String SHEET =
      "{\"name\":\"Bench %d\",\"layout\":{\"arrangement\":\"V\",\"firingOrder\":\"1-8-4-3-6-5-7-2\","
          + "\"banks\":[{\"name\":\"left\",\"cylinders\":\"1 3 5 7\",\"valveOrder\":\"EIIEEIIE\"},"
          + "{\"name\":\"right\",\"cylinders\":\"2 4 6 8\",\"valveOrder\":\"EIIEEIIE\"}]},"
          + "\"drive\":{\"lifter\":\"ROLLER_SOLID\",\"rocker\":\"SHAFT\",\"ratioIntake\":1.6,"
          + "\"adjuster\":\"SCREW_PUSHROD_END\",\"thread\":\"7/16-20\"},\"cam\":{\"liftAt\":\"LOBE\","
          + "\"liftIntakeIn\":0.42,\"lsaDeg\":110,\"intakeCentreDeg\":106,"
          + "\"intake\":[{\"tappetLiftIn\":0.02,\"durationDeg\":280}],"
          + "\"exhaust\":[{\"tappetLiftIn\":0.02,\"durationDeg\":286}],"
          + "\"lashIntakeIn\":0.018,\"lashExhaustIn\":0.018,\"lashState\":\"HOT\"}}";
  private static final String TYPE =
      "{\"name\":\"Bench dual\",\"loads\":[{\"heightIn\":1.95,\"loadLbf\":220},"
          + "{\"heightIn\":1.3,\"loadLbf\":505}]}";

  private final HttpClient http = HttpClient.newHttpClient();
  private final Path jar;
  private final Path data;

  private EnginePage(Path jar, Path data) {
    this.jar = jar;
    this.data = data;
  }

  /**
   * @param args the packaged application
   */
  public static void main(String[] args) throws Exception {
    Path data = Files.createTempDirectory("shim-engine-page");
    new EnginePage(Path.of(args[0]), data).run();
  }

  private void run() throws Exception {
    List<UUID> engines = new ArrayList<>();
    Process shim = start();
    UUID type = UUID.randomUUID();
    put("/api/spring-types/" + type, TYPE);
    for (int e = 0; e < ENGINES; e++) {
      UUID id = UUID.randomUUID();
      engines.add(id);
      put("/api/engines/" + id, String.format(Locale.ROOT, SHEET, e));
      put(
          "/api/engines/" + id + "/spring-sets/" + UUID.randomUUID(),
          "{\"typeId\":\""
              + type
              + "\",\"setName\":\"E"
              + e
              + "\",\"engineHours\":0,"
              + "\"hoursBefore\":0,\"heightIn\":1.95,\"hand\":\"B\"}");
    }
    stop(shim);
    try (Connection db = open()) {
      fill(db, engines);
    }
    shim = start();
    double page = time(() -> get("/api/engines/" + engines.get(7) + "/springs"));
    stop(shim);
    try (Connection db = open()) {
      double bare = time(() -> bare(db, engines.get(7)));
      System.out.printf(
          Locale.ROOT,
          "engine page over HTTP %.0f ms, bare SQL and core %.0f ms: %.2f times (median of %d)%n",
          page,
          bare,
          page / bare,
          ASKED);
    }
  }

  private interface Work {
    Object doIt() throws Exception;
  }

  private static double time(Work work) throws Exception {
    double[] millis = new double[ASKED];
    for (int i = -WARM_UP; i < ASKED; i++) {
      long from = System.nanoTime();
      if (work.doIt() == null) {
        throw new IllegalStateException("no answer");
      }
      if (i >= 0) {
        millis[i] = (System.nanoTime() - from) / 1e6;
      }
    }
    java.util.Arrays.sort(millis);
    return millis[ASKED / 2];
  }

  private Process start() throws Exception {
    Process p =
        new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-jar",
                jar.toString(),
                "start",
                "--port=" + PORT,
                "--data=" + data)
            .redirectErrorStream(true)
            .start();
    var lines = p.inputReader();
    for (String line = lines.readLine(); line != null; line = lines.readLine()) {
      if (line.contains("Shim is ready")) {
        return p;
      }
    }
    throw new IllegalStateException("Shim did not start");
  }

  private static void stop(Process p) throws InterruptedException {
    p.destroy();
    p.waitFor();
  }

  private HttpRequest.Builder request(String path) {
    return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + PORT + path))
        .header("Content-Type", "application/json");
  }

  private void put(String path, String json) throws IOException, InterruptedException {
    send(request(path).PUT(HttpRequest.BodyPublishers.ofString(json)).build());
  }

  private String get(String path) throws IOException, InterruptedException {
    return send(request(path).build());
  }

  private String send(HttpRequest r) throws IOException, InterruptedException {
    HttpResponse<String> answer = http.send(r, HttpResponse.BodyHandlers.ofString());
    if (answer.statusCode() >= 300) {
      throw new IllegalStateException(answer.statusCode() + " " + answer.body());
    }
    return answer.body();
  }

  private Connection open() throws SQLException {
    return DriverManager.getConnection("jdbc:h2:file:" + data.resolve("shim"), "shim", "");
  }

  private static void fill(Connection db, List<UUID> engines) throws SQLException {
    Random random = new Random(3);
    db.setAutoCommit(false);
    try (PreparedStatement test =
            db.prepareStatement(
                "insert into spring_test (id, engine_id, started_at, engine_hours, place, state,"
                    + " working_order, tester, repeats, hand, ended_at, version)"
                    + " values (?,?,?,?,'HEAD','COLD','BANK','lever',12,'B',?,0)");
        PreparedStatement load =
            db.prepareStatement(
                "insert into spring_reading (id, test_id, spring_id, valve, height_in, load_lbf,"
                    + " member, again, hand, taken_at, version)"
                    + " values (?,?,?,?,1.95,?,'WHOLE',false,'B',?,0)");
        PreparedStatement check =
            db.prepareStatement(
                "insert into check_reading (id, test_id, name, known_lbf, load_lbf, side, hand,"
                    + " taken_at, version) values (?,?,'c',215,?,'START','B',?,0)")) {
      for (UUID engine : engines) {
        Map<UUID, String> springs = springs(db, engine);
        for (int t = 0; t < TESTS; t++) {
          double hours = 0.7 * t;
          double gain = 0.006 * random.nextGaussian();
          OffsetDateTime at =
              OffsetDateTime.ofInstant(
                  Instant.parse("2023-01-01T10:00:00Z").plusSeconds(t * 1_500_000L),
                  ZoneOffset.UTC);
          UUID id = UUID.randomUUID();
          set(test, id, engine, at, hours, at.plusHours(1));
          test.addBatch();
          set(check, UUID.randomUUID(), id, 215 * Math.exp(gain), at);
          check.addBatch();
          for (Map.Entry<UUID, String> s : springs.entrySet()) {
            for (int r = 0; r < REPEATS; r++) {
              double lbf =
                  220
                      * Math.exp(
                          gain
                              - 0.009 * Math.log1p(2 * hours)
                              - 0.0008 * hours
                              + 0.007 * random.nextGaussian());
              set(load, UUID.randomUUID(), id, s.getKey(), s.getValue(), lbf, at.plusMinutes(5));
              load.addBatch();
            }
          }
        }
        test.executeBatch();
        check.executeBatch();
        load.executeBatch();
        db.commit();
      }
    }
    db.setAutoCommit(true);
  }

  private static void set(PreparedStatement s, Object... values) throws SQLException {
    for (int i = 0; i < values.length; i++) {
      s.setObject(i + 1, values[i]);
    }
  }

  private static Map<UUID, String> springs(Connection db, UUID engine) throws SQLException {
    Map<UUID, String> springs = new LinkedHashMap<>();
    try (PreparedStatement q =
        db.prepareStatement("select spring_id, valve from spring_fitting where engine_id = ?")) {
      q.setObject(1, engine);
      ResultSet rows = q.executeQuery();
      while (rows.next()) {
        springs.put(rows.getObject(1, UUID.class), rows.getString(2));
      }
    }
    return springs;
  }

  /** The same rows by SQL alone, and the core's work on them. */
  private static Object bare(Connection db, UUID engine) throws SQLException {
    Map<UUID, String> springs = springs(db, engine);
    Map<UUID, Double> hours = new LinkedHashMap<>();
    Map<UUID, Map<UUID, List<Double>>> loads = new LinkedHashMap<>();
    try (PreparedStatement q =
        db.prepareStatement(
            "select t.id, t.engine_hours, r.spring_id, r.load_lbf from spring_test t"
                + " join spring_reading r on r.test_id = t.id where t.engine_id = ?"
                + " order by t.started_at, r.taken_at")) {
      q.setObject(1, engine);
      ResultSet rows = q.executeQuery();
      while (rows.next()) {
        UUID test = rows.getObject(1, UUID.class);
        hours.put(test, rows.getDouble(2));
        loads
            .computeIfAbsent(test, x -> new LinkedHashMap<>())
            .computeIfAbsent(rows.getObject(3, UUID.class), x -> new ArrayList<>())
            .add(rows.getDouble(4));
      }
    }
    SetHistory history =
        new SetHistory(
            springs.keySet().stream()
                .map(s -> new SetHistory.Member(s.toString(), Optional.of(220.0)))
                .toList(),
            loads.entrySet().stream()
                .map(
                    t ->
                        new SetHistory.Test(
                            Optional.empty(),
                            t.getValue().entrySet().stream()
                                .map(
                                    r ->
                                        SetHistory.Read.once(
                                            r.getKey().toString(),
                                            hours.get(t.getKey()),
                                            r.getValue()))
                                .toList()))
                .toList());
    SpringSet set = SpringSet.of(history, SetPrior.USUAL);
    double last = hours.values().stream().mapToDouble(h -> h).max().orElseThrow();
    return springs.keySet().stream()
        .map(
            s ->
                set.judge(
                    new Situation(s.toString(), last, List.of(1.0), false, Optional.empty()),
                    Limits.USUAL))
        .toList();
  }
}
