package shim.app.running;

import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Events of an engine. */
@RestController
class EventController {
  private final Events events;

  EventController(Events events) {
    this.events = events;
  }

  /** Lists an engine's events, run and planned. */
  @GetMapping("/api/engines/{id}/events")
  List<Events.EventView> of(@PathVariable UUID id) {
    return events.of(id);
  }

  /** Keeps an event, or the hours it ran. */
  @PutMapping("/api/events/{id}")
  List<Events.EventView> put(@PathVariable UUID id, @RequestBody Events.EventEntry entry) {
    events.put(id, entry);
    return events.of(entry.engineId());
  }
}
