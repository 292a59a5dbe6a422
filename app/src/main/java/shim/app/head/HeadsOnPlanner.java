package shim.app.head;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.change.ChangeRules;
import shim.app.engine.Engines;
import shim.app.http.Refusal;
import shim.app.spring.Springs;
import shim.core.change.JobPlan;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet;
import shim.core.engine.HeatState;
import shim.core.engine.Layout;
import shim.core.engine.Position;
import shim.core.head.HeadsOnPlan;

/** From assembled heads and an engine without any to the steps of putting them on. */
@Service
@Transactional(readOnly = true)
class HeadsOnPlanner {
  private final Heads heads;
  private final Engines engines;
  private final Springs springs;
  private final ChangeRules rules;

  HeadsOnPlanner(Heads heads, Engines engines, Springs springs, ChangeRules rules) {
    this.heads = heads;
    this.engines = engines;
    this.springs = springs;
    this.rules = rules;
  }

  /**
   * What is wanted.
   *
   * @param gasket part, thickness, and which way round
   * @param intakeRod pushrod of the intakes, by part or length; blank where there is none
   * @param state in which lash or preload is set
   */
  record HeadsOnAsk(
      @NotBlank(message = "say which gasket goes on, and which way round")
          @Size(max = 120, message = "120 letters at most")
          String gasket,
      @Size(max = 40, message = "40 letters at most") @Nullable String intakeRod,
      @Size(max = 40, message = "40 letters at most") @Nullable String exhaustRod,
      boolean newLifters,
      @NotNull(message = "say whether lash is set hot or cold") HeatState state) {}

  /** A plan as it began. */
  record HeadsOnPlanned(HeadsOnAsk ask, HeadsOnPlan plan) {}

  HeadsOnPlanned plan(UUID headId, UUID engineId, HeadsOnAsk ask) {
    HeadSheet sheet = heads.kept(headId).sheet();
    Engines.Stored stored = engines.get(engineId);
    Engine engine = stored.engine();
    requireReady(headId, sheet, engineId, engine.layout());
    EngineSheet.DriveSheet drive = Objects.requireNonNull(stored.sheet().drive());
    boolean clamps = Boolean.TRUE.equals(drive.fixingClampsHead());
    boolean over = Boolean.TRUE.equals(drive.intakeOverLifters());
    JobPlan.Drive met = JobPlan.Drive.of(engine, clamps, drive.clampNote(), over, false);
    if (met.pushrods() && (blank(ask.intakeRod()) || blank(ask.exhaustRod()))) {
      throw Refusal.invalid(
          blank(ask.intakeRod()) ? "ask.intakeRod" : "ask.exhaustRod",
          "say which pushrod, by part or length: intakes and exhausts are not mixed");
    }
    return new HeadsOnPlanned(
        ask,
        new HeadsOnPlan(
            sheet.name(),
            AssemblyPlanner.sides(engine.layout(), engine.layout().positions()),
            ask.gasket(),
            heads.fixings(sheet),
            Objects.requireNonNullElse(ask.intakeRod(), ""),
            Objects.requireNonNullElse(ask.exhaustRod(), ""),
            met,
            ask.newLifters(),
            stops(engine.layout()),
            rules.of(engineId).sheet(),
            over));
  }

  private static boolean blank(@Nullable String text) {
    return text == null || text.isBlank();
  }

  private void requireReady(UUID headId, HeadSheet sheet, UUID engineId, Layout layout) {
    if (heads.on(headId).isPresent()) {
      throw Refusal.conflict("these heads sit on an engine already");
    }
    if (heads.sitting(engineId).isPresent() || !springs.fitted(engineId).isEmpty()) {
      throw Refusal.invalid("engineId", "the heads that are on come off first");
    }
    if (!heads.layout(sheet).banks().equals(layout.banks())) {
      throw Refusal.invalid(
          "engineId", "the valves of " + sheet.name() + " are not where this engine has them");
    }
    Set<Position> have =
        heads.springs(headId).stream()
            .map(HeadSpringRow::at)
            .collect(Collectors.toCollection(HashSet::new));
    List<Position> bare = layout.positions().stream().filter(p -> !have.contains(p)).toList();
    if (!bare.isEmpty()) {
      throw Refusal.invalid("headId", "not assembled yet: " + Position.list(bare));
    }
  }

  /** Both valves of a cylinder at its compression TDC, in firing order: right whatever the cam. */
  private static List<HeadsOnPlan.Stop> stops(Layout layout) {
    List<HeadsOnPlan.Stop> stops = new ArrayList<>();
    for (Map.Entry<Integer, Double> tdc : layout.compressionTdcDeg().entrySet()) {
      stops.add(
          new HeadsOnPlan.Stop(
              tdc.getValue(),
              layout.positions().stream().filter(p -> p.cylinder() == tdc.getKey()).toList()));
    }
    return stops;
  }
}
