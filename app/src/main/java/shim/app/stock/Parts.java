package shim.app.stock;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.app.record.Documents;
import shim.app.record.Maybe;
import shim.app.record.Sheets;
import shim.app.stock.Written.PartSheet;
import shim.core.stock.Measure;

/** Kinds of parts: what fits, where it lies, how many, who delivers it and in how many days. */
@Service
@Transactional
public class Parts {
  private final Sheets sheets;
  private final Engines engines;

  Parts(Sheets sheets, Engines engines) {
    this.sheets = sheets;
    this.engines = engines;
  }

  @Transactional(readOnly = true)
  Map<UUID, Sheets.Kept<PartSheet>> all() {
    Map<UUID, Sheets.Kept<PartSheet>> all = new HashMap<>();
    sheets
        .all(Documents.Kind.PART_KIND, PartSheet.class)
        .forEach((id, kept) -> all.put(UUID.fromString(id), kept));
    return all;
  }

  @Transactional(readOnly = true)
  Optional<PartSheet> of(UUID id) {
    return kept(id).map(Sheets.Kept::sheet);
  }

  /** What one of a kind costs, where somebody wrote it down. */
  @Transactional(readOnly = true)
  public OptionalDouble price(UUID kindId) {
    return Maybe.of(of(kindId).map(PartSheet::price).orElse(null));
  }

  private Optional<Sheets.Kept<PartSheet>> kept(UUID id) {
    return sheets.of(id.toString(), Documents.Kind.PART_KIND, PartSheet.class);
  }

  public void put(UUID id, PartSheet sheet, @Nullable Integer basedOn, @Nullable String who) {
    Set<Measure.What> whats = new HashSet<>();
    for (int i = 0; i < sheet.measures().size(); i++) {
      Written.MeasureSheet m = sheet.measures().get(i);
      if (!whats.add(m.what())) {
        throw Refusal.invalid("part.measures[" + i + "].what", "each measure once");
      }
      if (m.wanted() <= m.below()) {
        throw Refusal.invalid("part.measures[" + i + "].wanted", "a measure above its tolerance");
      }
    }
    sheet.engines().forEach(engines::get);
    sheets.put(
        id.toString(), Documents.Kind.PART_KIND, sheet, new Sheets.Change(null, basedOn, who));
  }

  /** So many more lie on the shelf; of springs and lifters each is put on record by itself. */
  void more(UUID id, int count, String who) {
    Optional<Sheets.Kept<PartSheet>> kept = kept(id);
    if (kept.isPresent()) {
      PartSheet s = kept.get().sheet();
      PartSheet more =
          new PartSheet(
              s.name(),
              s.engines(),
              s.place(),
              Math.min(Written.MOST, s.count() + count),
              s.take(),
              s.price(),
              s.supplier(),
              s.leadDays(),
              s.measures(),
              s.note());
      put(id, more, kept.get().version(), who);
    }
  }
}
