package shim.app.record;

import java.util.regex.Pattern;

/**
 * Words in the cells of a table. A spreadsheet takes what begins with a sign of its own for a
 * formula and would run it; such words leave Shim behind an apostrophe and come back without it. A
 * number with its sign is a number and stays as it is.
 */
public final class Cells {
  private static final Pattern FORMULA = Pattern.compile("[=@\t\r'+-].*", Pattern.DOTALL);
  private static final Pattern NUMBER = Pattern.compile("[+-]?\\d+([.,]\\d+)?");

  private Cells() {}

  public static String out(String words) {
    return FORMULA.matcher(words).matches() && !NUMBER.matcher(words).matches()
        ? "'" + words
        : words;
  }

  public static String in(String cell) {
    return cell.startsWith("'") && FORMULA.matcher(cell.substring(1)).matches()
        ? cell.substring(1)
        : cell;
  }
}
