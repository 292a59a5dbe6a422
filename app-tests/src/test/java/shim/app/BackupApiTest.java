package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.jayway.jsonpath.JsonPath;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.MediaType;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/** Everything in one file, and back, while Shim runs. */
@DirtiesContext
class BackupApiTest extends ApiTest {
  private static final MediaType ZIP = MediaType.parseMediaType("application/zip");
  private static final byte[] PICTURE = {
    (byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1A, '\n', 1, 2, 3
  };

  @Value("${shim.data}")
  private String data;

  @Value("${spring.datasource.url}")
  private String url;

  private byte[] backup() {
    String name = JsonPath.read(text(post("/api/backups", "")), "$.name");
    MvcTestResult answer = get("/api/backups/" + name);
    assertThat(answer).hasStatusOk();
    return answer.getResponse().getContentAsByteArray();
  }

  private MvcTestResult check(byte[] file) {
    return http.post().uri("/api/restore-check").contentType(ZIP).content(file).exchange();
  }

  private String engines() throws Exception {
    return get("/api/engines").getResponse().getContentAsString();
  }

  private String seenWithPhoto(String engine) {
    String id = UUID.randomUUID().toString();
    String grade = text(get("/api/looks"), "$[?(@.look=='ROCKER')].grades[0].word");
    put(
        "/api/inspections/" + id,
        """
        {"engineId":"%s","valve":"1I","look":"ROCKER","grade":"%s","engineHours":1,"hand":"KV"}"""
            .formatted(engine, grade));
    assertThat(
            http.put()
                .uri("/api/inspections/" + id + "/photo")
                .contentType(MediaType.IMAGE_PNG)
                .content(PICTURE)
                .exchange())
        .hasStatus(204);
    return id;
  }

  @Test
  void whatWasThereComesBackAndWhatWasReplacedIsKept() throws Exception {
    String engine = engine(resource("v8.json"));
    String finding = seenWithPhoto(engine);
    byte[] file = backup();
    String before = engines();

    engine(resource("v8.json").replaceFirst("\"name\":\\s*\"[^\"]*\"", "\"name\":\"Later\""));
    Files.delete(Path.of(data, "photos", finding + ".image"));
    assertThat(engines()).contains("Later");

    MvcTestResult checked = check(file);
    assertThat(checked).hasStatusOk();
    String said = checked.getResponse().getContentAsString();
    assertThat(JsonPath.<Integer>read(said, "$.holds.photos")).isPositive();
    assertThat(engines()).as("looking replaces nothing").contains("Later");

    String id = JsonPath.read(said, "$.id");
    assertThat(put("/api/restore/" + id, "")).hasStatus(204);
    assertThat(engines()).isEqualTo(before);
    assertThat(Path.of(data, "photos", finding + ".image")).hasBinaryContent(PICTURE);
    try (Stream<Path> kept = Files.walk(Path.of(data, "replaced"))) {
      assertThat(kept.map(p -> p.getFileName().toString())).contains("shim.mv.db");
    }
    assertThat(put("/api/restore/" + id, "")).as("once").hasStatus(404);
    engine(resource("v8.json"));
    assertThat(get("/api/backups"))
        .bodyJson()
        .extractingPath("$.kept[0].bytes")
        .asNumber()
        .satisfies(n -> assertThat(n.longValue()).isGreaterThan(1000));
  }

  /** As the pool does when it fills up: it may be opening one more while the files are replaced. */
  @Test
  void aConnectionOpenedMeanwhileDoesNotGoOnWithWhatWasReplaced() throws Exception {
    engine(resource("v8.json"));
    byte[] file = backup();
    String before = engines();
    engine(resource("v8.json"));
    String id = JsonPath.read(check(file).getResponse().getContentAsString(), "$.id");
    AtomicBoolean over = new AtomicBoolean();
    Thread opening =
        new Thread(
            () -> {
              while (!over.get()) {
                try (Connection c = DriverManager.getConnection(url, "shim", "");
                    Statement s = c.createStatement()) {
                  s.execute("select count(*) from engine");
                } catch (SQLException e) {
                  // Closed under it, or not there yet: that is what the restore does to it.
                }
              }
            });
    opening.start();
    assertThat(put("/api/restore/" + id, "")).hasStatus(204);
    over.set(true);
    opening.join();
    assertThat(engines()).isEqualTo(before);
  }

  @Test
  void whatIsNoWholeBackupIsRefusedAndChangesNothing() throws Exception {
    engine(resource("v8.json"));
    byte[] file = backup();
    String before = engines();
    refuses("no zip at all".getBytes(), "no backup of Shim");
    refuses(Arrays.copyOf(file, file.length / 2), "cut short");
    refuses(with(file, "shim.mv.db", d -> "a text file"), "no backup of Shim");
    refuses(
        with(file, "shim-backup.properties", d -> d.replaceAll("schema=.*", "schema=99")),
        "made by a newer Shim");
    refuses(
        with(file, "shim-backup.properties", d -> d.replaceAll("photos=.*", "photos=7")),
        "photos are in it, of 7");
    refuses(with(file, "../evil", d -> "x"), "it holds ../evil");
    assertThat(engines()).isEqualTo(before);
    try (Stream<Path> left = Files.list(Path.of(data))) {
      assertThat(left.map(p -> p.getFileName().toString()))
          .noneMatch(n -> n.startsWith(".incoming") || n.startsWith(".backup"));
    }
  }

  private void refuses(byte[] file, String words) {
    assertThat(check(file)).hasStatus(422).bodyText().contains(words);
  }

  /** The same file with one entry written anew, or one more. */
  private static byte[] with(byte[] file, String name, UnaryOperator<String> change)
      throws IOException {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    boolean met = false;
    try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(file));
        ZipOutputStream zip = new ZipOutputStream(out)) {
      for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
        byte[] content = in.readAllBytes();
        zip.putNextEntry(new ZipEntry(e.getName()));
        boolean here = e.getName().equals(name);
        met |= here;
        zip.write(here ? change.apply(new String(content)).getBytes() : content);
      }
      if (!met) {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(change.apply("").getBytes());
      }
    }
    return out.toByteArray();
  }
}
