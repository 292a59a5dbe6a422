package shim.app.interchange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.change.ChangeRules;
import shim.app.change.ItemArchive;
import shim.app.engine.Engines;
import shim.app.fatigue.TestArchive;
import shim.app.http.Progress;
import shim.app.http.Refusal;
import shim.app.http.UnderWay;
import shim.app.lash.LashArchive;
import shim.app.lifter.LifterArchive;
import shim.app.running.Events;
import shim.app.running.Runs;
import shim.app.spring.SpringRules;
import shim.app.spring.SpringTypes;
import shim.app.spring.Springs;
import shim.app.walk.JobArchive;
import shim.core.engine.EngineSheet;

/** An engine with everything, as one document; comes back in without loss. */
@Service
@Transactional
class EngineFile {
  static final String FORMAT = "shim-engine";
  static final int VERSION = 1;

  private final Engines engines;
  private final Events events;
  private final Runs runs;
  private final SpringTypes types;
  private final Springs springs;
  private final SpringRules rules;
  private final TestArchive tests;
  private final LashArchive lash;
  private final ChangeRules changeRules;
  private final JobArchive jobs;
  private final ItemArchive items;
  private final LifterArchive lifters;
  private final UnderWay underWay;
  private final Memory memory;

  EngineFile(
      Engines engines,
      Events events,
      Runs runs,
      SpringTypes types,
      Springs springs,
      SpringRules rules,
      TestArchive tests,
      LashArchive lash,
      ChangeRules changeRules,
      JobArchive jobs,
      ItemArchive items,
      LifterArchive lifters,
      UnderWay underWay,
      Memory memory) {
    this.engines = engines;
    this.events = events;
    this.runs = runs;
    this.types = types;
    this.springs = springs;
    this.rules = rules;
    this.tests = tests;
    this.lash = lash;
    this.changeRules = changeRules;
    this.jobs = jobs;
    this.items = items;
    this.lifters = lifters;
    this.underWay = underWay;
    this.memory = memory;
  }

  /** An event with its id. */
  record KeptEvent(UUID id, Events.EventEntry event) {}

  /**
   * The document. Lengths in inch, loads in lbf, hours, °F; ids stay what they were.
   *
   * @param fittings all of these springs, so that hours run in other engines are not lost; those of
   *     engines that are not here come in once that engine does
   * @param changeRules missing, as jobs and openItems, in a file from before spring changes
   * @param lifters missing in a file from before lifters
   */
  record EngineDocument(
      String format,
      int version,
      UUID id,
      EngineSheet sheet,
      List<KeptEvent> events,
      List<Runs.RunView> runs,
      List<SpringTypes.StoredType> springTypes,
      List<Springs.StoredSpring> springs,
      List<Springs.StoredFitting> fittings,
      SpringRules.SpringRulesSheet springRules,
      List<TestArchive.ArchivedTest> springTests,
      List<LashArchive.ArchivedRound> lashRounds,
      List<LashArchive.ArchivedChange> partsChanged,
      ChangeRules.@Nullable ChangeRulesSheet changeRules,
      @Nullable List<JobArchive.ArchivedJob> jobs,
      @Nullable List<ItemArchive.ArchivedItem> openItems,
      LifterArchive.@Nullable ArchivedLifters lifters) {}

  @Transactional(readOnly = true)
  public EngineDocument export(UUID id) {
    Engines.Stored engine = engines.get(id);
    List<Springs.StoredFitting> fitted = springs.fittings(id);
    List<TestArchive.ArchivedTest> tested = tests.of(id);
    Stream<UUID> read =
        tested.stream().flatMap(t -> t.readings().stream()).map(r -> r.reading().springId());
    List<Springs.StoredSpring> own =
        springs
            .get(
                Stream.concat(fitted.stream().map(f -> f.fitting().springId()), read)
                    .distinct()
                    .toList())
            .stream()
            .sorted(Comparator.comparing(s -> s.spring().mark()))
            .toList();
    Map<UUID, SpringTypes.StoredType> used = new LinkedHashMap<>();
    own.forEach(s -> used.put(s.spring().typeId(), types.get(s.spring().typeId())));
    return new EngineDocument(
        FORMAT,
        VERSION,
        id,
        engine.sheet(),
        events.of(id).stream()
            .map(
                e ->
                    new KeptEvent(
                        e.id(),
                        new Events.EventEntry(
                            id, e.name(), e.date(), e.plannedHours(), e.runHours())))
            .toList(),
        runs.of(id),
        new ArrayList<>(used.values()),
        own,
        fitted,
        rules.of(id),
        tested,
        lash.rounds(id),
        lash.changes(id),
        changeRules.of(id),
        jobs.jobs(id),
        items.items(id),
        lifters.of(id));
  }

  public UUID take(EngineDocument d) {
    if (!FORMAT.equals(d.format()) || d.version() != VERSION) {
      throw Refusal.invalid(
          "format", "this is no engine file of Shim, version " + VERSION + ": nothing was kept");
    }
    Progress.Tally taken =
        new Progress.Tally(underWay.here(), Progress.Stage.TAKING_IN, entries(d));
    engines.put(d.id(), d.sheet(), null, null);
    taken.each(d.events(), e -> events.put(e.id(), e.event()));
    taken.each(d.runs(), r -> runs.put(List.of(r)));
    taken.each(d.springTypes(), t -> types.put(t.id(), t.sheet(), null));
    taken.each(d.springs(), s -> springs.put(s.id(), s.spring(), null));
    taken.each(d.fittings(), f -> springs.fit(f.id(), f.fitting()));
    rules.put(d.id(), d.springRules(), null);
    taken.each(d.springTests(), memory.letGoAfter(tests::put));
    taken.each(d.lashRounds(), memory.letGoAfter(lash::put));
    taken.each(d.partsChanged(), lash::put);
    if (d.changeRules() != null) {
      changeRules.put(d.id(), d.changeRules(), null);
    }
    taken.each(list(d.jobs()), memory.letGoAfter(jobs::put));
    taken.each(list(d.openItems()), items::put);
    if (d.lifters() != null) {
      lifters.put(d.id(), d.lifters());
    }
    return d.id();
  }

  private static long entries(EngineDocument d) {
    return Stream.of(
            d.events(),
            d.runs(),
            d.springTypes(),
            d.springs(),
            d.fittings(),
            d.springTests(),
            d.lashRounds(),
            d.partsChanged(),
            list(d.jobs()),
            list(d.openItems()))
        .mapToLong(List::size)
        .sum();
  }

  private static <T> List<T> list(@Nullable List<T> maybe) {
    return Objects.requireNonNullElse(maybe, List.of());
  }
}
