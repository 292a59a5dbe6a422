package shim.app.record;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import shim.app.http.Refusal;

/** Keeps documents that are read and changed as a whole, each under an id its client made. */
@Component
@Transactional
public class Sheets {
  private final SheetRows rows;
  private final Documents documents;

  Sheets(SheetRows rows, Documents documents) {
    this.rows = rows;
    this.documents = documents;
  }

  /** A document with the version a change of it names. */
  public record Kept<T>(T sheet, int version) {}

  @Transactional(readOnly = true)
  public <T> Map<String, Kept<T>> all(Documents.Kind kind, Class<T> as) {
    return kept(rows.findByKindOrderById(kind), kind, as);
  }

  /** Those of one engine. */
  @Transactional(readOnly = true)
  public <T> Map<String, Kept<T>> of(UUID engineId, Documents.Kind kind, Class<T> as) {
    return kept(rows.findByKindAndEngineIdOrderById(kind, engineId), kind, as);
  }

  private <T> Map<String, Kept<T>> kept(List<SheetRow> found, Documents.Kind kind, Class<T> as) {
    Map<String, Kept<T>> all = new LinkedHashMap<>();
    for (SheetRow row : found) {
      all.put(row.id, new Kept<>(documents.read(kind, row.sheet, as), row.version));
    }
    return all;
  }

  @Transactional(readOnly = true)
  public <T> Optional<Kept<T>> of(String id, Documents.Kind kind, Class<T> as) {
    return rows.findById(id)
        .filter(row -> row.kind == kind)
        .map(row -> new Kept<>(documents.read(kind, row.sheet, as), row.version));
  }

  /** Whose a document is and what a change of it was made on; null when it is new. */
  public record Change(@Nullable UUID engineId, @Nullable Integer basedOn, @Nullable String who) {}

  public void put(String id, Documents.Kind kind, Object sheet, Change change) {
    SheetRow row = rows.findById(id).orElse(null);
    String text = documents.write(kind, sheet);
    if (row == null) {
      row = new SheetRow(id, kind);
    } else {
      TakenBack.refuseOther(row.kind == kind);
      if (row.sheet.equals(text)) {
        return;
      }
      if (change.basedOn() == null || change.basedOn() != row.version) {
        throw Refusal.conflict(
            "someone else changed this meanwhile: look at it again, what you typed is still here");
      }
    }
    row.engineId = change.engineId();
    row.sheet = text;
    Because.of(change.who(), kind.name().toLowerCase(Locale.ROOT).replace('_', ' '));
    rows.saveAndFlush(row);
  }
}
