package shim.app.backup;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Properties;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import java.util.zip.Deflater;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.flywaydb.core.Flyway;
import shim.app.http.Progress;
import shim.app.http.Refusal;

/**
 * One backup as a file: a zip with what it is ({@code shim-backup.properties}), the database as it
 * stood at one moment, and the photos. Everything the database speaks of is in it, for a photo lies
 * on the disk before its row does.
 */
final class BackupFile {
  static final String DATABASE = "shim.mv.db";
  static final String PHOTOS = "photos";
  private static final String ABOUT = "shim-backup.properties";
  private static final Pattern PHOTO = Pattern.compile("photos/[0-9a-f-]{36}\\.image");
  private static final String NOT_OURS = "this is no backup of Shim, or it was cut short: ";

  private BackupFile() {}

  /**
   * What a backup holds.
   *
   * @param schema version of the database's form
   */
  record Holds(Instant madeAt, String schema, int engines, int rounds, int tests, int photos) {}

  /** How far a database has come: what was written into it. */
  record Stand(long revisions, long last) {
    static Stand of(Connection c) throws SQLException {
      try (Statement s = c.createStatement();
          ResultSet r = s.executeQuery("select count(*), coalesce(max(id), 0) from revision")) {
        r.next();
        return new Stand(r.getLong(1), r.getLong(2));
      }
    }
  }

  /** How far a checked file has come. */
  static Stand stand(Path scratch) throws SQLException {
    try (Connection c = open(scratch.resolve("shim"), ";ACCESS_MODE_DATA=r;IFEXISTS=TRUE")) {
      return Stand.of(c);
    }
  }

  /** Writes everything as it stands now; the file appears only when it is whole. */
  static Holds write(Connection store, Path data, Instant at, Path target, Progress far)
      throws Exception {
    Path parts = Files.createTempDirectory(target.toAbsolutePath().getParent(), ".backup");
    try {
      Path raw = parts.resolve("database.zip");
      try (Statement s = store.createStatement()) {
        s.execute("backup to '" + raw.toString().replace("'", "''") + "'");
      }
      List<Path> photos = photos(data);
      Holds holds = holds(store, at, photos.size());
      Path whole = parts.resolve("whole.zip");
      try (OutputStream file = Files.newOutputStream(whole);
          ZipOutputStream zip = new ZipOutputStream(file)) {
        zip.setLevel(Deflater.BEST_SPEED);
        zip.putNextEntry(new ZipEntry(ABOUT));
        properties(holds).store(zip, null);
        database(raw, zip);
        long packed = 0;
        for (Path p : photos) {
          far.at(Progress.Stage.PACKING, packed++, photos.size());
          zip.putNextEntry(new ZipEntry(PHOTOS + "/" + p.getFileName()));
          Files.copy(p, zip);
        }
      }
      force(whole);
      Files.move(whole, target, StandardCopyOption.REPLACE_EXISTING);
      return holds;
    } finally {
      remove(parts);
    }
  }

  private static void database(Path raw, ZipOutputStream zip) throws IOException {
    try (ZipFile from = new ZipFile(raw.toFile())) {
      ZipEntry entry =
          from.stream()
              .filter(e -> e.getName().endsWith(".mv.db"))
              .findFirst()
              .orElseThrow(() -> new IOException("the database gave no copy of itself"));
      zip.putNextEntry(new ZipEntry(DATABASE));
      try (InputStream in = from.getInputStream(entry)) {
        in.transferTo(zip);
      }
    }
  }

  static List<Path> photos(Path data) throws IOException {
    Path folder = data.resolve(PHOTOS);
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> all = Files.list(folder)) {
      return all.filter(p -> p.toString().endsWith(".image")).sorted().toList();
    }
  }

  /** Unpacks a backup beside the data and reads every row of it; refuses in words. */
  static Holds check(Path zip, Path scratch, Flyway known, Progress far) {
    String newestSchema = newestSchema(known);
    try {
      Holds said = unpack(zip, scratch, far);
      if (Double.parseDouble(said.schema()) > Double.parseDouble(newestSchema)) {
        throw Refusal.invalid(
            "file",
            "this backup was made by a newer Shim (form "
                + said.schema()
                + ", this one knows "
                + newestSchema
                + "): take the newer Shim");
      }
      try (Connection c = open(scratch.resolve("shim"), ";ACCESS_MODE_DATA=r;IFEXISTS=TRUE")) {
        readAll(c, far);
        return holds(c, said.madeAt(), said.photos());
      }
    } catch (ZipException | SQLException e) {
      throw Refusal.invalid("file", NOT_OURS + e.getMessage());
    } catch (IOException e) {
      throw Refusal.invalid("file", NOT_OURS + "it cannot be read");
    }
  }

  /** The newest form of the database that this Shim can make. */
  private static String newestSchema(Flyway known) {
    return Arrays.stream(known.info().all())
        .map(i -> i.getVersion() == null ? "0" : i.getVersion().getVersion())
        .max(Comparator.comparingDouble(Double::parseDouble))
        .orElse("0");
  }

  private static Holds unpack(Path zip, Path scratch, Progress far) throws IOException {
    Properties about = new Properties();
    int photos = 0;
    boolean database = false;
    Files.createDirectories(scratch.resolve(PHOTOS));
    try (ZipInputStream in = new ZipInputStream(Files.newInputStream(zip))) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        if (e.getName().equals(ABOUT)) {
          about.load(in);
        } else if (e.getName().equals(DATABASE)) {
          Files.copy(in, scratch.resolve(DATABASE));
          database = true;
        } else if (PHOTO.matcher(e.getName()).matches()) {
          Files.copy(in, scratch.resolve(e.getName()));
          photos++;
          far.at(Progress.Stage.UNPACKING, photos, Math.max(0, photosSaid(about)));
        } else {
          throw Refusal.invalid("file", NOT_OURS + "it holds " + e.getName());
        }
      }
    }
    if (!database || !about.containsKey("schema")) {
      throw Refusal.invalid("file", NOT_OURS + "there is no database in it");
    }
    if (photos != photosSaid(about)) {
      throw Refusal.invalid(
          "file", NOT_OURS + photos + " photos are in it, of " + about.getProperty("photos"));
    }
    return new Holds(
        Instant.parse(about.getProperty("madeAt")), about.getProperty("schema"), 0, 0, 0, photos);
  }

  /** How many photos the file says it holds; -1 when it does not say. */
  private static int photosSaid(Properties about) {
    return Integer.parseInt(about.getProperty("photos", "-1"));
  }

  /** Every row of every table is read once: what cannot be read is found now, not later. */
  private static void readAll(Connection c, Progress far) throws SQLException {
    List<String> tables = new ArrayList<>();
    try (ResultSet t =
        c.getMetaData().getTables(null, "PUBLIC", null, new String[] {"TABLE", "BASE TABLE"})) {
      while (t.next()) {
        tables.add(t.getString("TABLE_NAME"));
      }
    }
    long all = 0;
    for (String table : tables) {
      all += Long.parseLong(one(c, "select count(*) from \"" + table + "\""));
    }
    long done = 0;
    for (String table : tables) {
      try (Statement s = c.createStatement();
          ResultSet r = s.executeQuery("select * from \"" + table + "\"")) {
        int columns = r.getMetaData().getColumnCount();
        while (r.next()) {
          far.at(Progress.Stage.READING, done++, all);
          for (int i = 1; i <= columns; i++) {
            r.getString(i);
          }
        }
      }
    }
  }

  static Connection open(Path database, String options) throws SQLException {
    return DriverManager.getConnection(
        "jdbc:h2:file:" + database.toAbsolutePath() + options, "shim", "");
  }

  private static Holds holds(Connection c, Instant at, int photos) throws SQLException {
    return new Holds(
        at,
        one(
            c,
            "select \"version\" from \"flyway_schema_history\" where \"success\" = true"
                + " order by \"installed_rank\" desc limit 1"),
        Integer.parseInt(one(c, "select count(*) from engine")),
        Integer.parseInt(one(c, "select count(*) from lash_round")),
        Integer.parseInt(one(c, "select count(*) from spring_test")),
        photos);
  }

  private static String one(Connection c, String sql) throws SQLException {
    try (Statement s = c.createStatement();
        ResultSet r = s.executeQuery(sql)) {
      return r.next() ? r.getString(1) : "0";
    }
  }

  private static Properties properties(Holds h) {
    Properties p = new Properties();
    p.setProperty("madeAt", h.madeAt().toString());
    p.setProperty("schema", h.schema());
    p.setProperty("engines", String.valueOf(h.engines()));
    p.setProperty("rounds", String.valueOf(h.rounds()));
    p.setProperty("tests", String.valueOf(h.tests()));
    p.setProperty("photos", String.valueOf(h.photos()));
    return p;
  }

  static void force(Path file) throws IOException {
    try (FileChannel c = FileChannel.open(file, StandardOpenOption.WRITE)) {
      c.force(true);
    }
  }

  /** Removes a folder of our own making with all in it. */
  static void remove(Path folder) throws IOException {
    if (!Files.exists(folder)) {
      return;
    }
    try (Stream<Path> all = Files.walk(folder)) {
      for (Path p : all.sorted(Comparator.reverseOrder()).toList()) {
        Files.deleteIfExists(p);
      }
    }
  }
}
