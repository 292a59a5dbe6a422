package shim.app.record;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Entries on record that cannot be, and their mending. */
@RestController
class BadRowController {
  private final BadRows rows;

  BadRowController(BadRows rows) {
    this.rows = rows;
  }

  /** The figure that shall stand there; none takes the entry out where that may be. */
  record Mending(@Nullable Double value, @Initials String hand) {}

  /** Lists what was kept of this engine and cannot be: it is left out until a person mends it. */
  @GetMapping("/api/engines/{id}/bad-rows")
  List<BadRows.BadRow> badRows(@PathVariable UUID id) {
    return rows.of(id);
  }

  /** Mends something kept that cannot be. */
  @PutMapping("/api/engines/{id}/bad-rows/{kind}/{rowId}")
  List<BadRows.BadRow> mend(
      @PathVariable UUID id,
      @PathVariable BadRows.Kind kind,
      @PathVariable UUID rowId,
      @RequestBody Mending mending) {
    rows.mend(id, kind, rowId, mending.value(), mending.hand());
    return rows.of(id);
  }
}
