package shim.core.drift;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealVector;
import shim.core.drift.LashDrift.RoundShift;
import shim.core.stats.Normal;
import shim.core.stats.Range;
import shim.core.stats.Robust;
import shim.core.unit.Said;

/**
 * What all valves did alike over the season. The offset of each round is the sum of what its hand
 * reads off, a rate per hour, and what was peculiar to that round: temperature, a leaf. Hands are
 * held near none (0.7 thou), rates near none (0.3 thou an hour); where hands and hours go together
 * they cannot be told apart, and the intervals say so.
 *
 * @param trends rates of the engine as a whole and of its groups
 * @param handThou how much each person reads above the middle of all, thou
 * @param offRounds rounds that read off as a whole
 */
public record CommonStory(
    List<Trend> trends, Map<String, Double> handThou, List<OffRound> offRounds) {
  private static final double HAND_THOU = 0.7;
  private static final double RATE_THOU = 0.3;

  /** Scatter of a whole round beyond what its readings explain, thou. */
  private static final double ROUND_THOU = 0.8;

  /** Scatter of the difference of two groups within a round, thou. */
  private static final double GROUP_THOU = 0.3;

  /** From here a common rate or an odd round is worth a line, in standard deviations and thou. */
  private static final double CLEAR = 2;

  private static final double WORTH_THOU = 1;
  private static final double ODD_THOU = 2.5;

  /** What moves together. */
  public enum Group {
    ALL,
    /** The exhausts against the intakes. */
    EXHAUSTS,
    /** The second bank against the first. */
    SECOND_BANK
  }

  /** What a group or a round is said to do: opening or wide above zero. */
  public enum Code implements Said.Code {
    ALL_MOVE("thouPerHour"),
    EXHAUSTS_MOVE("thouPerHour"),
    SECOND_BANK_MOVES("thouPerHour"),
    NOTHING_OF_ALL,
    NOTHING_OF_EXHAUSTS,
    NOTHING_OF_SECOND_BANK,
    ROUND_READ_OFF("atHours", "thou");

    private final Said.Form form;

    Code(String... figures) {
      form = Said.form("COMMON", figures);
    }

    @Override
    public Said.Form form() {
      return form;
    }
  }

  /**
   * A rate that a group of valves shares.
   *
   * @param thouPerHour above zero: opening; 80 %
   * @param clear far enough from none to be worth a line
   */
  public record Trend(Group group, Range thouPerHour, boolean clear) {
    /** What it is, for a technician. */
    public Said said() {
      if (!clear) {
        return Said.of(
            switch (group) {
              case ALL -> Code.NOTHING_OF_ALL;
              case EXHAUSTS -> Code.NOTHING_OF_EXHAUSTS;
              case SECOND_BANK -> Code.NOTHING_OF_SECOND_BANK;
            });
      }
      return Said.of(
          switch (group) {
            case ALL -> Code.ALL_MOVE;
            case EXHAUSTS -> Code.EXHAUSTS_MOVE;
            case SECOND_BANK -> Code.SECOND_BANK_MOVES;
          },
          thouPerHour.mid());
    }
  }

  /** A round that read off at every valve. */
  public record OffRound(String round, double engineHours, double thou) {
    public Said said() {
      return Said.of(Code.ROUND_READ_OFF, engineHours, thou);
    }
  }

  public CommonStory {
    trends = List.copyOf(trends);
    handThou = Map.copyOf(handThou);
    offRounds = List.copyOf(offRounds);
  }

  /** At least three rounds that could be compared; fewer tell nothing of a trend. */
  public static CommonStory of(List<RoundShift> rounds, int banks) {
    List<RoundShift> told = rounds.stream().filter(r -> r.compared() >= 3).toList();
    if (told.size() < 3) {
      return new CommonStory(List.of(), Map.of(), List.of());
    }
    Fit all = new Fit(told, RoundShift::allThou, 0, ROUND_THOU);
    List<Trend> trends = new ArrayList<>();
    trends.add(all.trend(Group.ALL));
    trends.add(new Fit(told, RoundShift::exhaustsThou, 1, GROUP_THOU).trend(Group.EXHAUSTS));
    if (banks > 1) {
      trends.add(new Fit(told, RoundShift::bankThou, 2, GROUP_THOU).trend(Group.SECOND_BANK));
    }
    return new CommonStory(trends, all.hands(), all.offRounds());
  }

  /** Offsets of the rounds as hand plus rate, with what is left over. */
  private static final class Fit {
    private final List<RoundShift> rounds;
    private final List<String> hands;
    private final ToDoubleFunction<RoundShift> value;
    private final HeldFit solved;

    Fit(List<RoundShift> rounds, ToDoubleFunction<RoundShift> value, int effect, double scatter) {
      this.rounds = rounds;
      this.value = value;
      this.hands = rounds.stream().map(RoundShift::hand).distinct().toList();
      double[] sd = new double[2 + hands.size()];
      Arrays.fill(sd, HAND_THOU);
      sd[1] = RATE_THOU;
      RealVector start = new ArrayRealVector(sd.length);
      Robust.median(rounds.stream().map(value::applyAsDouble).toList())
          .ifPresent(m -> start.setEntry(0, m));
      solved =
          HeldFit.of(
              rounds.stream().map(r -> observed(r, effect, scatter)).toList(),
              new double[sd.length],
              sd,
              start);
    }

    private HeldFit.Observed observed(RoundShift r, int effect, double scatter) {
      double own = r.sdThou().get(effect);
      return new HeldFit.Observed(row(r), value.applyAsDouble(r), scatter * scatter + own * own);
    }

    private RealVector row(RoundShift r) {
      RealVector row = new ArrayRealVector(2 + hands.size());
      row.setEntry(0, 1);
      row.setEntry(1, r.engineHours() - rounds.get(0).engineHours());
      row.setEntry(2 + hands.indexOf(r.hand()), 1);
      return row;
    }

    Map<String, Double> hands() {
      Map<String, Double> result = new LinkedHashMap<>();
      for (int j = 0; j < hands.size() && hands.size() > 1; j++) {
        result.put(hands.get(j), solved.unknowns().getEntry(2 + j));
      }
      return result;
    }

    Trend trend(Group group) {
      double rate = solved.unknowns().getEntry(1);
      double sd = solved.sd(1);
      double hours = rounds.get(rounds.size() - 1).engineHours() - rounds.get(0).engineHours();
      boolean clear = Math.abs(rate) > CLEAR * sd && Math.abs(rate) * hours >= WORTH_THOU;
      Range range = new Normal(rate, sd).eighty();
      return new Trend(group, range, clear);
    }

    List<OffRound> offRounds() {
      List<Double> left = rounds.stream().map(this::leftOver).toList();
      double middle = Robust.median(left).orElse(0);
      double usual = Math.max(Robust.scaledMad(left).orElse(0), 0.5);
      List<OffRound> result = new ArrayList<>();
      for (RoundShift r : rounds) {
        double off = leftOver(r) - middle;
        if (Math.abs(off) >= Math.max(ODD_THOU, 3 * usual)) {
          result.add(new OffRound(r.name(), r.engineHours(), off));
        }
      }
      return result;
    }

    private double leftOver(RoundShift r) {
      return value.applyAsDouble(r) - row(r).dotProduct(solved.unknowns());
    }
  }
}
