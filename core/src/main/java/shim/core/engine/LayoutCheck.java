package shim.core.engine;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import shim.core.engine.EngineSheet.BankSheet;
import shim.core.engine.EngineSheet.LayoutSheet;
import shim.core.unit.Angle;

/** Reads the layout part of a sheet. Limits: 1 to 16 cylinders, 2 to 4 valves each. */
final class LayoutCheck {
  static final int MAX_CYLINDERS = 16;
  private final Problems problems;

  LayoutCheck(Problems problems) {
    this.problems = problems;
  }

  Optional<Layout> read(@Nullable LayoutSheet sheet) {
    if (sheet == null || sheet.banks() == null || sheet.banks().isEmpty()) {
      problems.missing("layout.banks", "the engine has no bank yet: choose a starting layout");
      return Optional.empty();
    }
    int before = problems.all().size();
    List<List<Integer>> cylinders = new ArrayList<>();
    for (int i = 0; i < sheet.banks().size(); i++) {
      cylinders.add(cylindersOf(i, sheet.banks().get(i)));
    }
    checkNumbering(cylinders);
    List<Integer> order = firingOrder(sheet.firingOrder(), cylinders);
    List<Double> intervals = intervals(sheet.intervals(), order.size());
    List<Layout.Bank> banks = new ArrayList<>();
    for (int i = 0; i < sheet.banks().size(); i++) {
      BankSheet b = sheet.banks().get(i);
      String name = b.name() == null || b.name().isBlank() ? "bank " + (i + 1) : b.name().strip();
      banks.add(new Layout.Bank(name, cylinders.get(i), valves(i, b, cylinders.get(i))));
    }
    if (refusedSince(before)) {
      return Optional.empty();
    }
    Layout.Arrangement arrangement =
        sheet.arrangement() != null
            ? sheet.arrangement()
            : banks.size() == 1 ? Layout.Arrangement.INLINE : Layout.Arrangement.V;
    Layout.Rotation rotation =
        sheet.rotation() == null ? Layout.Rotation.CLOCKWISE : sheet.rotation();
    return Optional.of(new Layout(arrangement, banks, order, intervals, rotation));
  }

  private boolean refusedSince(int before) {
    List<Problem> all = problems.all();
    return all.subList(before, all.size()).stream().anyMatch(Problem::stops);
  }

  private List<Integer> cylindersOf(int bank, BankSheet sheet) {
    String field = "layout.banks." + bank + ".cylinders";
    List<Integer> result = wholeNumbers(field, sheet.cylinders(), "the cylinders");
    if (result.isEmpty()) {
      problems.missing(field, "write the bank's cylinders front to rear, such as 1 3 5 7");
    }
    return result;
  }

  private List<Integer> wholeNumbers(String field, @Nullable String typed, String what) {
    List<Double> raw = problems.numbers(field, typed, what).orElse(List.of());
    for (double d : raw) {
      if (!(d >= 1 && d <= MAX_CYLINDERS) || d != Math.rint(d)) {
        problems.refuse(
            field, "%s is no cylinder number: 1 to %d", Problems.text(d), MAX_CYLINDERS);
        return List.of();
      }
    }
    return raw.stream().map(Double::intValue).toList();
  }

  private void checkNumbering(List<List<Integer>> banks) {
    Set<Integer> seen = new HashSet<>();
    for (int b = 0; b < banks.size(); b++) {
      for (int c : banks.get(b)) {
        if (!seen.add(c)) {
          problems.refuse("layout.banks." + b + ".cylinders", "cylinder %d is there twice", c);
        }
      }
    }
    int n = seen.size();
    Set<Integer> missing =
        IntStream.rangeClosed(1, n)
            .filter(c -> !seen.contains(c))
            .boxed()
            .collect(Collectors.toCollection(TreeSet::new));
    if (!missing.isEmpty()) {
      problems.missing(
          "layout.banks.0.cylinders",
          "%d cylinders are numbered, but %s is missing on the banks",
          n,
          join(missing));
    }
  }

  private List<Integer> firingOrder(@Nullable String typed, List<List<Integer>> banks) {
    String field = "layout.firingOrder";
    List<Integer> order = wholeNumbers(field, typed, "the firing order");
    Set<Integer> all =
        banks.stream().flatMap(List::stream).collect(Collectors.toCollection(TreeSet::new));
    if (order.isEmpty()) {
      problems.missing(field, "write the firing order, such as 1-3-4-2");
      return order;
    }
    Set<Integer> doubled =
        order.stream()
            .filter(c -> Collections.frequency(order, c) > 1)
            .collect(Collectors.toCollection(TreeSet::new));
    Set<Integer> missing = new TreeSet<>(all);
    order.forEach(missing::remove);
    Set<Integer> foreign = new TreeSet<>(order);
    foreign.removeAll(all);
    if (!doubled.isEmpty()) {
      problems.refuse(field, "cylinder %s is doubled in the firing order", join(doubled));
    }
    if (!missing.isEmpty()) {
      problems.missing(field, "cylinder %s is missing from the firing order", join(missing));
    }
    if (!foreign.isEmpty()) {
      problems.refuse(field, "cylinder %s of the firing order is on no bank", join(foreign));
    }
    return order;
  }

  private List<Double> intervals(@Nullable String typed, int cylinders) {
    String field = "layout.intervals";
    if (cylinders == 0) {
      return List.of();
    }
    List<Double> listed = problems.numbers(field, typed, "the intervals").orElse(List.of());
    if (listed.isEmpty()) {
      return Collections.nCopies(cylinders, Angle.CYCLE_DEG / cylinders);
    }
    // A person writes the repeating part once: 90-150 for an odd-fire V6.
    if (cylinders % listed.size() != 0) {
      problems.refuse(field, "%d intervals do not fit %d firings", listed.size(), cylinders);
      return listed;
    }
    List<Double> full = new ArrayList<>();
    while (full.size() < cylinders) {
      full.addAll(listed);
    }
    double sum = full.stream().mapToDouble(Double::doubleValue).sum();
    if (full.stream().anyMatch(d -> !(d > 0))) {
      problems.refuse(field, "every interval must be above 0 degrees");
    } else if (!(Math.abs(sum - Angle.CYCLE_DEG) < 0.5)) {
      problems.refuse(field, "the intervals add up to %s degrees, not to 720", Problems.text(sum));
    } else {
      // Thirds of a degree are typed rounded: what is missing is shared out.
      return full.stream().map(d -> d * Angle.CYCLE_DEG / sum).toList();
    }
    return full;
  }

  private List<Position> valves(int bank, BankSheet sheet, List<Integer> cylinders) {
    String field = "layout.banks." + bank + ".valveOrder";
    String letters =
        sheet.valveOrder() == null
            ? ""
            : sheet.valveOrder().toUpperCase(java.util.Locale.ROOT).replaceAll("[\\s,;-]+", "");
    if (!letters.matches("[IE]*")) {
      problems.refuse(field, "write only I and E, front to rear, such as E I I E");
      return List.of();
    }
    if (cylinders.isEmpty()) {
      return List.of();
    }
    int per = letters.length() / cylinders.size();
    if (per * cylinders.size() != letters.length() || per < 2 || per > 4) {
      problems.refuse(
          field,
          "%d valves do not fit %d cylinders: each has 2 to 4",
          letters.length(),
          cylinders.size());
      return List.of();
    }
    List<Position> result = new ArrayList<>();
    for (int c = 0; c < cylinders.size(); c++) {
      result.addAll(valvesOf(field, cylinders.get(c), letters.substring(c * per, (c + 1) * per)));
    }
    return result;
  }

  private List<Position> valvesOf(String field, int cylinder, String letters) {
    List<Position> result = new ArrayList<>();
    for (ValveKind kind : ValveKind.values()) {
      long n = letters.chars().filter(ch -> ch == kind.letter().charAt(0)).count();
      if (n == 0) {
        problems.refuse(
            field, "cylinder %d would have no %s valve: \"%s\"", cylinder, kind.word(), letters);
        return List.of();
      }
    }
    int[] seen = new int[ValveKind.values().length];
    for (char ch : letters.toCharArray()) {
      ValveKind kind = ch == 'I' ? ValveKind.INTAKE : ValveKind.EXHAUST;
      boolean several = letters.indexOf(ch) != letters.lastIndexOf(ch);
      result.add(new Position(cylinder, kind, several ? ++seen[kind.ordinal()] : 0));
    }
    return result;
  }

  private static String join(Set<Integer> cylinders) {
    return cylinders.stream().map(String::valueOf).collect(Collectors.joining(" and "));
  }
}
