package shim.app.backup;

import com.zaxxer.hikari.HikariDataSource;
import com.zaxxer.hikari.HikariPoolMXBean;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import shim.app.http.DiskWatch;
import shim.app.http.Progress;
import shim.app.http.Refusal;
import shim.app.http.UnderWay;

/** Backups made by a press or by the clock, and the way back. */
@Service
class Backups {
  private static final int MOST_TRIES = 5;
  private static final Logger LOG = LoggerFactory.getLogger(Backups.class);
  private static final int LOOK_EVERY_MS = 600_000;
  private static final int FIRST_LOOK_MS = 60_000;
  private final DataSource source;
  private final JdbcTemplate sql;
  private final Flyway flyway;
  private final DiskWatch disk;
  private final UnderWay underWay;
  private final Clock clock;
  private final String url;
  private final Path data;
  private final boolean demo;
  private final Duration every;
  private final int keep;
  private volatile @Nullable String trouble;
  private long lastRevision = -1;

  Backups(
      DataSource source,
      JdbcTemplate sql,
      Flyway flyway,
      DiskWatch disk,
      UnderWay underWay,
      Clock clock,
      @Value("${spring.datasource.url}") String url,
      @Value("${shim.data}") String data,
      @Value("${shim.demo:false}") boolean demo,
      @Value("${shim.backup-every-hours:24}") long everyHours,
      @Value("${shim.backup-keep:10}") int keep) {
    this.source = source;
    this.sql = sql;
    this.flyway = flyway;
    this.disk = disk;
    this.underWay = underWay;
    this.clock = clock;
    this.url = url;
    this.data = Path.of(data);
    this.demo = demo;
    this.every = Duration.ofHours(everyHours);
    this.keep = keep;
  }

  /** Where the clock's backups lie. */
  static Path folder(Path data) {
    return data.resolve("backups");
  }

  /** One that is kept. */
  record Kept(String name, Instant madeAt, long bytes) {}

  /**
   * The backups there are.
   *
   * @param everyHours one is made after so many hours with changes; none by the clock when zero
   * @param keep so many are kept
   * @param trouble why the last one could not be made
   */
  record Overview(
      List<Kept> kept, long everyHours, int keep, String folder, @Nullable String trouble) {}

  Overview overview() {
    return new Overview(kept(), demo ? 0 : every.toHours(), keep, folder(data).toString(), trouble);
  }

  private List<Kept> kept() {
    Path folder = folder(data);
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> all = Files.list(folder)) {
      return all.filter(p -> p.toString().endsWith(".zip"))
          .sorted(Comparator.reverseOrder())
          .map(Backups::kept)
          .toList();
    } catch (IOException e) {
      return List.of();
    }
  }

  static Kept kept(Path p) {
    try {
      return new Kept(
          p.getFileName().toString(), Files.getLastModifiedTime(p).toInstant(), Files.size(p));
    } catch (IOException e) {
      return new Kept(p.getFileName().toString(), Instant.EPOCH, 0);
    }
  }

  /** A backup that is kept, by its name. */
  Path named(String name) {
    return kept().stream()
        .filter(k -> k.name().equals(name))
        .findFirst()
        .map(k -> folder(data).resolve(k.name()))
        .orElseThrow(() -> Refusal.notFound("there is no such backup here"));
  }

  /** Makes one now and keeps it with the others. */
  synchronized Path make() {
    try {
      requireRoom();
      Path folder = Files.createDirectories(folder(data));
      Path target = folder.resolve("shim-" + DataFolder.stamp(clock.instant()) + ".zip");
      try (Connection c = source.getConnection()) {
        BackupFile.write(c, data, clock.instant(), target, underWay.here());
      }
      trouble = null;
      prune();
      return target;
    } catch (Refusal e) {
      throw e;
    } catch (Exception e) {
      LOG.error("no backup could be made", e);
      throw Refusal.conflict("no backup could be made: " + e.getMessage());
    }
  }

  private void requireRoom() throws IOException {
    long size = Files.size(data.resolve(BackupFile.DATABASE)) * 2;
    for (Path photo : BackupFile.photos(data)) {
      size += Files.size(photo);
    }
    if (size > disk.spareBytes()) {
      throw Refusal.conflict("there is no room on the disk for a backup: make room there");
    }
  }

  private void prune() throws IOException {
    for (Kept old : kept().stream().skip(keep).toList()) {
      Files.deleteIfExists(folder(data).resolve(old.name()));
    }
  }

  /** By the clock: when something has changed since the last one, and that is old enough. */
  @Scheduled(initialDelay = FIRST_LOOK_MS, fixedDelay = LOOK_EVERY_MS)
  void byTheClock() {
    Instant last = kept().stream().findFirst().map(Kept::madeAt).orElse(Instant.EPOCH);
    boolean old = last.plus(every).isBefore(clock.instant());
    if (demo || every.isZero() || !old) {
      return;
    }
    try {
      Long revision = sql.queryForObject("select max(id) from revision", Long.class);
      long now = revision == null ? -1 : revision;
      if (now > lastRevision) {
        make();
        lastRevision = now;
      }
    } catch (RuntimeException e) {
      trouble = e.getMessage();
      LOG.warn("the backup by the clock was not made", e);
    }
  }

  /**
   * A file that may be put back.
   *
   * @param id names it when it is put in place
   */
  record Checked(UUID id, BackupFile.Holds holds) {}

  /** Takes a file in beside the data and reads all of it; nothing is replaced. */
  Checked check(InputStream file) throws IOException {
    UUID id = UUID.randomUUID();
    Path scratch = scratch(id);
    Files.createDirectories(scratch);
    Path zip = scratch.resolveSibling(scratch.getFileName() + ".part");
    try {
      copy(file, zip);
      return new Checked(id, BackupFile.check(zip, scratch, flyway, underWay.here()));
    } catch (IOException | RuntimeException e) {
      BackupFile.remove(scratch);
      throw e;
    } finally {
      Files.deleteIfExists(zip);
    }
  }

  /** A checked file that is not to be put back takes no room. */
  void forget(UUID id) throws IOException {
    BackupFile.remove(scratch(id));
  }

  private void copy(InputStream from, Path to) throws IOException {
    long most = disk.spareBytes() / 2;
    long come = 0;
    byte[] piece = new byte[1 << 16];
    try (var out = Files.newOutputStream(to)) {
      for (int n = from.read(piece); n >= 0; n = from.read(piece)) {
        come += n;
        if (come > most) {
          throw Refusal.conflict("there is no room on the disk to unpack it: make room there");
        }
        out.write(piece, 0, n);
      }
    }
  }

  private Path scratch(UUID id) {
    return data.resolve(".incoming-" + id);
  }

  /**
   * While it runs nobody has the database open, and nobody opens it. The pool may all the same have
   * been opening one more, which would go on with what was replaced: so it is looked whether the
   * database that opens now is the one that was put there.
   */
  private void withNobodyAtIt(Work work, BackupFile.Stand wanted) throws Exception {
    HikariPoolMXBean pool = ((HikariDataSource) source).getHikariPoolMXBean();
    pool.suspendPool();
    try {
      closeAll(pool);
      work.run();
      for (int i = 0; i < MOST_TRIES; i++) {
        closeAll(pool);
        if (stands().equals(wanted)) {
          return;
        }
      }
      throw new IOException("what was there before is still open");
    } finally {
      pool.resumePool();
    }
  }

  private BackupFile.Stand stands() throws SQLException {
    try (Connection c = DriverManager.getConnection(url, "shim", "")) {
      return BackupFile.Stand.of(c);
    }
  }

  private void closeAll(HikariPoolMXBean pool) {
    pool.softEvictConnections();
    try (Connection c = DriverManager.getConnection(url, "shim", "");
        Statement s = c.createStatement()) {
      s.execute("shutdown");
    } catch (SQLException e) {
      LOG.debug("closed under its connection, as wanted", e);
    }
  }

  private interface Work {
    void run() throws Exception;
  }

  /** Puts a checked file in place of all there is; what was there is kept in the folder. */
  synchronized void restore(UUID id) {
    Path scratch = scratch(id);
    if (!Files.isDirectory(scratch)) {
      throw Refusal.notFound("that backup is not at hand any more: choose the file again");
    }
    try {
      BackupFile.Stand wanted = BackupFile.stand(scratch);
      underWay.here().at(Progress.Stage.REPLACING, 0, 0);
      DataFolder.ready(data, scratch);
      withNobodyAtIt(() -> DataFolder.finishRestore(data), wanted);
      flyway.migrate();
      lastRevision = -1;
    } catch (Refusal e) {
      throw e;
    } catch (Exception e) {
      LOG.error("the restore did not go through", e);
      throw Refusal.conflict(
          "it was not put in place: "
              + e.getMessage()
              + ". Start Shim anew: it goes on from there");
    }
  }
}
