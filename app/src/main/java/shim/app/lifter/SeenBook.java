package shim.app.lifter;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import shim.core.engine.Position;
import shim.core.lifter.Diagnosis;
import shim.core.lifter.Grade;
import shim.core.lifter.Look;

/**
 * Everything seen at one engine.
 *
 * @param rows oldest first
 * @param fitted lifters in the engine, by valve
 */
record SeenBook(List<InspectionRow> rows, Map<String, LifterFittingRow> fitted) {
  static SeenBook of(List<InspectionRow> rows, List<LifterFittingRow> fittings) {
    return new SeenBook(
        rows,
        fittings.stream()
            .filter(LifterFittingRow::open)
            .collect(Collectors.toMap(f -> f.valve, f -> f, (a, b) -> b)));
  }

  /** Findings that speak of a valve: its own, its cylinder's, the engine's; of this lifter only. */
  List<Diagnosis.Seen> speakingOf(Position p) {
    LifterFittingRow now = fitted.get(p.toString());
    return rows.stream()
        .filter(r -> at(p).test(r) || inCylinder(p).test(r) || ofEngine(r))
        .filter(r -> !r.look.ofTheLifter() || now == null || !r.seenAt.isBefore(now.fittedAt))
        .flatMap(r -> r.look.grade(r.grade).map(g -> new Diagnosis.Seen(r.look, g)).stream())
        .toList();
  }

  /** Of several findings of one look at one place the last. */
  List<InspectionRow> latest(Predicate<InspectionRow> of) {
    Map<String, InspectionRow> last = new LinkedHashMap<>();
    rows.stream()
        .filter(of)
        .sorted(Comparator.comparing(r -> r.seenAt))
        .forEach(r -> last.put(r.look + " " + r.valve + " " + r.cylinder, r));
    return List.copyOf(last.values());
  }

  /** The last finding of one look at a valve. */
  Optional<Grade> last(Position p, Look look) {
    return latest(at(p)).stream()
        .filter(r -> r.look == look)
        .findFirst()
        .flatMap(r -> look.grade(r.grade));
  }

  static Predicate<InspectionRow> at(Position p) {
    return r -> p.toString().equals(r.valve);
  }

  static Predicate<InspectionRow> inCylinder(Position p) {
    return r -> Integer.valueOf(p.cylinder()).equals(r.cylinder);
  }

  static boolean ofCylinder(InspectionRow r) {
    return r.cylinder != null;
  }

  static boolean ofEngine(InspectionRow r) {
    return r.valve == null && r.cylinder == null;
  }
}
