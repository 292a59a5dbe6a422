package shim.app.backup;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Path;
import java.util.UUID;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** All data in one file, and back. */
@RestController
class BackupController {
  private final Backups backups;

  BackupController(Backups backups) {
    this.backups = backups;
  }

  /** Tells which backups are kept, where, and when the next one is made. */
  @GetMapping("/api/backups")
  Backups.Overview backups() {
    return backups.overview();
  }

  /** Makes a backup now and keeps it with the others. */
  @PostMapping("/api/backups")
  Backups.Kept makeBackup() {
    return Backups.kept(backups.make());
  }

  /** Makes a backup now, keeps it with the others, and hands it out. */
  @GetMapping(value = "/api/backup", produces = "application/zip")
  ResponseEntity<Resource> backup() {
    return file(backups.make());
  }

  /** Gives one kept backup as a file. */
  @GetMapping(value = "/api/backups/{name}", produces = "application/zip")
  ResponseEntity<Resource> keptBackup(@PathVariable String name) {
    return file(backups.named(name));
  }

  /**
   * Reads a backup through without replacing anything: what it holds, and its name for the press.
   */
  @PostMapping(value = "/api/restore-check", consumes = "application/zip")
  Backups.Checked checkBackup(InputStream file) throws IOException {
    return backups.check(file);
  }

  /** Puts a checked backup in place of all there is. */
  @PutMapping("/api/restore/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void restore(@PathVariable UUID id) {
    backups.restore(id);
  }

  /** Forgets a checked backup: all stays as it is. */
  @DeleteMapping("/api/restore/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void forget(@PathVariable UUID id) throws IOException {
    backups.forget(id);
  }

  private static ResponseEntity<Resource> file(Path path) {
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType("application/zip"))
        .header(
            HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + path.getFileName() + "\"")
        .body(new FileSystemResource(path));
  }
}
