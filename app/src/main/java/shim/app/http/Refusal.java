package shim.app.http;

import java.util.List;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Problem;

/** Input that cannot be taken, in the user's words, with every field that is at fault. */
public class Refusal extends RuntimeException {
  private static final long serialVersionUID = 1L;
  private final transient List<FieldError> errors;
  private final Kind kind;

  /** A field by its path and what is wrong with it. */
  public record FieldError(String field, String message) {}

  /** What kind of refusal: the problem's type and status follow from it. */
  public enum Kind {
    INVALID,
    NOT_FOUND,
    CONFLICT,
    TOO_LARGE,
    DISK_FULL,
    BUSY,
    STOPPED
  }

  private Refusal(Kind kind, String message, List<FieldError> errors) {
    super(message);
    this.kind = kind;
    this.errors = List.copyOf(errors);
  }

  public static Refusal invalid(String message, List<FieldError> errors) {
    return new Refusal(Kind.INVALID, message, errors);
  }

  public static Refusal invalid(String field, String message) {
    return new Refusal(Kind.INVALID, message, List.of(new FieldError(field, message)));
  }

  /** Refuses a figure outside its range; a blank one is none. NaN is outside every range. */
  public static void outside(
      String field, @Nullable Double value, double low, double high, String words) {
    if (value != null && !(value >= low && value <= high)) {
      throw invalid(field, words);
    }
  }

  /** A sheet that cannot be taken: its refused fields, each by its path under a prefix. */
  public static Refusal sheet(String message, String prefix, List<Problem> problems) {
    return invalid(
        message,
        problems.stream()
            .filter(Problem::stops)
            .map(p -> new FieldError(prefix + p.field(), p.message()))
            .toList());
  }

  public static Refusal notFound(String message) {
    return new Refusal(Kind.NOT_FOUND, message, List.of());
  }

  public static Refusal conflict(String message) {
    return new Refusal(Kind.CONFLICT, message, List.of());
  }

  /** More than is taken in one piece; the field tells which. */
  public static Refusal tooLarge(String field, String message) {
    return new Refusal(Kind.TOO_LARGE, message, List.of(new FieldError(field, message)));
  }

  /** No room to write. */
  public static Refusal diskFull(String message) {
    return new Refusal(Kind.DISK_FULL, message, List.of());
  }

  /** Not now: the same again in a moment. */
  public static Refusal busy(String message) {
    return new Refusal(Kind.BUSY, message, List.of());
  }

  /** The person who began it has stopped it. */
  public static Refusal stopped(String message) {
    return new Refusal(Kind.STOPPED, message, List.of());
  }

  public String words() {
    return String.valueOf(getMessage());
  }

  public Kind kind() {
    return kind;
  }

  public List<FieldError> errors() {
    return errors;
  }
}
