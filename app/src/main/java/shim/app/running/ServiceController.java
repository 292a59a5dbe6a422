package shim.app.running;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;
import shim.core.running.Service;

/** Plugs, oil and fuel. */
@RestController
class ServiceController {
  private final Services services;

  ServiceController(Services services) {
    this.services = services;
  }

  /** As entered; {@code basedOn} is the version it was changed on, null for the first. */
  record ServiceEntry(@NotNull @Valid Services.ServiceSheet service, @Nullable Integer basedOn) {}

  /** Tells which services of an engine are due and when. */
  @GetMapping("/api/engines/{id}/services")
  List<Services.ServiceView> services(@PathVariable UUID id) {
    return services.view(id);
  }

  /** Keeps when a service was last done, or how often it is due. */
  @PutMapping("/api/engines/{id}/services/{kind}")
  List<Services.ServiceView> put(
      @PathVariable UUID id, @PathVariable Service.Kind kind, @RequestBody ServiceEntry entry) {
    services.put(id, kind, entry.service(), entry.basedOn());
    return services.view(id);
  }
}
