package shim.app.http;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * Keeps some room on the data folder's disk. While less is left nothing is written, so that the
 * store never has to stop in the middle of a page; what is on record can be read all the while, and
 * writing goes on by itself as soon as there is room again.
 */
@Component
public class DiskWatch {
  static final String WORDS =
      "the disk of the machine that runs Shim is full: make room there; what was entered waits on"
          + " this device";

  private final Path folder;
  private final long reserveBytes;

  DiskWatch(
      @Value("${shim.data}") String data,
      @Value("${shim.disk-reserve-bytes:33554432}") long reserveBytes) {
    this.folder = Path.of(data);
    this.reserveBytes = reserveBytes;
  }

  /** Room left on the disk, bytes. */
  public long freeBytes() {
    try {
      return Files.getFileStore(folder).getUsableSpace();
    } catch (IOException e) {
      return 0;
    }
  }

  /** Less than the reserve is left. */
  public boolean full() {
    return freeBytes() < reserveBytes;
  }

  /** Room that may be used without touching the reserve, bytes. */
  public long spareBytes() {
    return Math.max(0, freeBytes() - reserveBytes);
  }

  /** Whether an error comes from a full disk. */
  boolean full(Throwable e) {
    return ranOut(e) || full();
  }

  /** Whether an error says that the disk had no room. */
  static boolean ranOut(Throwable e) {
    for (Throwable t = e; t != null; t = t.getCause()) {
      String words = String.valueOf(t.getMessage()).toLowerCase(Locale.ROOT);
      if (words.contains("no space left") || words.contains("disk quota")) {
        return true;
      }
    }
    return false;
  }

  /** Refuses to write while the disk is full. */
  void requireRoom() {
    if (full()) {
      throw Refusal.diskFull(WORDS);
    }
  }
}
