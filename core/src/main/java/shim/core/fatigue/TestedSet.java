package shim.core.fatigue;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import shim.core.engine.HeatState;
import shim.core.fatigue.SpringRecord.Load;
import shim.core.fatigue.SpringRecord.Spring;
import shim.core.fatigue.SpringRecord.Test;
import shim.core.spring.LoadCurve;
import shim.core.spring.SpringType;
import shim.core.unit.Known;

/**
 * The springs of one type with all that was read of them.
 *
 * @param state temperature state of the tests that count
 * @param history what counts, as the judgement takes it
 * @param counted names of the tests of the history
 * @param bySpring every test of a spring, those that do not count too, in order of time
 */
public record TestedSet(
    String typeId,
    SpringType type,
    HeatState state,
    SetHistory history,
    List<String> counted,
    Map<String, List<InTest>> bySpring) {

  /**
   * One reading moved to the reference height.
   *
   * @param atReferenceLbf as the tester showed it
   * @param far it was moved so far that the move is uncertain itself
   * @param used it counts in the verdict
   */
  public record Moved(Load load, double atReferenceLbf, boolean far, boolean used) {}

  /**
   * All readings of one spring in one test.
   *
   * @param hours the spring's own hours
   * @param day what the check spring said of the tester
   */
  public record InTest(Test test, double hours, List<Moved> readings, Optional<TesterDay> day) {
    String spring() {
      return readings.get(0).load().spring();
    }

    /** Mean at the reference height, as the tester showed it. */
    public double rawLbf() {
      return readings.stream().mapToDouble(Moved::atReferenceLbf).average().orElseThrow();
    }

    /** The same, corrected by the check spring; raw without one. */
    public double correctedLbf() {
      return rawLbf() * day.map(TesterDay::correction).orElse(1.0);
    }
  }

  static TestedSet of(String typeId, SpringType type, List<Spring> springs, List<Test> tests) {
    Map<String, Spring> members = new LinkedHashMap<>();
    springs.forEach(s -> members.put(s.id(), s));
    List<Test> own = tests.stream().map(t -> of(t, members)).toList();
    Counting counting =
        Counting.of(own.stream().flatMap(t -> t.loads().stream().map(l -> t.state())).toList());
    Map<String, List<InTest>> bySpring = new HashMap<>();
    List<SetHistory.Test> history = new ArrayList<>();
    List<String> counted = new ArrayList<>();
    Map<String, Double> latest = new HashMap<>();
    for (Test test : own) {
      Optional<TesterDay> day = test.day(type.nominalLbf());
      List<SetHistory.Read> reads = new ArrayList<>();
      for (InTest t : inTest(test, day, members, type, counting)) {
        bySpring.computeIfAbsent(t.spring(), s -> new ArrayList<>()).add(t);
        read(t, latest).ifPresent(reads::add);
      }
      if (!reads.isEmpty()) {
        history.add(new SetHistory.Test(day, reads));
        counted.add(test.id());
      }
    }
    return new TestedSet(
        typeId,
        type,
        counting.state(),
        new SetHistory(
            springs.stream()
                .map(s -> new SetHistory.Member(s.id(), Optional.of(type.nominalLbf())))
                .toList(),
            history),
        counted,
        bySpring);
  }

  /** What a test read of these springs. */
  private static Test of(Test t, Map<String, Spring> members) {
    return new Test(
        t.id(),
        t.engine(),
        t.engineHours(),
        t.state(),
        t.checks(),
        t.loads().stream().filter(l -> members.containsKey(l.spring())).toList());
  }

  private static List<InTest> inTest(
      Test test,
      Optional<TesterDay> day,
      Map<String, Spring> members,
      SpringType type,
      Counting counting) {
    Map<String, List<Moved>> moved =
        test.loads().stream()
            .collect(
                Collectors.groupingBy(
                    Load::spring,
                    LinkedHashMap::new,
                    Collectors.mapping(l -> moved(l, test, type, counting), Collectors.toList())));
    return moved.entrySet().stream()
        .map(
            e ->
                new InTest(
                    test,
                    // All repeats of a spring in a test were read at the same hours of it.
                    Known.in(members, e.getKey()).life().in(test.engine(), test.engineHours()),
                    e.getValue(),
                    day))
        .toList();
  }

  private static Moved moved(Load l, Test test, SpringType type, Counting counting) {
    LoadCurve.Moved to = type.curve().move(l.loadLbf(), l.heightIn(), type.referenceHeightIn());
    return new Moved(l, to.loadLbf(), to.far(), counting.counts(test.state(), l.whole(), to));
  }

  private static Optional<SetHistory.Read> read(InTest t, Map<String, Double> latest) {
    List<List<Double>> settings = settings(t.readings().stream().filter(Moved::used).toList());
    if (settings.isEmpty()) {
      return Optional.empty();
    }
    String spring = t.spring();
    // Hours typed a little less than last time are a slip of the pen, not time running back.
    double hours = Math.max(t.hours(), latest.getOrDefault(spring, 0.0));
    latest.put(spring, hours);
    return Optional.of(new SetHistory.Read(spring, hours, settings));
  }

  /** What was read in one go is one setting; each time it was set up again is one more. */
  private static List<List<Double>> settings(List<Moved> used) {
    List<List<Double>> settings = new ArrayList<>();
    for (Moved m : used) {
      if (settings.isEmpty() || m.load().again()) {
        settings.add(new ArrayList<>());
      }
      settings.get(settings.size() - 1).add(m.atReferenceLbf());
    }
    return settings;
  }

  /** Those readings of a spring that are wanted, test by test, the last one last. */
  public List<InTest> tested(String spring, Predicate<Moved> wanted) {
    return bySpring.getOrDefault(spring, List.of()).stream()
        .map(
            t ->
                new InTest(
                    t.test(), t.hours(), t.readings().stream().filter(wanted).toList(), t.day()))
        .filter(t -> !t.readings().isEmpty())
        .toList();
  }

  /** Every spring's loss from all tests that count. */
  public SpringSet solved() {
    return SpringSet.of(history, SetPrior.USUAL);
  }
}
