package shim.app.change;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import shim.app.record.Because;

/** What jobs left open, as an engine's file holds it. */
@Component
@Transactional
public class ItemArchive {
  private final OpenRows items;

  ItemArchive(OpenRows items) {
    this.items = items;
  }

  /** Something open, or put right, with its engine. */
  public record ArchivedItem(UUID engineId, OpenItems.OpenItem item) {}

  @Transactional(readOnly = true)
  public List<ArchivedItem> items(UUID engineId) {
    return items.findByEngineIdOrderByOpenedAt(engineId).stream()
        .map(r -> new ArchivedItem(engineId, OpenItems.view(r)))
        .toList();
  }

  /** Takes an open item in; one that is here already is left as it is. */
  public void put(ArchivedItem a) {
    OpenItems.OpenItem i = a.item();
    if (items.existsById(i.id())) {
      return;
    }
    OpenRow row = new OpenRow(i.id(), a.engineId());
    row.jobId = i.jobId();
    row.kind = i.kind();
    row.words = i.words();
    row.dueHours = i.dueHours();
    row.dueUsed = i.dueUsed();
    row.dueOn = i.dueOn();
    row.valve = i.valve() == null ? null : i.valve().toString();
    row.part = i.part();
    row.hand = i.hand();
    row.openedAt = i.openedAt();
    row.closedAt = i.closedAt();
    row.closedBy = i.closedBy();
    row.closedWhy = i.closedWhy();
    Because.of(i.hand(), "from an engine's file");
    items.saveAndFlush(row);
  }
}
