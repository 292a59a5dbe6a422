package shim.app.stock;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import shim.app.stock.Written.OrderSheet;
import shim.app.stock.Written.PartSheet;
import shim.core.engine.Position;
import shim.core.stock.Due;
import shim.core.stock.Measure;

/** What the parts room shows. */
final class StockViews {
  private StockViews() {}

  /** Where a kind comes from. */
  enum Sort {
    /** Written down by a person. */
    PART,
    /** Springs on record. */
    SPRINGS,
    /** Lifters on record. */
    LIFTERS
  }

  /** One of a kind that lies in stock. */
  record Single(UUID id, String mark) {}

  /**
   * A kind of part.
   *
   * @param there so many lie in stock
   * @param fitted so many are in engines
   * @param coming so many are ordered or here and not measured
   * @param expected changes to expect by the end of the next event
   * @param wanted so many are to go along
   * @param missing so many of them are neither there nor coming
   * @param version of the sheet; null where nobody wrote one
   */
  record KindView(
      UUID id,
      Sort sort,
      PartSheet sheet,
      int there,
      List<Single> singles,
      int fitted,
      int coming,
      double expected,
      int wanted,
      int missing,
      @Nullable Integer version) {}

  /**
   * Parts of one kind on one engine that fall due together.
   *
   * @param event before which they are expected to be changed, or may have to be
   * @param expected false where it is only the short end of what is known
   * @param lacking so many of them are neither in stock nor coming
   * @param orderBy the last day to order them; null where nobody knows
   */
  record DueLine(
      UUID engineId,
      String engine,
      UUID kindId,
      List<Position> positions,
      String event,
      @Nullable LocalDate date,
      boolean expected,
      int lacking,
      @Nullable LocalDate orderBy,
      Due.Order order) {
    DueLine lacking(int given) {
      return new DueLine(
          engineId, engine, kindId, positions, event, date, expected, given, orderBy, order);
    }
  }

  /** A measure of a part that came. */
  record ArrivalLine(Measure.What what, @Nullable Double figure, Measure.Found found) {}

  /**
   * A part that is wanted.
   *
   * @param engine the name of the engine it is for; null for none
   * @param comes the day it is expected; null where nobody knows
   */
  record StockOrder(
      UUID id,
      OrderSheet order,
      @Nullable String engine,
      @Nullable LocalDate comes,
      List<ArrivalLine> arrival,
      int version) {}

  /** All of the parts room. */
  record StockView(
      LocalDate today,
      @Nullable String event,
      @Nullable LocalDate eventOn,
      List<KindView> kinds,
      List<DueLine> due,
      List<StockOrder> orders) {}
}
