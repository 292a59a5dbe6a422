package shim.core.unit;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Something a person is to be told: what it is, and its figures. The sentence, with its units, is
 * made where it is shown.
 *
 * @param code what is said
 * @param figures by the names the code gives them, units in the names: In, Lbf, Thou, Hours
 * @param name a mark, a grade or words that were kept; empty where there is none
 */
public record Said(String code, Map<String, Double> figures, String name) {
  /** Something that can be said, with the figures it takes. */
  public interface Code {
    String name();

    Form form();
  }

  /**
   * What a code is filled with.
   *
   * @param area tells the same word of two features apart
   */
  public record Form(String area, List<String> figures) {}

  public static Form form(String area, String... figures) {
    return new Form(area, List.of(figures));
  }

  /** Words that were kept as they stood when they were written. */
  public static final String KEPT = "KEPT";

  public Said {
    figures = Collections.unmodifiableMap(new LinkedHashMap<>(figures));
  }

  /**
   * @param values one for each figure the code takes
   */
  public static Said of(Code code, double... values) {
    List<String> names = code.form().figures();
    if (names.size() != values.length) {
      throw new IllegalArgumentException(code + " takes " + names + ", not " + values.length);
    }
    Map<String, Double> figures = new LinkedHashMap<>();
    for (int i = 0; i < values.length; i++) {
      figures.put(names.get(i), values[i]);
    }
    return new Said(code.form().area() + "." + code.name(), figures, "");
  }

  public static Said kept(String words) {
    return new Said(KEPT, Map.of(), words);
  }

  public Said named(String given) {
    return new Said(code, figures, given);
  }

  public double figure(String of) {
    return Known.in(figures, of);
  }
}
