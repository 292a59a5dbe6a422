package shim.app.device;

import java.util.Locale;
import java.util.Optional;
import shim.core.unit.Units;

/** One line of the protocol, as a tester speaks it. */
sealed interface Spoken {
  /** A load, lbf whatever unit it was spoken in. */
  record Load(double lbf) implements Spoken {}

  /** Who it is. */
  record Name(String name) implements Spoken {}

  /** Reads a line; empty for what is not of the protocol. */
  static Optional<Spoken> parse(String line) {
    String[] words = line.strip().split("\\s+", 3);
    if (words.length >= 2 && words[0].equalsIgnoreCase("TESTER")) {
      return Optional.of(new Name(line.strip().substring(words[0].length()).strip()));
    }
    if (words.length < 2 || !words[0].equalsIgnoreCase("LOAD")) {
      return Optional.empty();
    }
    try {
      double figure = Double.parseDouble(words[1].replace(',', '.'));
      return lbf(figure, words.length > 2 ? words[2] : "lbf")
          .filter(Double::isFinite)
          .map(Load::new);
    } catch (NumberFormatException e) {
      return Optional.empty();
    }
  }

  private static Optional<Double> lbf(double figure, String unit) {
    return switch (unit.toLowerCase(Locale.ROOT)) {
      case "lbf", "lb" -> Optional.of(figure);
      case "n" -> Optional.of(figure / Units.NEWTON_PER_LBF);
      case "kgf", "kg" -> Optional.of(figure * Units.NEWTON_PER_KGF / Units.NEWTON_PER_LBF);
      default -> Optional.empty();
    };
  }
}
