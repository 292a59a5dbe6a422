package shim.app.backup;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.LinkedHashSet;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import shim.app.http.Progress;
import shim.app.http.Progress.Stage;

class DataFolderTest {
  @TempDir Path folder;
  private Path database;

  @BeforeEach
  void where() {
    database = folder.resolve(BackupFile.DATABASE);
  }

  private void refuses(String... words) throws IOException {
    assertThat(DataFolder.prepare(folder))
        .hasValueSatisfying(
            why ->
                assertThat(why)
                    .contains(words)
                    .contains("Nothing was changed")
                    .doesNotContain("\n"));
  }

  @Test
  void aFirstStartLeavesAWholeDatabaseAndNoHalf() throws IOException {
    Files.createDirectories(folder.resolve(".first-start"));
    Files.writeString(folder.resolve(".first-start/shim.mv.db"), "cut in half");
    assertThat(DataFolder.prepare(folder)).isEmpty();
    assertThat(database).isNotEmptyFile();
    assertThat(folder.resolve(".first-start")).doesNotExist();
    assertThat(DataFolder.prepare(folder)).as("again").isEmpty();
  }

  @Test
  void anEmptyDatabaseIsSaidAndLeftAsItIs() throws IOException {
    Files.createFile(database);
    refuses("is empty (0 bytes)");
    assertThat(database).isEmptyFile();
  }

  @Test
  void aTextFileInItsPlaceIsSaid() throws IOException {
    Files.writeString(database, "dear diary");
    refuses("is no database");
    assertThat(database).hasContent("dear diary");
  }

  @Test
  void aMissingDatabaseBesidePhotosOrAfterAStartIsALoss() throws IOException {
    Path photos = Files.createDirectories(folder.resolve("photos"));
    Path photo = Files.writeString(photos.resolve("x.image"), "x");
    refuses("its database shim.mv.db is gone");
    assertThat(database).doesNotExist();
    Files.delete(photo);
    assertThat(DataFolder.prepare(folder)).isEmpty();
    DataFolder.born(folder);
    Files.delete(database);
    refuses("was used by Shim before");
  }

  @Test
  void theLastBackupIsNamed() throws IOException {
    Files.createFile(database);
    Path backups = Files.createDirectories(Backups.folder(folder));
    Files.writeString(backups.resolve("shim-2026-05-01-100000.zip"), "old");
    Files.writeString(backups.resolve("shim-2026-05-02-100000.zip"), "new");
    refuses("./shim restore " + backups.resolve("shim-2026-05-02-100000.zip"));
  }

  @Test
  void halvesOfFilesAreCleared() throws IOException {
    Path photos = Files.createDirectories(folder.resolve("photos"));
    Files.writeString(photos.resolve("incoming1.part"), "half");
    Files.createDirectories(folder.resolve(".incoming-7"));
    DataFolder.prepare(folder);
    assertThat(photos).isEmptyDirectory();
    assertThat(folder.resolve(".incoming-7")).doesNotExist();
  }

  @Test
  void backupAndRestoreByCommand() throws Exception {
    DataFolder.prepare(folder);
    Path file = folder.resolve("all.zip");
    Set<Stage> stages = new LinkedHashSet<>();
    Progress far = (stage, done, all) -> stages.add(stage);
    assertThat(BackupCommand.backup(folder, file, Instant.EPOCH, Optional.empty(), far))
        .contains("0 engines");
    Path other = folder.resolve("other");
    assertThat(BackupCommand.restore(other, file, far)).contains("0 engines");
    assertThat(stages).containsExactly(Stage.READING, Stage.REPLACING);
    assertThat(DataFolder.prepare(other)).isEmpty();
    assertThat(other.resolve(BackupFile.DATABASE)).isNotEmptyFile();
  }

  /**
   * Cut short after any of its moves, a restore is finished by the next start, and nothing is lost.
   */
  @Test
  void aRestoreCutInHalfIsFinished() throws Exception {
    for (int moves = 0; moves <= 3; moves++) {
      Path data = Files.createDirectories(folder.resolve("cut" + moves));
      Path now = data.resolve(BackupFile.DATABASE);
      Files.writeString(now, "H:2 old");
      Files.writeString(
          Files.createDirectories(data.resolve("photos")).resolve("old.image"), "old");
      Path ready = Files.createDirectories(data.resolve(".restore-ready"));
      Files.writeString(ready.resolve(BackupFile.DATABASE), "H:2 new");
      Files.writeString(
          Files.createDirectories(ready.resolve("photos")).resolve("new.image"), "new");
      Path kept =
          Files.createDirectories(DataFolder.replacedBy(ready.resolve(BackupFile.DATABASE), data));
      if (moves > 0) {
        Files.move(now, kept.resolve(BackupFile.DATABASE));
      }
      if (moves > 1) {
        Files.move(data.resolve("photos"), kept.resolve("photos"));
      }
      if (moves > 2) {
        Files.move(ready.resolve("photos"), data.resolve("photos"));
      }
      DataFolder.finishRestore(data);
      assertThat(now).as("after %s moves", moves).hasContent("H:2 new");
      assertThat(data.resolve("photos/new.image")).hasContent("new");
      assertThat(kept.resolve(BackupFile.DATABASE)).hasContent("H:2 old");
      assertThat(kept.resolve("photos/old.image")).hasContent("old");
      assertThat(ready).doesNotExist();
    }
  }
}
