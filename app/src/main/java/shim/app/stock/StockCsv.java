package shim.app.stock;

import de.siegmar.fastcsv.writer.CsvWriter;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import shim.app.record.Cells;
import shim.app.stock.StockViews.KindView;
import shim.app.stock.StockViews.StockOrder;
import shim.app.stock.StockViews.StockView;

/** The list of what is to be ordered, by supplier, and of what goes along, as tables. */
final class StockCsv {
  static final List<String> ORDER_COLUMNS =
      List.of(
          "supplier",
          "part",
          "count",
          "state",
          "lead_days",
          "price",
          "ordered",
          "comes",
          "for_engine");
  static final List<String> PACKING_COLUMNS =
      List.of("part", "place", "take", "there", "coming", "missing", "marks");

  private static final Comparator<String> BLANK_LAST =
      Comparator.comparing(String::isEmpty).thenComparing(Comparator.naturalOrder());

  private StockCsv() {}

  static String orders(StockView all) {
    List<List<String>> lines =
        all.orders().stream()
            .filter(o -> o.order().state().away())
            .sorted(
                Comparator.comparing(o -> Objects.toString(o.order().supplier(), ""), BLANK_LAST))
            .map(StockCsv::line)
            .toList();
    return table(ORDER_COLUMNS, lines);
  }

  private static List<String> line(StockOrder o) {
    return List.of(
        Cells.out(Objects.toString(o.order().supplier(), "")),
        Cells.out(o.order().part()),
        String.valueOf(o.order().count()),
        o.order().state().name(),
        Objects.toString(o.order().leadDays(), ""),
        plain(o.order().price()),
        Objects.toString(o.order().orderedOn(), ""),
        Objects.toString(o.comes(), ""),
        Cells.out(Objects.toString(o.engine(), "")));
  }

  static String packing(StockView all) {
    List<List<String>> lines =
        all.kinds().stream()
            .filter(k -> k.wanted() > 0)
            .sorted(Comparator.comparing(k -> Objects.toString(k.sheet().place(), ""), BLANK_LAST))
            .map(StockCsv::line)
            .toList();
    return table(PACKING_COLUMNS, lines);
  }

  private static List<String> line(KindView k) {
    return List.of(
        Cells.out(k.sheet().name()),
        Cells.out(Objects.toString(k.sheet().place(), "")),
        String.valueOf(k.wanted()),
        String.valueOf(k.there()),
        String.valueOf(k.coming()),
        String.valueOf(k.missing()),
        Cells.out(String.join(" ", k.singles().stream().map(StockViews.Single::mark).toList())));
  }

  private static String plain(@Nullable Double figure) {
    return figure == null ? "" : BigDecimal.valueOf(figure).stripTrailingZeros().toPlainString();
  }

  private static String table(List<String> columns, List<List<String>> lines) {
    StringWriter out = new StringWriter();
    try (CsvWriter csv = CsvWriter.builder().build(out)) {
      csv.writeRecord(columns);
      lines.forEach(csv::writeRecord);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }
}
