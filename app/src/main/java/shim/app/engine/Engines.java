package shim.app.engine;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.http.Refusal;
import shim.app.record.Because;
import shim.app.record.Documents;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet;
import shim.core.engine.SheetCheck;

/** The engines of the team. */
@Service
@Transactional(readOnly = true)
public class Engines {
  private final EngineRows rows;
  private final Documents documents;

  /**
   * By its text as stored: a screen asks for one engine many times, and all its rounds froze it.
   */
  private final Cache<String, Kept> kept = Caffeine.newBuilder().maximumSize(64).build();

  private record Kept(EngineSheet sheet, Optional<Engine> engine) {}

  Engines(EngineRows rows, Documents documents) {
    this.rows = rows;
    this.documents = documents;
  }

  /**
   * A stored engine.
   *
   * @param version goes up with each change; a change names the one it was made on
   * @param checked the sheet as a checked engine; a stored sheet always is one
   */
  public record Stored(
      UUID id, String name, int version, EngineSheet sheet, Optional<Engine> checked) {
    public Engine engine() {
      return checked.orElseThrow();
    }

    /** The same engine with another sheet. */
    public Stored with(EngineSheet other) {
      return new Stored(id, name, version, other, SheetCheck.check(other).engine());
    }
  }

  /** An engine from a sheet that comes with a call and is not kept. */
  public static Engine reading(EngineSheet sheet) {
    SheetCheck.Checked checked = SheetCheck.check(sheet);
    return checked
        .engine()
        .orElseThrow(
            () -> Refusal.sheet("this sheet is no engine yet", "sheet.", checked.problems()));
  }

  public List<Stored> all() {
    return rows.findAllByOrderByName().stream().map(this::stored).toList();
  }

  public Stored get(UUID id) {
    return rows.findById(id)
        .map(this::stored)
        .orElseThrow(() -> Refusal.notFound("there is no such engine here"));
  }

  /**
   * Keeps a sheet under an id the client made; safe to repeat.
   *
   * @param basedOn version the change was made on; null for a new engine
   */
  @Transactional
  public Stored put(UUID id, EngineSheet sheet, @Nullable Integer basedOn, @Nullable String who) {
    SheetCheck.Checked checked = SheetCheck.check(sheet);
    if (checked.refused()) {
      throw Refusal.sheet(
          "the engine cannot be kept yet; what you typed is still here", "", checked.problems());
    }
    String name = Optional.ofNullable(sheet.name()).orElseThrow().strip();
    String text = write(sheet);
    Optional<EngineRow> known = rows.findById(id);
    Because.of(who, known.isEmpty() ? "new engine" : "sheet changed");
    if (known.isEmpty()) {
      return stored(rows.saveAndFlush(new EngineRow(id, name, text)));
    }
    EngineRow row = known.get();
    boolean changed = !read(row.sheet()).equals(sheet);
    if (changed && basedOn != null && basedOn != row.version()) {
      throw Refusal.conflict(
          "someone else changed this engine meanwhile: open it again to see their change");
    }
    row.write(name, text);
    return stored(rows.saveAndFlush(row));
  }

  private Stored stored(EngineRow row) {
    Kept now = kept(row.sheet());
    return new Stored(row.id(), row.name(), row.version(), now.sheet(), now.engine());
  }

  private Kept kept(String text) {
    return kept.get(
        text,
        t -> {
          EngineSheet sheet = documents.read(Documents.Kind.ENGINE_SHEET, t, EngineSheet.class);
          return new Kept(sheet, SheetCheck.check(sheet).engine());
        });
  }

  /** Reads a sheet kept as text, also by features that froze one. */
  public EngineSheet read(String text) {
    return kept(text).sheet();
  }

  /** The engine that a frozen sheet describes. */
  public Engine frozen(String text) {
    return kept(text).engine().orElseThrow();
  }

  /** A sheet as text, to be frozen. */
  public String write(EngineSheet sheet) {
    return documents.write(Documents.Kind.ENGINE_SHEET, sheet);
  }
}
