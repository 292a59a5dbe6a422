package shim.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;
import shim.core.stats.Range;
import shim.core.stock.Measure.Found;
import shim.core.stock.Measure.What;

/** Parts: fit on arrival, the event they fall due before, and spares. */
class StockTest {
  private static final Measure BORE = new Measure(What.BORE, 0.570, 0, 0.002);
  private static final Measure LOAD = new Measure(What.LOAD, 220, 5, 5);
  private static final LocalDate TODAY = LocalDate.of(2026, 11, 30);

  private static Found bore(double figure) {
    return Arrival.of(List.of(BORE), Map.of(What.BORE, figure)).lines().get(0).found();
  }

  @Test
  void aCupAtItsLimitFitsAndOneStepBeyondDoesNot() {
    assertThat(bore(0.570)).isEqualTo(Found.FITS);
    assertThat(bore(0.5699)).isEqualTo(Found.TOO_SMALL);
    assertThat(bore(0.572)).as("0.570 + 0.002 in binary is a hair off").isEqualTo(Found.FITS);
    assertThat(bore(0.5721)).isEqualTo(Found.TOO_LARGE);
    assertThat(bore(Double.NaN)).isNotEqualTo(Found.FITS);
  }

  @Test
  void whatIsNotMeasuredDoesNotFitButIsNotWrongYet() {
    Arrival some = Arrival.of(List.of(BORE, LOAD), Map.of(What.BORE, 0.571));
    assertThat(some.fits()).isFalse();
    assertThat(some.wrong()).isFalse();
    Arrival weak = Arrival.of(List.of(BORE, LOAD), Map.of(What.BORE, 0.571, What.LOAD, 214.0));
    assertThat(weak.fits()).isFalse();
    assertThat(weak.wrong()).isTrue();
    assertThat(Arrival.of(List.of(BORE, LOAD), Map.of(What.BORE, 0.571, What.LOAD, 215.0)).fits())
        .isTrue();
    assertThat(Arrival.of(List.of(), Map.of()).fits()).as("nothing decides").isTrue();
  }

  @Test
  void aPartFallsDueBeforeTheFirstEventItWouldNotEnd() {
    List<Double> coming = List.of(1.4, 0.9, 2.0);
    assertThat(Due.of(1.4, OptionalInt.empty(), coming).may()).as("just enough").hasValue(1);
    assertThat(Due.of(1.39, OptionalInt.empty(), coming).may()).hasValue(0);
    assertThat(Due.of(2.3, OptionalInt.empty(), coming).may()).as("1.4 + 0.9").hasValue(2);
    assertThat(Due.of(-1, OptionalInt.empty(), coming).may()).as("over already").hasValue(0);
    assertThat(Due.of(9, OptionalInt.empty(), coming).may()).isEmpty();
    assertThat(Due.of(Double.POSITIVE_INFINITY, OptionalInt.empty(), coming).may()).isEmpty();
  }

  @Test
  void whatIsExpectedToBeDueMayBeDue() {
    List<Double> coming = List.of(1.4, 0.9, 2.0);
    assertThat(Due.of(9, OptionalInt.of(1), coming).may()).hasValue(1);
    assertThat(Due.of(1, OptionalInt.of(2), coming).may()).hasValue(0);
    assertThat(Due.of(1, OptionalInt.of(2), coming).expected()).hasValue(2);
  }

  @Test
  void orderByIsTheEventLessLeadTimeLessADay() {
    // Event on 12 December, a week's way: 12 - 7 - 1 = 4 December.
    Optional<LocalDate> by = Due.orderBy(LocalDate.of(2026, 12, 12), 7);
    assertThat(by).hasValue(LocalDate.of(2026, 12, 4));
    assertThat(Due.order(by, TODAY)).isEqualTo(Due.Order.LATER);
    assertThat(Due.order(by, LocalDate.of(2026, 12, 4))).isEqualTo(Due.Order.TODAY);
    assertThat(Due.order(by, LocalDate.of(2026, 12, 5))).isEqualTo(Due.Order.TOO_LATE);
    assertThat(Due.orderBy(null, 7)).isEmpty();
    assertThat(Due.orderBy(LocalDate.of(2026, 12, 12), null)).isEmpty();
    assertThat(Due.order(Optional.empty(), TODAY)).isEqualTo(Due.Order.UNKNOWN);
  }

  @Test
  void aPartComesWhenItsSupplierSaidOrAfterItsLeadTime() {
    Delivery.State ordered = Delivery.State.ORDERED;
    LocalDate on = TODAY.minusDays(3);
    assertThat(new Delivery(ordered, on, 5, TODAY.plusDays(9), null).comes(TODAY))
        .as("the day it was promised for counts more than the usual way")
        .hasValue(TODAY.plusDays(9));
    assertThat(new Delivery(ordered, on, 5, null, null).comes(TODAY)).hasValue(TODAY.plusDays(2));
    assertThat(new Delivery(ordered, on, 2, null, null).comes(TODAY))
        .as("overdue: today at the earliest")
        .hasValue(TODAY);
    assertThat(new Delivery(ordered, on, null, null, null).comes(TODAY)).isEmpty();
    assertThat(new Delivery(Delivery.State.WANTED, null, 5, null, null).comes(TODAY))
        .as("ordered today")
        .hasValue(TODAY.plusDays(5));
    assertThat(new Delivery(Delivery.State.REFUSED, on, 5, on, on).comes(TODAY))
        .as("ordered anew")
        .hasValue(TODAY.plusDays(5));
    assertThat(new Delivery(Delivery.State.ARRIVED, on, 5, null, on).comes(TODAY)).hasValue(on);
  }

  @Test
  void theChanceNotToLastGoesThroughTheKnownHours() {
    Range left = new Range(2, 4, 8);
    assertThat(Due.chance(left, 0)).isZero();
    assertThat(Due.chance(left, 1)).isCloseTo(0.05, within(1e-12));
    assertThat(Due.chance(left, 2)).isCloseTo(0.1, within(1e-12));
    assertThat(Due.chance(left, 3)).isCloseTo(0.3, within(1e-12));
    assertThat(Due.chance(left, 6)).isCloseTo(0.7, within(1e-12));
    assertThat(Due.chance(left, 100)).isCloseTo(0.9, within(1e-12));
    assertThat(Due.chance(new Range(0, 0, 0), 1)).isCloseTo(0.9, within(1e-12));
    double endless = Double.POSITIVE_INFINITY;
    assertThat(Due.chance(new Range(3, endless, endless), 5)).isCloseTo(0.1, within(1e-12));
    assertThat(Due.named("B", List.of("A", "B"))).hasValue(1);
    assertThat(Due.named("C", List.of("A", "B"))).isEmpty();
    assertThat(Due.named(null, List.of("A"))).isEmpty();
  }

  @Test
  void sparesAreEnoughNineTimesInTen() {
    assertThat(Spares.of(List.of())).isEqualTo(new Spares(0, 0));
    assertThat(Spares.of(List.of(1.0, 1.0))).isEqualTo(new Spares(2, 2));
    assertThat(Spares.of(List.of(0.1)).wanted()).as("enough at 0.9").isZero();
    assertThat(Spares.of(List.of(0.11)).wanted()).isEqualTo(1);
    // Two of one half each: none with 1/4, one at most with 3/4, so two.
    assertThat(Spares.of(List.of(0.5, 0.5)).wanted()).isEqualTo(2);
    assertThat(Spares.of(List.of(Double.NaN)).wanted()).isLessThanOrEqualTo(1);
  }

  @Test
  void enginesShareWhatThereIsTheFirstNeedFirst() {
    assertThat(Spares.lacking(3, List.of(2, 2, 1))).containsExactly(0, 1, 1);
    assertThat(Spares.lacking(9, List.of(2, 2))).containsExactly(0, 0);
    assertThat(Spares.lacking(0, List.of(1))).containsExactly(1);
  }

  @Test
  void sparesAgreeWithEveryWayItCanTurnOut() {
    Random random = new Random(4);
    for (int trial = 0; trial < 50; trial++) {
      int parts = 1 + random.nextInt(8);
      List<Double> due = new ArrayList<>();
      for (int i = 0; i < parts; i++) {
        due.add(random.nextDouble() * random.nextDouble());
      }
      Spares spares = Spares.of(due);
      assertThat(spares.expected())
          .isCloseTo(due.stream().mapToDouble(Double::doubleValue).sum(), within(1e-12));
      assertThat(atMost(due, spares.wanted())).isGreaterThanOrEqualTo(0.9);
      if (spares.wanted() > 0) {
        assertThat(atMost(due, spares.wanted() - 1)).isLessThan(0.9);
      }
    }
  }

  /** Chance that so many are enough, by adding up every way it can turn out. */
  private static double atMost(List<Double> due, int spares) {
    double sum = 0;
    for (int way = 0; way < 1 << due.size(); way++) {
      if (Integer.bitCount(way) <= spares) {
        double p = 1;
        for (int i = 0; i < due.size(); i++) {
          p *= (way >> i & 1) == 1 ? due.get(i) : 1 - due.get(i);
        }
        sum += p;
      }
    }
    return sum;
  }
}
