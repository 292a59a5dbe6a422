package shim.app.stock;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.fatigue.SpringStanding;
import shim.app.lifter.LifterStanding;
import shim.app.record.Ids;
import shim.app.record.Maybe;
import shim.app.record.Sheets;
import shim.app.spring.SpringTypes;
import shim.app.spring.Springs;
import shim.app.stock.StockViews.ArrivalLine;
import shim.app.stock.StockViews.DueLine;
import shim.app.stock.StockViews.KindView;
import shim.app.stock.StockViews.Single;
import shim.app.stock.StockViews.Sort;
import shim.app.stock.StockViews.StockOrder;
import shim.app.stock.StockViews.StockView;
import shim.app.stock.Written.OrderSheet;
import shim.app.stock.Written.PartSheet;
import shim.core.engine.Position;
import shim.core.stock.Delivery;
import shim.core.stock.Due;
import shim.core.stock.Spares;
import shim.core.unit.Known;

/** Reads all parts: those on the shelf, those in engines with when they fall due, those ordered. */
@Component
@Transactional(readOnly = true)
public class StockReader {
  /** Events so close to the next one are left for together. */
  private static final int TOGETHER_DAYS = 7;

  private final Engines engines;
  private final SpringStanding springs;
  private final LifterStanding lifters;
  private final Springs springBook;
  private final SpringTypes types;
  private final Parts parts;
  private final Orders orders;

  StockReader(
      Engines engines,
      SpringStanding springs,
      LifterStanding lifters,
      Springs springBook,
      SpringTypes types,
      Parts parts,
      Orders orders) {
    this.engines = engines;
    this.springs = springs;
    this.lifters = lifters;
    this.springBook = springBook;
    this.types = types;
    this.parts = parts;
    this.orders = orders;
  }

  /** A part in an engine. */
  private record InEngine(
      UUID kind, LifterStanding.@Nullable Part lifter, Position at, Due due, double dueAtNext) {}

  /** An engine with its parts and events. */
  private record EngineParts(
      Engines.Stored engine, List<SpringStanding.Coming> coming, List<InEngine> parts) {
    @Nullable LocalDate next() {
      return coming.isEmpty() ? null : coming.get(0).date();
    }

    boolean rides(@Nullable LocalDate first) {
      LocalDate on = next();
      return first == null || on != null && !on.isAfter(first.plusDays(TOGETHER_DAYS));
    }
  }

  /** A kind while it is gathered. */
  private static final class Kind {
    private final Sort sort;
    private final String name;
    private final List<Single> singles = new ArrayList<>();

    Kind(Sort sort, String name) {
      this.sort = sort;
      this.name = name;
    }

    Sort sort() {
      return sort;
    }
  }

  StockView view() {
    List<EngineParts> all = engines.all().stream().map(this::parts).toList();
    LocalDate first =
        all.stream()
            .map(EngineParts::next)
            .filter(Objects::nonNull)
            .min(Comparator.naturalOrder())
            .orElse(null);
    String event =
        all.stream()
            .filter(e -> first != null && first.equals(e.next()))
            .map(e -> e.coming().get(0).name())
            .findFirst()
            .orElse(null);
    Map<UUID, Sheets.Kept<OrderSheet>> ordered = orders.all();
    List<KindView> kinds = kinds(all, first, ordered);
    Map<UUID, KindView> known = new HashMap<>();
    kinds.forEach(k -> known.put(k.id(), k));
    return new StockView(
        orders.today(),
        event,
        first,
        kinds,
        shared(all.stream().flatMap(e -> due(e, known).stream()).sorted(SOONEST).toList(), known),
        ordered.entrySet().stream()
            .map(e -> order(e.getKey(), e.getValue(), all))
            .sorted(NAMED)
            .toList());
  }

  private static final Comparator<DueLine> SOONEST =
      Comparator.comparing((DueLine d) -> d.date() == null ? LocalDate.MAX : d.date())
          .thenComparing(DueLine::expected, Comparator.reverseOrder())
          .thenComparing(DueLine::engine);

  private static final Comparator<StockOrder> NAMED =
      Comparator.comparing((StockOrder o) -> o.order().part()).thenComparing(StockOrder::id);

  /**
   * Parts that are expected to fall due and are neither in stock nor coming.
   *
   * @param orderBy the last day to order them; null where nobody knows
   */
  public record ToOrder(
      UUID engineId,
      String engine,
      UUID kindId,
      String part,
      int count,
      String event,
      @Nullable LocalDate orderBy) {}

  public List<ToOrder> toOrder() {
    StockView all = view();
    Map<UUID, KindView> kinds = new HashMap<>();
    all.kinds().forEach(k -> kinds.put(k.id(), k));
    return all.due().stream()
        .filter(d -> d.expected() && d.lacking() > 0)
        .map(
            d ->
                new ToOrder(
                    d.engineId(),
                    d.engine(),
                    d.kindId(),
                    Known.in(kinds, d.kindId()).sheet().name(),
                    d.lacking(),
                    d.event(),
                    d.orderBy()))
        .toList();
  }

  /** Engines with the same parts share what there is: what is expected first, then what may be. */
  private static List<DueLine> shared(List<DueLine> lines, Map<UUID, KindView> kinds) {
    Map<DueLine, Integer> lacking = new HashMap<>();
    lines.stream()
        .collect(Collectors.groupingBy(DueLine::kindId))
        .forEach(
            (kind, of) -> {
              List<DueLine> inTurn =
                  of.stream().sorted(Comparator.comparing(DueLine::expected).reversed()).toList();
              KindView known = kinds.get(kind);
              int there = known == null ? 0 : known.there() + known.coming();
              List<Integer> each =
                  Spares.lacking(there, inTurn.stream().map(d -> d.positions().size()).toList());
              for (int i = 0; i < inTurn.size(); i++) {
                lacking.put(inTurn.get(i), each.get(i));
              }
            });
    return lines.stream().map(d -> d.lacking(Known.in(lacking, d))).toList();
  }

  private StockOrder order(UUID id, Sheets.Kept<OrderSheet> kept, List<EngineParts> all) {
    OrderSheet o = kept.sheet();
    return new StockOrder(
        id,
        o,
        all.stream()
            .map(EngineParts::engine)
            .filter(e -> e.id().equals(o.engineId()))
            .map(Engines.Stored::name)
            .findFirst()
            .orElse(null),
        orders.comes(o).orElse(null),
        orders.arrival(o).lines().stream()
            .map(l -> new ArrivalLine(l.measure().what(), Maybe.orNull(l.figure()), l.found()))
            .toList(),
        kept.version());
  }

  private EngineParts parts(Engines.Stored engine) {
    SpringStanding.EngineStanding now = springs.of(engine.id());
    List<InEngine> in = new ArrayList<>();
    now.springs()
        .forEach(s -> in.add(new InEngine(s.typeId(), null, s.position(), s.due(), s.dueAtNext())));
    for (LifterStanding.Standing l : lifters.of(engine.id(), now)) {
      if (l.part() != null) {
        in.add(new InEngine(kindOf(l.part()), l.part(), l.position(), l.due(), l.dueAtNext()));
      }
    }
    return new EngineParts(engine, now.coming(), in);
  }

  private static UUID kindOf(LifterStanding.Part part) {
    return Ids.of("lifters " + part.kind() + " " + part.setName());
  }

  private Map<UUID, Kind> known(List<EngineParts> all, Map<UUID, Sheets.Kept<PartSheet>> written) {
    Map<UUID, Kind> kinds = new LinkedHashMap<>();
    types
        .all()
        .forEach(t -> kinds.put(t.id(), new Kind(Sort.SPRINGS, String.valueOf(t.sheet().name()))));
    springBook
        .free()
        .forEach(
            s ->
                Optional.ofNullable(kinds.get(s.spring().typeId()))
                    .ifPresent(k -> k.singles.add(new Single(s.id(), s.spring().mark()))));
    all.stream()
        .flatMap(e -> e.parts().stream())
        .map(InEngine::lifter)
        .filter(Objects::nonNull)
        .forEach(p -> kinds.computeIfAbsent(kindOf(p), id -> lifterKind(p)));
    lifters
        .free()
        .forEach(
            l ->
                kinds
                    .computeIfAbsent(kindOf(l.part()), id -> lifterKind(l.part()))
                    .singles
                    .add(new Single(l.id(), l.mark())));
    written.forEach(
        (id, kept) -> kinds.computeIfAbsent(id, k -> new Kind(Sort.PART, kept.sheet().name())));
    return kinds;
  }

  private static Kind lifterKind(LifterStanding.Part part) {
    String set = part.setName();
    return new Kind(Sort.LIFTERS, set == null ? "lifters of no set" : set);
  }

  private List<KindView> kinds(
      List<EngineParts> all,
      @Nullable LocalDate first,
      Map<UUID, Sheets.Kept<OrderSheet>> ordered) {
    Map<UUID, Sheets.Kept<PartSheet>> written = parts.all();
    Map<UUID, List<InEngine>> in =
        all.stream()
            .flatMap(e -> e.parts().stream())
            .collect(Collectors.groupingBy(InEngine::kind));
    Map<UUID, List<Double>> chances = new HashMap<>();
    all.stream()
        .filter(e -> e.rides(first))
        .flatMap(e -> e.parts().stream())
        .forEach(p -> chances.computeIfAbsent(p.kind(), k -> new ArrayList<>()).add(p.dueAtNext()));
    List<KindView> kinds = new ArrayList<>();
    known(all, written)
        .forEach(
            (id, k) -> {
              Sheets.Kept<PartSheet> kept = written.get(id);
              PartSheet sheet = kept == null ? unwritten(k.name) : kept.sheet();
              int there = k.sort() == Sort.PART ? sheet.count() : k.singles.size();
              int coming = coming(id, ordered);
              Spares spares = Spares.of(chances.getOrDefault(id, List.of()));
              int wanted = Math.max(spares.wanted(), sheet.take());
              kinds.add(
                  new KindView(
                      id,
                      k.sort(),
                      sheet,
                      there,
                      k.singles,
                      in.getOrDefault(id, List.of()).size(),
                      coming,
                      spares.expected(),
                      wanted,
                      Math.max(0, wanted - there - coming),
                      kept == null ? null : kept.version()));
            });
    kinds.sort(Comparator.comparing((KindView k) -> k.sort()).thenComparing(k -> k.sheet().name()));
    return kinds;
  }

  private static int coming(UUID kind, Map<UUID, Sheets.Kept<OrderSheet>> ordered) {
    return ordered.values().stream()
        .map(Sheets.Kept::sheet)
        .filter(o -> kind.equals(o.kindId()) && o.jobId() == null)
        .filter(o -> o.state() == Delivery.State.ORDERED || o.state() == Delivery.State.ARRIVED)
        .mapToInt(OrderSheet::count)
        .sum();
  }

  private static PartSheet unwritten(String name) {
    return new PartSheet(name, List.of(), null, 0, 0, null, null, null, List.of(), null);
  }

  /** Parts of a kind on one engine that fall due before the same event, in one line. */
  private List<DueLine> due(EngineParts e, Map<UUID, KindView> known) {
    record Together(UUID kind, int event, boolean expected) {}
    Map<Together, List<Position>> lines = new LinkedHashMap<>();
    for (InEngine p : e.parts()) {
      OptionalInt expected = p.due().expected();
      OptionalInt at = expected.isPresent() ? expected : p.due().may();
      if (at.isPresent() && at.getAsInt() < e.coming().size()) {
        Together key = new Together(p.kind(), at.getAsInt(), expected.isPresent());
        lines.computeIfAbsent(key, k -> new ArrayList<>()).add(p.at());
      }
    }
    List<DueLine> due = new ArrayList<>();
    lines.forEach(
        (key, positions) -> {
          SpringStanding.Coming event = e.coming().get(key.event());
          KindView kind = known.get(key.kind());
          Integer lead = kind == null ? null : kind.sheet().leadDays();
          Optional<LocalDate> by = Due.orderBy(event.date(), lead);
          due.add(
              new DueLine(
                  e.engine().id(),
                  e.engine().name(),
                  key.kind(),
                  positions,
                  event.name(),
                  event.date(),
                  key.expected(),
                  positions.size(),
                  by.orElse(null),
                  Due.order(by, orders.today())));
        });
    return due;
  }
}
