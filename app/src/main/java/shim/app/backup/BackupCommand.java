package shim.app.backup;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.time.Instant;
import java.util.Optional;
import org.flywaydb.core.Flyway;
import shim.app.http.Progress;
import shim.app.http.Refusal;

/** Backup and restore from the command line, whether Shim runs or not. */
public final class BackupCommand {
  private BackupCommand() {}

  /**
   * Writes everything into a file.
   *
   * @param runningPort port of the Shim that runs in this folder; empty when none does
   * @param far is told how far it is, unless a running Shim does it
   * @return what was done, in words
   */
  public static String backup(
      Path data, Path target, Instant at, Optional<Integer> runningPort, Progress far)
      throws Exception {
    if (runningPort.isPresent()) {
      return ask(runningPort.get(), target);
    }
    if (!Files.exists(data.resolve(BackupFile.DATABASE))) {
      throw new IOException("there is no database in " + data);
    }
    try (Connection c = BackupFile.open(data.resolve("shim"), ";IFEXISTS=TRUE")) {
      return words(BackupFile.write(c, data, at, target.toAbsolutePath(), far), target);
    }
  }

  private static String ask(int port, Path target) throws Exception {
    Path part = Path.of(target.toAbsolutePath() + ".part");
    HttpResponse<Path> answer =
        HttpClient.newHttpClient()
            .send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/api/backup"))
                    .build(),
                HttpResponse.BodyHandlers.ofFile(part));
    if (answer.statusCode() != 200) {
      String why = Files.readString(part);
      Files.deleteIfExists(part);
      throw new IOException("the running Shim made no backup: " + why);
    }
    BackupFile.force(part);
    Files.move(part, target.toAbsolutePath());
    return "backup written to " + target + " by the running Shim";
  }

  private static String words(BackupFile.Holds h, Path target) {
    return String.format(
        "backup written to %s: %d engines, %d rounds, %d spring tests, %d photos",
        target, h.engines(), h.rounds(), h.tests(), h.photos());
  }

  /** Checks a file and puts it in place of what is in the folder, which is kept beside it. */
  public static String restore(Path data, Path file, Progress far) throws Exception {
    Files.createDirectories(data);
    Path scratch = Files.createTempDirectory(data, ".incoming-");
    try {
      BackupFile.Holds h =
          BackupFile.check(
              file, scratch, Flyway.configure().dataSource("jdbc:h2:mem:", "shim", "").load(), far);
      far.at(Progress.Stage.REPLACING, 0, 0);
      DataFolder.ready(data, scratch);
      DataFolder.finishRestore(data);
      return String.format(
          "restored from %s, made %s: %d engines, %d rounds, %d spring tests, %d photos. What was"
              + " there is in %s",
          file,
          h.madeAt(),
          h.engines(),
          h.rounds(),
          h.tests(),
          h.photos(),
          data.resolve("replaced"));
    } catch (Refusal e) {
      throw new IOException(e.getMessage(), e);
    } finally {
      BackupFile.remove(scratch);
    }
  }
}
