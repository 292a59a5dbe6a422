package shim.core.drift;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import shim.core.engine.HeatState;
import shim.core.engine.Layout;
import shim.core.engine.Position;
import shim.core.engine.ValveKind;
import shim.core.lash.Growth;
import shim.core.stats.Robust;

/**
 * All rounds of an engine weighed together.
 *
 * @param valves what is said of each valve, in the layout's order
 * @param rounds what each round did to all valves alike, oldest first
 * @param scatter this engine's round-to-round scatter over the usual one, standard deviations
 */
public record LashDrift(Map<Position, ValveDrift> valves, List<RoundShift> rounds, double scatter) {

  /**
   * What one round did to all valves alike, against the first round; thou.
   *
   * @param allThou every valve
   * @param exhaustsThou exhausts over intakes
   * @param bankThou second bank over first
   * @param exhaustsInBankThou exhausts over intakes, second bank over first
   * @param coolingThou last valve read over first
   * @param sdThou standard deviations of the first three
   * @param compared valves that could be compared
   */
  public record RoundShift(
      String name,
      long order,
      double engineHours,
      HeatState state,
      String hand,
      double allThou,
      double exhaustsThou,
      double bankThou,
      double exhaustsInBankThou,
      double coolingThou,
      List<Double> sdThou,
      int compared) {}

  /** Readings that weigh as much as the usual scatter does before any is known. */
  private static final double USUAL_WEIGHT = 30;

  /** Growth nobody has measured may be anything, variance in thou². */
  private static final double GROWTH_UNKNOWN = 400;

  private static final double INCH_TO_THOU = 1000;

  /**
   * @param rounds in any order
   * @param growth the engine's own, where it is known
   */
  public static LashDrift of(
      Layout layout, List<LashRound> rounds, Growth growth, DriftRules rules) {
    List<LashRound> sorted =
        rounds.stream().sorted(Comparator.comparingLong(LashRound::order)).toList();
    Pass first = new Pass(layout, growth, rules, 1).over(sorted);
    double scale = first.scatter();
    Pass pass = new Pass(layout, growth, rules, scale).over(sorted);
    Map<Position, ValveDrift> valves = new LinkedHashMap<>();
    List<String> names = sorted.stream().map(LashRound::name).toList();
    for (Position p : layout.positions()) {
      ValveDrift valve = new Weighing(p, pass.track(p).steps(), names, rules).result();
      valves.put(p, valve.onPaper(onPaper(p, sorted)));
    }
    return new LashDrift(valves, pass.shifts, Math.sqrt(scale));
  }

  /** As found less as left the last time in the same state. */
  private static Optional<ValveDrift.LashOnPaper> onPaper(Position p, List<LashRound> rounds) {
    LashRound.Read now = null;
    HeatState state = HeatState.HOT;
    for (int n = rounds.size() - 1; n >= 0; n--) {
      LashRound round = rounds.get(n);
      LashRound.Read read =
          round.reads().stream().filter(r -> r.position().equals(p)).findAny().orElse(null);
      if (read != null && now == null && read.found() != null) {
        now = read;
        state = round.state();
      } else if (read != null && now != null && now.found() != null && round.state() == state) {
        Gap last = read.left() == null ? read.found() : read.left();
        if (last != null) {
          double found = now.found().middleThou();
          return Optional.of(
              new ValveDrift.LashOnPaper(
                  round.name(), last.middleThou(), found, found - last.middleThou()));
        }
      }
    }
    return Optional.empty();
  }

  public LashDrift {
    rounds = List.copyOf(rounds);
  }

  /** One pass over all rounds with one scale of scatter. */
  private static final class Pass {
    private final Layout layout;
    private final Growth growth;
    private final DriftRules rules;
    private final double scale;
    private final Map<Position, Track> tracks = new HashMap<>();
    private final List<Track> ended = new ArrayList<>();
    private final List<RoundShift> shifts = new ArrayList<>();

    /** The last round's effects; where growth is unknown, each temperature state has its own. */
    private final Map<HeatState, double[]> effectsIn = new EnumMap<>(HeatState.class);

    Pass(Layout layout, Growth growth, DriftRules rules, double scale) {
      this.layout = layout;
      this.growth = growth;
      this.rules = rules;
      this.scale = scale;
    }

    Pass over(List<LashRound> rounds) {
      for (int n = 0; n < rounds.size(); n++) {
        take(n, rounds.get(n));
      }
      return this;
    }

    Track track(Position p) {
      return tracks.computeIfAbsent(
          p,
          x -> {
            double spread = rules.growthSpreadThou();
            return new Track(rules, scale, growthKnown() ? spread * spread : GROWTH_UNKNOWN);
          });
    }

    private boolean growthKnown() {
      return growth.byKind().size() == ValveKind.values().length;
    }

    private void take(int n, LashRound round) {
      for (Position p : round.renewed()) {
        Track old = tracks.remove(p);
        if (old != null) {
          ended.add(old);
        }
      }
      round.reads().forEach(r -> track(r.position()).runTo(round.engineHours()));
      Map<Position, Common.Surprise> surprises = surprises(round);
      HeatState footing = growthKnown() ? HeatState.HOT : round.state();
      boolean newState = !effectsIn.isEmpty() && !effectsIn.containsKey(footing);
      double[] before = effectsIn.getOrDefault(footing, Common.none());
      List<Common.Surprise> list = List.copyOf(surprises.values());
      Common common = list.isEmpty() ? null : Common.of(list, before, newState);
      double[] now = common == null ? before : common.effects();
      effectsIn.put(footing, now);
      int index = 0;
      for (int i = 0; i < round.reads().size(); i++) {
        LashRound.Read r = round.reads().get(i);
        Common.Surprise s = place(round, i, 0, 1);
        double shift = Common.at(now, s);
        boolean compared = surprises.containsKey(r.position());
        if (r.found() != null) {
          double leverage =
              compared && common != null ? common.leverage(list.get(index), index) : 0;
          track(r.position()).read(n, seen(round, r.position(), r.found()), shift, leverage);
        }
        index += compared ? 1 : 0;
        if (r.left() != null) {
          track(r.position()).set(n, seen(round, r.position(), r.left()), shift);
        }
      }
      if (!round.reads().isEmpty()) {
        shifts.add(shift(round, now, common, list.size()));
      }
    }

    private Map<Position, Common.Surprise> surprises(LashRound round) {
      Map<Position, Common.Surprise> result = new LinkedHashMap<>();
      for (int i = 0; i < round.reads().size(); i++) {
        LashRound.Read r = round.reads().get(i);
        Track track = track(r.position());
        if (r.found() != null && track.known()) {
          Track.Seen seen = seen(round, r.position(), r.found());
          result.put(
              r.position(),
              place(round, i, seen.thou() - track.expected(seen), track.variance(seen)));
        }
      }
      return result;
    }

    private Track.Seen seen(LashRound round, Position p, Gap gap) {
      boolean cold = round.state() == HeatState.COLD;
      double grown = cold ? growth.coldMinusHotIn(p.kind()).map(Robust.Mean::mean).orElse(0.0) : 0;
      return new Track.Seen(
          gap.middleThou() - grown * INCH_TO_THOU, gap.widthVariance(), cold ? 1 : 0);
    }

    private Common.Surprise place(LashRound round, int i, double thou, double variance) {
      Position p = round.reads().get(i).position();
      int last = round.reads().size() - 1;
      double bank = layout.banks().size() < 2 ? 0 : layout.bankOf(p.cylinder()) == 0 ? -0.5 : 0.5;
      double exhaust = p.kind() == ValveKind.EXHAUST ? 0.5 : -0.5;
      return new Common.Surprise(
          thou, variance, exhaust, bank, last == 0 ? 0 : i / (double) last - 0.5);
    }

    private RoundShift shift(
        LashRound round, double[] effects, @Nullable Common common, int compared) {
      List<Double> sd =
          common == null ? List.of() : List.of(common.sd(0), common.sd(1), common.sd(2));
      return new RoundShift(
          round.name(),
          round.order(),
          round.engineHours(),
          round.state(),
          round.hand(),
          effects[0],
          effects[1],
          effects[2],
          2 * effects[3],
          common == null ? 0 : effects[4],
          sd,
          compared);
    }

    /** Variance of the surprises over the usual, held near one until many are known. */
    double scatter() {
      List<Double> z =
          Stream.concat(tracks.values().stream(), ended.stream())
              .flatMap(t -> t.steps().stream())
              .filter(Track.Step::speaks)
              .map(s -> s.surprise() / Math.sqrt(s.variance()))
              .toList();
      double sd = Robust.scaledMad(z).orElse(1);
      double mixed = (USUAL_WEIGHT + z.size() * sd * sd) / (USUAL_WEIGHT + z.size());
      return Math.max(0.4, Math.min(mixed, 9));
    }
  }
}
