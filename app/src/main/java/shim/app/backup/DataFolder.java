package shim.app.backup;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;

/**
 * The data folder before Shim works in it: is the database what it should be, was a restore cut in
 * half, is this the first start. Nothing that holds data is ever changed here; what is replaced is
 * kept beside it.
 */
public final class DataFolder {
  private static final String READY = ".restore-ready";
  private static final String BIRTH = ".first-start";
  private static final String BORN = "shim.born";
  private static final byte[] MAGIC = {'H', ':', '2'};
  private static final DateTimeFormatter STAMP =
      DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss").withZone(ZoneOffset.UTC);

  /** Fine enough that two restores, one right after the other, each have a folder of their own. */
  private static final DateTimeFormatter FINE =
      DateTimeFormatter.ofPattern("yyyy-MM-dd-HHmmss-SSS").withZone(ZoneOffset.UTC);

  private DataFolder() {}

  /**
   * Finishes what was cut in half, makes a first database, and says what is wrong; empty is well.
   */
  public static Optional<String> prepare(Path folder) throws IOException {
    finishRestore(folder);
    clearHalves(folder);
    Path database = folder.resolve(BackupFile.DATABASE);
    if (!Files.exists(database)) {
      return holdsSomething(folder) ? Optional.of(missing(folder)) : first(folder);
    }
    if (Files.size(database) == 0) {
      return Optional.of(
          "the database " + database + " is empty (0 bytes). Nothing was changed. " + way(folder));
    }
    if (!isDatabase(database)) {
      return Optional.of(
          "the file " + database + " is no database. Nothing was changed. " + way(folder));
    }
    return Optional.empty();
  }

  private static String missing(Path folder) {
    return "the folder "
        + folder
        + " was used by Shim before, but its database "
        + BackupFile.DATABASE
        + " is gone. Nothing was changed. "
        + way(folder);
  }

  /** How to go on from a damaged database. */
  public static String way(Path folder) {
    return lastBackup(folder)
        .map(b -> "Put the last backup back: ./shim restore " + b)
        .orElse(
            "There is no backup in "
                + Backups.folder(folder)
                + ": copy yours back, or start"
                + " with another --data=FOLDER");
  }

  private static boolean holdsSomething(Path folder) throws IOException {
    return Files.exists(folder.resolve(BORN))
        || hasFiles(folder.resolve(BackupFile.PHOTOS))
        || lastBackup(folder).isPresent();
  }

  private static boolean hasFiles(Path folder) throws IOException {
    if (!Files.isDirectory(folder)) {
      return false;
    }
    try (Stream<Path> all = Files.list(folder)) {
      return all.findAny().isPresent();
    }
  }

  private static boolean isDatabase(Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      return java.util.Arrays.equals(in.readNBytes(MAGIC.length), MAGIC);
    }
  }

  /**
   * The first database is made aside and put in place whole: a first start that is cut short leaves
   * nothing behind that the next would trip over.
   */
  private static Optional<String> first(Path folder) throws IOException {
    Path aside = folder.resolve(BIRTH);
    BackupFile.remove(aside);
    Files.createDirectories(aside);
    Path database = aside.resolve("shim");
    Flyway.configure()
        .dataSource("jdbc:h2:file:" + database.toAbsolutePath() + ";WRITE_DELAY=0", "shim", "")
        .load()
        .migrate();
    shut(database);
    BackupFile.force(aside.resolve(BackupFile.DATABASE));
    Files.move(
        aside.resolve(BackupFile.DATABASE),
        folder.resolve(BackupFile.DATABASE),
        StandardCopyOption.ATOMIC_MOVE);
    BackupFile.remove(aside);
    return Optional.empty();
  }

  private static void shut(Path database) throws IOException {
    try (Connection c = BackupFile.open(database, "");
        Statement s = c.createStatement()) {
      s.execute("shutdown");
    } catch (SQLException e) {
      throw new IOException(e);
    }
  }

  /** Shim runs in this folder: from now on a missing database is a loss, not a beginning. */
  public static void born(Path folder) throws IOException {
    Path mark = folder.resolve(BORN);
    if (!Files.exists(mark)) {
      Files.writeString(mark, "Shim keeps its data in this folder.\n");
    }
  }

  /** A checked backup, unpacked in a folder of its own, is what is to be put in place. */
  static void ready(Path folder, Path scratch) throws IOException {
    BackupFile.remove(folder.resolve(READY));
    Files.move(scratch, folder.resolve(READY), StandardCopyOption.ATOMIC_MOVE);
  }

  /** Puts a checked backup in place; safe to repeat after it was cut short at any moment. */
  static void finishRestore(Path folder) throws IOException {
    Path ready = folder.resolve(READY);
    if (!Files.isDirectory(ready)) {
      return;
    }
    Path incoming = ready.resolve(BackupFile.DATABASE);
    if (Files.exists(incoming)) {
      Path kept = Files.createDirectories(replacedBy(incoming, folder));
      moveAside(folder.resolve(BackupFile.DATABASE), kept.resolve(BackupFile.DATABASE));
      moveAside(folder.resolve(BackupFile.PHOTOS), kept.resolve(BackupFile.PHOTOS));
      if (Files.exists(ready.resolve(BackupFile.PHOTOS))) {
        Files.move(ready.resolve(BackupFile.PHOTOS), folder.resolve(BackupFile.PHOTOS));
      }
      Files.move(incoming, folder.resolve(BackupFile.DATABASE), StandardCopyOption.ATOMIC_MOVE);
    }
    BackupFile.remove(ready);
  }

  /** What stands there already is kept from an earlier try, and is the older. */
  private static void moveAside(Path from, Path to) throws IOException {
    if (Files.exists(from) && !Files.exists(to)) {
      Files.move(from, to);
    }
  }

  /** Where what this incoming database replaces is kept; the same at every try. */
  static Path replacedBy(Path incoming, Path folder) throws IOException {
    return folder
        .resolve("replaced")
        .resolve(FINE.format(Files.getLastModifiedTime(incoming).toInstant()));
  }

  /** Halves of files that a killed process left behind. */
  private static void clearHalves(Path folder) throws IOException {
    for (Path in : new Path[] {folder, folder.resolve(BackupFile.PHOTOS), Backups.folder(folder)}) {
      if (Files.isDirectory(in)) {
        try (Stream<Path> all = Files.list(in)) {
          for (Path p : all.toList()) {
            String name = p.getFileName().toString();
            if (name.endsWith(".part") && Files.isRegularFile(p)) {
              Files.delete(p);
            } else if (name.startsWith(".backup") || name.startsWith(".incoming")) {
              BackupFile.remove(p);
            }
          }
        }
      }
    }
  }

  /** The newest backup that Shim has made by itself. */
  static Optional<Path> lastBackup(Path folder) {
    Path backups = Backups.folder(folder);
    if (!Files.isDirectory(backups)) {
      return Optional.empty();
    }
    try (Stream<Path> all = Files.list(backups)) {
      return all.filter(p -> p.toString().endsWith(".zip")).max(Comparator.naturalOrder());
    } catch (IOException e) {
      return Optional.empty();
    }
  }

  static String stamp(Instant at) {
    return STAMP.format(at);
  }
}
