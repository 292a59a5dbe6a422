package shim.app.device;

import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import shim.core.unit.Units;

/** One line of the protocol, as an instrument speaks it. */
sealed interface Spoken {
  /** A load, lbf whatever unit it was spoken in. */
  record Load(double lbf) implements Spoken {}

  /** A lift over the base circle, inch whatever unit it was spoken in. */
  record Lift(double inch) implements Spoken {}

  /** Degrees of the crank on a wheel. */
  record Angle(double deg) implements Spoken {}

  /** Who it is. */
  record Name(String name) implements Spoken {}

  /** What an instrument calls itself before its name. */
  Set<String> INSTRUMENTS = Set.of("TESTER", "DIAL", "ENCODER");

  /** Reads a line; empty for what is not of the protocol. */
  static Optional<Spoken> parse(String line) {
    String[] words = line.strip().split("\\s+", 3);
    if (words.length >= 2 && INSTRUMENTS.contains(words[0].toUpperCase(Locale.ROOT))) {
      return Optional.of(new Name(line.strip().substring(words[0].length()).strip()));
    }
    if (words.length < 2) {
      return Optional.empty();
    }
    String unit = words.length > 2 ? words[2] : "";
    return switch (words[0].toUpperCase(Locale.ROOT)) {
      case "LOAD" -> figure(words[1]).flatMap(f -> lbf(f, unit)).map(Load::new);
      case "LIFT" -> figure(words[1]).flatMap(f -> inch(f, unit)).map(Lift::new);
      case "ANGLE" ->
          figure(words[1]).filter(f -> unit.isEmpty() || unit.equals("deg")).map(Angle::new);
      default -> Optional.empty();
    };
  }

  private static Optional<Double> figure(String text) {
    try {
      return Optional.of(Double.valueOf(text.replace(',', '.'))).filter(Double::isFinite);
    } catch (NumberFormatException e) {
      return Optional.empty();
    }
  }

  private static Optional<Double> inch(double figure, String unit) {
    return switch (unit.toLowerCase(Locale.ROOT)) {
      case "", "in", "inch" -> Optional.of(figure);
      case "mm" -> Optional.of(figure / Units.MM_PER_INCH);
      default -> Optional.empty();
    };
  }

  private static Optional<Double> lbf(double figure, String unit) {
    return switch (unit.toLowerCase(Locale.ROOT)) {
      case "", "lbf", "lb" -> Optional.of(figure);
      case "n" -> Optional.of(figure / Units.NEWTON_PER_LBF);
      case "kgf", "kg" -> Optional.of(figure * Units.NEWTON_PER_KGF / Units.NEWTON_PER_LBF);
      default -> Optional.empty();
    };
  }
}
