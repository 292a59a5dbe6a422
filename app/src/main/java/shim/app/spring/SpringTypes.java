package shim.app.spring;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.http.Refusal;
import shim.app.record.Because;
import shim.app.record.Documents;
import shim.core.spring.SpringCheck;
import shim.core.spring.SpringSheet;
import shim.core.spring.SpringType;

/** The spring types of the team. */
@Service
@Transactional(readOnly = true)
public class SpringTypes {
  private final SpringTypeRows rows;
  private final Documents documents;

  SpringTypes(SpringTypeRows rows, Documents documents) {
    this.rows = rows;
    this.documents = documents;
  }

  /** A type as kept. */
  public record StoredType(UUID id, SpringSheet sheet) {
    /** The sheet, checked; a stored one always is sound. */
    public SpringType type() {
      return SpringCheck.check(sheet).type().orElseThrow();
    }
  }

  /** A type from a sheet that comes with a call and is not kept. */
  static SpringType reading(String field, SpringSheet sheet) {
    SpringCheck.Checked checked = SpringCheck.check(sheet);
    return checked
        .type()
        .orElseThrow(
            () ->
                Refusal.sheet("this sheet is no spring type yet", field + ".", checked.problems()));
  }

  public List<StoredType> all() {
    return rows.findAllByOrderByName().stream().map(this::stored).toList();
  }

  public StoredType get(UUID id) {
    return rows.findById(id)
        .map(this::stored)
        .orElseThrow(() -> Refusal.notFound("there is no such spring type here"));
  }

  /** Keeps a sheet under an id the client made; safe to repeat. */
  @Transactional
  public StoredType put(UUID id, SpringSheet sheet, @Nullable String who) {
    SpringCheck.Checked checked = SpringCheck.check(sheet);
    if (checked.type().isEmpty()) {
      throw Refusal.sheet(
          "the spring type cannot be kept yet; what you typed is here", "", checked.problems());
    }
    SpringTypeRow row = rows.findById(id).orElseGet(() -> new SpringTypeRow(id));
    row.name = String.valueOf(sheet.name()).strip();
    row.sheet = documents.write(Documents.Kind.SPRING_SHEET, sheet);
    Because.of(who, "spring type");
    return stored(rows.saveAndFlush(row));
  }

  private StoredType stored(SpringTypeRow row) {
    return new StoredType(
        row.id, documents.read(Documents.Kind.SPRING_SHEET, row.sheet, SpringSheet.class));
  }
}
