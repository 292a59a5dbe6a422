package shim.app.change;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import shim.app.record.Because;
import shim.app.record.Hours;
import shim.app.record.Initials;
import shim.app.walk.JobKind;
import shim.app.walk.JobReader;
import shim.app.walk.JobViews.JobView;
import shim.app.walk.Jobs;
import shim.core.change.Route;
import shim.core.change.Schools;
import shim.core.change.StaysOpen;
import shim.core.engine.Position;

/** Spring changes: what is planned, the team's rules, what stays open. */
@RestController
class ChangeController {
  private final JobPlanner planner;
  private final Jobs jobs;
  private final JobReader reader;
  private final ChangeRules rules;
  private final OpenItems items;

  ChangeController(
      JobPlanner planner, Jobs jobs, JobReader reader, ChangeRules rules, OpenItems items) {
    this.planner = planner;
    this.jobs = jobs;
    this.reader = reader;
    this.rules = rules;
    this.items = items;
  }

  /** An item put right. */
  record ItemClosed(
      @Initials String hand,
      @NotNull @Size(max = 400, message = "400 letters at most") String why) {}

  /** An item written down by hand. */
  record ItemOpened(
      StaysOpen.@NotNull Kind kind,
      @NotNull String words,
      @Nullable Position valve,
      @Nullable @Size(max = 80, message = "80 letters at most") String part,
      @Hours @Nullable Double dueHours,
      @Nullable LocalDate dueOn,
      @Initials String hand) {}

  /** Plans a spring change without beginning it: route, air, parts, tools and cautions. */
  @PostMapping("/api/engines/{id}/job-plan")
  JobPlanner.JobPlanView jobPlan(@PathVariable UUID id, @RequestBody JobPlanner.JobAsk ask) {
    return planner.preview(id, ask);
  }

  /** Tells the team's rules for spring changes on this engine. */
  @GetMapping("/api/engines/{id}/change-rules")
  ChangeRules.ChangeRulesSheet changeRules(@PathVariable UUID id) {
    return rules.of(id);
  }

  /** Keeps the team's rules for spring changes on this engine. */
  @PutMapping("/api/engines/{id}/change-rules")
  ChangeRules.ChangeRulesSheet putChangeRules(
      @PathVariable UUID id,
      @RequestBody ChangeRules.ChangeRulesSheet sheet,
      @RequestParam(required = false) @Size(max = 12, message = Because.INITIALS)
          @Nullable String who) {
    return rules.put(id, sheet, who);
  }

  /** A school of one question, with what it says for itself. */
  record SchoolSays(String question, String value, String title, String says) {}

  /** Where practice differs, each side with its reason. */
  @GetMapping("/api/change-schools")
  List<SchoolSays> changeSchools() {
    List<SchoolSays> all = new ArrayList<>();
    for (Schools.Freeing f : Schools.Freeing.values()) {
      all.add(new SchoolSays("freeing", f.name(), f.title(), f.says()));
    }
    for (Schools.Proving p : Schools.Proving.values()) {
      all.add(new SchoolSays("proving", p.name(), p.title(), p.says()));
    }
    for (Schools.Plugs p : Schools.Plugs.values()) {
      all.add(new SchoolSays("plugs", p.name(), p.title(), p.says()));
    }
    for (Schools.PlugsOut p : Schools.PlugsOut.values()) {
      all.add(new SchoolSays("plugsOut", p.name(), p.title(), p.says()));
    }
    for (Schools.Lubricant l : Schools.Lubricant.values()) {
      all.add(new SchoolSays("lubricant", l.name(), l.title(), l.says()));
    }
    for (Route.School o : Route.School.values()) {
      all.add(new SchoolSays("order", o.name(), o.title(), o.says()));
    }
    all.add(new SchoolSays("renewLocks", "", "Locks", Schools.LOCKS_SAY));
    return all;
  }

  /** How a spring change begins. */
  record JobStart(
      @NotNull UUID engineId,
      @Hours double engineHours,
      @Initials String hand,
      @NotNull JobPlanner.JobAsk ask) {}

  /** Begins a spring change as planned. */
  @PutMapping("/api/jobs/{id}")
  JobView startJob(@PathVariable UUID id, @RequestBody JobStart start) {
    jobs.start(
        id,
        new Jobs.Start(JobKind.SPRINGS, start.engineId(), null, start.engineHours(), start.hand()),
        () -> planner.plan(start.engineId(), start.ask()));
    return reader.view(id);
  }

  /** Tells what was left open on this engine. */
  @GetMapping("/api/engines/{id}/open-items")
  List<OpenItems.OpenItem> openItems(@PathVariable UUID id) {
    return items.of(id);
  }

  /** Writes down something that stays open on this engine. */
  @PutMapping("/api/engines/{id}/open-items/{itemId}")
  List<OpenItems.OpenItem> openItem(
      @PathVariable UUID id, @PathVariable UUID itemId, @RequestBody ItemOpened item) {
    items.open(
        itemId,
        id,
        null,
        item.kind(),
        item.words(),
        new OpenItems.About(item.valve(), item.part()),
        new OpenItems.Due(item.dueHours(), null, item.dueOn()),
        item.hand());
    return items.of(id);
  }

  /** Closes an open item. */
  @PutMapping("/api/engines/{id}/open-items/{itemId}/closed")
  List<OpenItems.OpenItem> closeItem(
      @PathVariable UUID id, @PathVariable UUID itemId, @RequestBody ItemClosed closed) {
    items.close(id, itemId, closed.hand(), closed.why());
    return items.of(id);
  }
}
