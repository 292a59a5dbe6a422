package shim.app.record;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import shim.app.http.Refusal;

/** Photos as files in the database's folder, so that a copy of the folder holds them too. */
@Component
public class Photos {
  public static final int MOST_BYTES = 12_000_000;

  private static final Map<String, byte[]> BEGINS =
      Map.of(
          "image/jpeg", new byte[] {(byte) 0xFF, (byte) 0xD8, (byte) 0xFF},
          "image/png", new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n'});

  private final Path folder;

  Photos(@Value("${shim.data}") String data) {
    this.folder = Path.of(data, "photos");
  }

  /** Keeps a picture; says what kind it is. Its first bytes tell, not its name. */
  public String keep(UUID id, byte[] image) {
    if (image.length > MOST_BYTES) {
      throw Refusal.invalid("photo", "a photo of at most 12 MB, please");
    }
    String type =
        type(image).orElseThrow(() -> Refusal.invalid("photo", "that is no JPEG or PNG picture"));
    try {
      Files.createDirectories(folder);
      Path part = Files.createTempFile(folder, "incoming", ".part");
      try {
        write(part, image);
        Files.move(part, file(id), StandardCopyOption.ATOMIC_MOVE);
        force(folder, StandardOpenOption.READ);
      } finally {
        Files.deleteIfExists(part);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return type;
  }

  /** On the disk, not only on its way there, before it is acknowledged. */
  private static void write(Path file, byte[] image) throws IOException {
    Files.write(file, image);
    force(file, StandardOpenOption.WRITE);
  }

  private static void force(Path path, StandardOpenOption how) throws IOException {
    try (FileChannel c = FileChannel.open(path, how)) {
      c.force(true);
    }
  }

  public byte[] read(UUID id) {
    try {
      return Files.readAllBytes(file(id));
    } catch (IOException e) {
      throw Refusal.notFound("this photo is not in the folder any more");
    }
  }

  /** The kind of a picture, by its first bytes; empty when it is none that is taken. */
  public static Optional<String> type(byte[] image) {
    return BEGINS.entrySet().stream()
        .filter(e -> starts(image, e.getValue()))
        .map(Map.Entry::getKey)
        .findFirst();
  }

  private Path file(UUID id) {
    return folder.resolve(id + ".image");
  }

  private static boolean starts(byte[] image, byte[] with) {
    if (image.length < with.length) {
      return false;
    }
    for (int i = 0; i < with.length; i++) {
      if (image[i] != with[i]) {
        return false;
      }
    }
    return true;
  }
}
