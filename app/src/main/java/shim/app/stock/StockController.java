package shim.app.stock;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import shim.app.stock.StockViews.StockView;
import shim.app.stock.Written.OrderSheet;
import shim.app.stock.Written.PartSheet;

/** Parts, orders, and the lists that are taken along. */
@RestController
class StockController {
  private final StockReader reader;
  private final Parts parts;
  private final Orders orders;

  StockController(StockReader reader, Parts parts, Orders orders) {
    this.reader = reader;
    this.parts = parts;
    this.orders = orders;
  }

  /** A kind as entered; {@code basedOn} is the version it was changed on, null for a new one. */
  record PartEntry(
      @NotNull @Valid PartSheet part,
      @Nullable Integer basedOn,
      @Nullable @Size(max = 12, message = "12 letters at most") String hand) {}

  /** A part wanted, ordered or here, as entered. */
  record OrderEntry(
      @NotNull @Valid OrderSheet order,
      @Nullable Integer basedOn,
      @Nullable @Size(max = 12, message = "12 letters at most") String hand) {}

  /** Tells what lies in stock, what is on order and what falls due. */
  @GetMapping("/api/stock")
  StockView stock() {
    return reader.view();
  }

  /** Keeps a kind of part with its place, count and measures. */
  @PutMapping("/api/stock/parts/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void part(@PathVariable UUID id, @RequestBody PartEntry entry) {
    parts.put(id, entry.part(), entry.basedOn(), entry.hand());
  }

  /** Keeps an order, from wanted to measured. */
  @PutMapping("/api/stock/orders/{id}")
  @ResponseStatus(HttpStatus.NO_CONTENT)
  void order(@PathVariable UUID id, @RequestBody OrderEntry entry) {
    orders.put(id, entry.order(), entry.basedOn(), entry.hand());
  }

  /** Gives what is to be ordered as a table. */
  @GetMapping("/api/stock/order-list.csv")
  ResponseEntity<String> orderList() {
    return csv("order-list.csv", StockCsv.orders(reader.view()));
  }

  /** Gives what is to be packed for the next event as a table. */
  @GetMapping("/api/stock/packing-list.csv")
  ResponseEntity<String> packingList() {
    return csv("packing-list.csv", StockCsv.packing(reader.view()));
  }

  private static ResponseEntity<String> csv(String name, String text) {
    return ResponseEntity.ok()
        .header(HttpHeaders.CONTENT_TYPE, "text/csv;charset=utf-8")
        .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
        .body(text);
  }
}
