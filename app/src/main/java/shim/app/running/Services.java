package shim.app.running;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.app.record.Documents;
import shim.app.record.Hours;
import shim.app.record.Initials;
import shim.app.record.Maybe;
import shim.app.record.Sheets;
import shim.core.running.Service;
import shim.core.unit.Figures;

/** Plugs, oil and fuel of an engine: every how many hours, when last, with what. */
@org.springframework.stereotype.Service
@Transactional
public class Services {
  private final Sheets sheets;
  private final Engines engines;
  private final EngineClock clock;

  Services(Sheets sheets, Engines engines, EngineClock clock) {
    this.sheets = sheets;
    this.engines = engines;
    this.clock = clock;
  }

  /**
   * One thing that is done again and again, as entered.
   *
   * @param everyHours running hours between; 0 after each running, null for never by itself
   * @param doneAtHours engine hours when it was done last
   * @param with what went in: kind of oil, heat range of the plugs
   */
  public record ServiceSheet(
      @Hours @Nullable Double everyHours,
      @Hours @Nullable Double doneAtHours,
      @Nullable LocalDate doneOn,
      @Size(max = 120, message = "120 letters at most") @Nullable String with,
      @Initials String hand) {}

  /**
   * One thing with how it stands.
   *
   * @param leftHours running hours until it is due; below zero: over it
   * @param version null where nothing was ever said of it
   */
  public record ServiceView(
      Service.@NotNull Kind kind,
      @Nullable ServiceSheet sheet,
      @Nullable Double leftHours,
      @Nullable Integer version) {}

  private static String id(UUID engineId, Service.Kind kind) {
    return engineId + "/service/" + kind;
  }

  private Optional<Sheets.Kept<ServiceSheet>> kept(UUID engineId, Service.Kind kind) {
    return sheets.of(id(engineId, kind), Documents.Kind.SERVICE, ServiceSheet.class);
  }

  @Transactional(readOnly = true)
  List<ServiceView> view(UUID engineId) {
    engines.get(engineId);
    double now = clock.now(engineId);
    List<ServiceView> all = new ArrayList<>();
    for (Service.Kind kind : Service.Kind.values()) {
      Optional<Sheets.Kept<ServiceSheet>> kept = kept(engineId, kind);
      ServiceSheet sheet = kept.map(Sheets.Kept::sheet).orElse(null);
      Integer version = kept.map(Sheets.Kept::version).orElse(null);
      Double left = service(kind, sheet).map(s -> s.dueAtHours() - now).orElse(null);
      all.add(new ServiceView(kind, sheet, left, version));
    }
    return all;
  }

  /** What of it comes round by itself. */
  @Transactional(readOnly = true)
  public List<Service> of(UUID engineId) {
    List<Service> all = new ArrayList<>();
    for (Service.Kind kind : Service.Kind.values()) {
      kept(engineId, kind).flatMap(k -> service(kind, k.sheet())).ifPresent(all::add);
    }
    return all;
  }

  private static Optional<Service> service(Service.Kind kind, @Nullable ServiceSheet sheet) {
    Double every = sheet == null ? null : sheet.everyHours();
    return every == null || sheet == null
        ? Optional.empty()
        : Optional.of(new Service(kind, every, Maybe.of(sheet.doneAtHours())));
  }

  public void put(UUID engineId, Service.Kind kind, ServiceSheet sheet, @Nullable Integer basedOn) {
    engines.get(engineId);
    Double at = sheet.doneAtHours();
    if (at != null && Figures.above(at, clock.now(engineId))) {
      throw Refusal.invalid(
          "service.doneAtHours", "the engine has not run so long: it stands at less");
    }
    sheets.put(
        id(engineId, kind),
        Documents.Kind.SERVICE,
        sheet,
        new Sheets.Change(engineId, basedOn, sheet.hand()));
  }
}
