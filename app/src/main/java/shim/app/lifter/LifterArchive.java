package shim.app.lifter;

import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import shim.core.engine.Position;

/** Lifters and what was seen, as an engine's file holds them. Photos stay in their folder. */
@Component
@Transactional
public class LifterArchive {
  private final Lifters lifters;
  private final LifterRules rules;
  private final Inspections inspections;

  LifterArchive(Lifters lifters, LifterRules rules, Inspections inspections) {
    this.lifters = lifters;
    this.rules = rules;
    this.inspections = inspections;
  }

  /** A lifter with its id. */
  public record ArchivedLifter(UUID id, Lifters.LifterEntry lifter) {}

  /** A fitting with its id. */
  public record ArchivedFitting(UUID id, Lifters.LifterFitting fitting) {}

  /** A rebuild with its id. */
  public record ArchivedRebuild(UUID id, Lifters.LifterRebuild rebuild) {}

  /** Something seen, with its id. */
  public record ArchivedSeen(UUID id, Inspections.FindingSeen seen) {}

  /** Everything about an engine's lifters; fittings in other engines included. */
  public record ArchivedLifters(
      LifterRules.LifterRulesSheet rules,
      List<ArchivedLifter> lifters,
      List<ArchivedFitting> fittings,
      List<ArchivedRebuild> rebuilds,
      List<ArchivedSeen> seen) {}

  @Transactional(readOnly = true)
  public ArchivedLifters of(UUID engineId) {
    List<UUID> here = lifters.fittings(engineId).stream().map(f -> f.lifterId).distinct().toList();
    return new ArchivedLifters(
        rules.of(engineId),
        lifters.all().stream()
            .filter(l -> here.contains(l.id))
            .map(l -> new ArchivedLifter(l.id, entry(l)))
            .toList(),
        lifters.fittings(engineId).stream().map(f -> new ArchivedFitting(f.id, entry(f))).toList(),
        lifters.rebuildsOf(here).stream()
            .map(
                r ->
                    new ArchivedRebuild(
                        r.id,
                        new Lifters.LifterRebuild(
                            r.lifterId, r.ownHours, r.what, r.rebuiltAt, r.hand)))
            .toList(),
        inspections.of(engineId).stream().map(r -> new ArchivedSeen(r.id, entry(r))).toList());
  }

  /** Takes them in; partners are tied once all are here. */
  public void put(UUID engineId, ArchivedLifters a) {
    rules.put(engineId, a.rules(), null);
    a.lifters().forEach(l -> lifters.put(l.id(), alone(l.lifter()), null));
    a.lifters().forEach(l -> lifters.put(l.id(), l.lifter(), null));
    a.fittings().forEach(f -> lifters.fit(f.id(), f.fitting()));
    a.rebuilds().forEach(r -> lifters.rebuild(r.id(), r.rebuild()));
    a.seen().forEach(s -> inspections.put(s.id(), s.seen()));
  }

  private static Lifters.LifterEntry alone(Lifters.LifterEntry l) {
    return new Lifters.LifterEntry(
        l.kind(), l.mark(), l.setName(), null, l.hoursBefore(), false, l.note());
  }

  private static Lifters.LifterEntry entry(LifterRow l) {
    return new Lifters.LifterEntry(
        l.kind, l.mark, l.setName, l.partnerId, l.hoursBefore, l.scrapped, l.note);
  }

  private static Lifters.LifterFitting entry(LifterFittingRow f) {
    return new Lifters.LifterFitting(
        f.lifterId,
        null,
        f.engineId,
        Position.parse(f.valve),
        f.fromHours,
        f.fittedAt,
        f.toHours,
        f.removedAt,
        f.hand,
        f.why);
  }

  private static Inspections.FindingSeen entry(InspectionRow r) {
    return new Inspections.FindingSeen(
        r.engineId,
        r.valve == null ? null : Position.parse(r.valve),
        r.cylinder,
        r.look,
        r.grade,
        r.figure,
        r.otherSide,
        r.liftIn,
        r.note,
        r.engineHours,
        r.hand,
        r.seenAt);
  }
}
