package shim.core.lash;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import shim.core.Engines;
import shim.core.engine.Engine;
import shim.core.engine.EngineSheet.InTolerance;
import shim.core.engine.HeatState;
import shim.core.engine.HotColdSchool;
import shim.core.engine.Material;
import shim.core.engine.ValveKind;
import shim.core.stats.Robust;

/**
 * Hot to cold and back over random cards, against exact decimals; and no target where none is left.
 */
class HotColdPropertiesTest {
  private static final Engine V8 = Engines.engine(Engines.sheet("v8-odd-even"));
  private static final BigDecimal TIGHTEST = new BigDecimal("0.002");

  private static BigDecimal halfThou(int halves) {
    return BigDecimal.valueOf(halves * 5L, 4);
  }

  private static Engine engine(
      BigDecimal cardIn, HeatState state, HotColdSchool school, BigDecimal fixed, Material heads) {
    Engine.Rules rules =
        new Engine.Rules(
            school,
            fixed.doubleValue(),
            Material.IRON,
            heads,
            0.002,
            0.001,
            Optional.empty(),
            List.of(),
            Optional.empty(),
            InTolerance.ASK);
    double in = cardIn.doubleValue();
    Engine.LashSpec spec = new Engine.LashSpec(in, in, null, null, state);
    return new Engine("any", V8.layout(), V8.drive(), V8.cam(), spec, rules);
  }

  private static HeatState other(HeatState state) {
    return state == HeatState.HOT ? HeatState.COLD : HeatState.HOT;
  }

  @ParameterizedTest
  @EnumSource(HotColdSchool.class)
  void thereAndBackIsTheCardAgainAndNothingIsLeftOfTooLittle(HotColdSchool school) {
    Random r = new Random(school.ordinal());
    List<String> none = new ArrayList<>();
    int found = 0;
    for (int i = 0; i < 2000; i++) {
      BigDecimal card = halfThou(6 + r.nextInt(60));
      BigDecimal fixed = halfThou(r.nextInt(40) - 30);
      Material heads = r.nextBoolean() ? Material.IRON : Material.ALUMINIUM;
      HeatState state = r.nextBoolean() ? HeatState.HOT : HeatState.COLD;
      ValveKind kind = r.nextBoolean() ? ValveKind.INTAKE : ValveKind.EXHAUST;
      Growth growth =
          school == HotColdSchool.OWN_GROWTH
              ? new Growth(
                  Map.of(kind, Robust.Mean.of(List.of(fixed.doubleValue(), fixed.doubleValue()))))
              : new Growth(Map.of());
      Engine engine = engine(card, state, school, fixed, heads);
      double coldMinusHot = LashTarget.conversion(engine.rules(), kind, growth).coldMinusHotIn();
      BigDecimal shift = BigDecimal.valueOf(Math.round(coldMinusHot * 1e4), 4);
      BigDecimal wanted = state == HeatState.HOT ? card.add(shift) : card.subtract(shift);
      LashTarget.Answer there = LashTarget.of(engine, kind, other(state), growth);
      String what = card + " " + state + " by " + shift;
      if (wanted.compareTo(TIGHTEST) <= 0) {
        assertThat(there.wanted()).as(what).isEmpty();
        assertThat(there.why()).as(what).isPresent();
        none.add(what);
        continue;
      }
      found++;
      double target = there.wanted().orElseThrow().targetIn();
      assertThat(BigDecimal.valueOf(Math.round(target * 1e7), 7))
          .as(what)
          .isEqualByComparingTo(wanted);
      Engine turned = engine(wanted, other(state), school, fixed, heads);
      double back = LashTarget.of(turned, kind, state, growth).wanted().orElseThrow().targetIn();
      assertThat(BigDecimal.valueOf(Math.round(back * 1e7), 7)).as(what).isEqualByComparingTo(card);
    }
    assertThat(found).isGreaterThan(1000);
    assertThat(none).as("cards of which nothing is left are among them").isNotEmpty();
  }
}
