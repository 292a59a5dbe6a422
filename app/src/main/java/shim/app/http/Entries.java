package shim.app.http;

import jakarta.validation.ConstraintViolation;
import jakarta.validation.Validator;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.lang.annotation.Annotation;
import java.lang.reflect.AnnotatedElement;
import java.lang.reflect.AnnotatedParameterizedType;
import java.lang.reflect.AnnotatedType;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import shim.app.http.Refusal.FieldError;

/**
 * Looks through everything that is entered before it is used, however deep it lies: nothing that
 * must be there is missing, each field keeps to its own bounds, no figure is endless or beyond all
 * measure, no date is out of this world, no text is longer than any text has to be. All faults are
 * reported together, each by its path.
 */
@Component
public class Entries {
  static final double BEYOND_MEASURE = 1e9;
  private static final int LONGEST_TEXT = 4000;
  private static final int FIRST_YEAR = 1900;
  private static final int LAST_YEAR = 2200;
  private static final int MOST_FAULTS = 50;

  private final Validator validator;

  Entries(Validator validator) {
    this.validator = validator;
  }

  /** Refuses an entry, or a list of entries, with all that is wrong with it. */
  public void requireSound(Object entry) {
    List<FieldError> faults = new ArrayList<>();
    look(entry, "", faults);
    if (!faults.isEmpty()) {
      throw Refusal.invalid("some of what was entered cannot be used", faults);
    }
  }

  private void look(@Nullable Object value, String at, List<FieldError> faults) {
    if (value == null || faults.size() >= MOST_FAULTS) {
      return;
    }
    String fault = fault(value);
    if (fault != null) {
      faults.add(new FieldError(at.isEmpty() ? "body" : at, fault));
    } else if (value instanceof Collection<?> list) {
      list(list, at, faults);
    } else if (value instanceof Map<?, ?> map) {
      map.forEach((k, v) -> present(v, at + "." + k, faults));
    } else if (value instanceof Record r && r.getClass().getName().startsWith("shim.")) {
      record(r, at, faults);
    }
  }

  private void list(Collection<?> list, String at, List<FieldError> faults) {
    int i = 0;
    for (Object o : list) {
      present(o, at + "[" + i++ + "]", faults);
    }
  }

  private void present(@Nullable Object value, String at, List<FieldError> faults) {
    if (value == null) {
      faults.add(new FieldError(at, "this entry is empty"));
    }
    look(value, at, faults);
  }

  private void record(Record r, String at, List<FieldError> faults) {
    for (RecordComponent c : r.getClass().getRecordComponents()) {
      String name = at.isEmpty() ? c.getName() : at + "." + c.getName();
      Object value = value(c, r);
      if (value == null && !mayBeMissing(c)) {
        faults.add(new FieldError(name, missing(c)));
      } else if (!(value instanceof Collection<?>) || !mayHoldNothing(c)) {
        look(value, name, faults);
      }
    }
    bounds(r, at, faults);
  }

  /** What the fields of one record say of themselves; what is missing is told already. */
  private void bounds(Record r, String at, List<FieldError> faults) {
    for (ConstraintViolation<Record> v : validator.validate(r)) {
      String name = at.isEmpty() ? v.getPropertyPath().toString() : at + "." + v.getPropertyPath();
      if (v.getInvalidValue() != null && faults.stream().noneMatch(f -> f.field().equals(name))) {
        faults.add(new FieldError(name, v.getMessage()));
      }
    }
  }

  private static boolean mayBeMissing(RecordComponent c) {
    return c.getType().isPrimitive()
        || c.getAnnotatedType().isAnnotationPresent(Nullable.class)
        || c.getType() == java.util.Optional.class;
  }

  /** A list that says of its elements that they may be missing. */
  private static boolean mayHoldNothing(RecordComponent c) {
    return c.getAnnotatedType() instanceof AnnotatedParameterizedType p
        && java.util.Arrays.stream(p.getAnnotatedActualTypeArguments()).anyMatch(Entries::nullable);
  }

  private static boolean nullable(AnnotatedType t) {
    return t.isAnnotationPresent(Nullable.class);
  }

  private static @Nullable Object value(RecordComponent c, Record r) {
    try {
      c.getAccessor().setAccessible(true);
      return c.getAccessor().invoke(r);
    } catch (IllegalAccessException | InvocationTargetException e) {
      throw new IllegalStateException("cannot look at " + c, e);
    }
  }

  /** The field's own words where it has some. */
  private static String missing(RecordComponent c) {
    String own = own(c, NotNull.class, NotBlank.class);
    return own == null ? c.getName() + " is missing" : own;
  }

  @SafeVarargs
  private static @Nullable String own(
      RecordComponent c, Class<? extends Annotation>... constraints) {
    for (AnnotatedElement e : List.of(c.getAnnotatedType(), c.getAccessor())) {
      for (Class<? extends Annotation> k : constraints) {
        Annotation a = e.getAnnotation(k);
        String words =
            a instanceof NotNull n ? n.message() : a instanceof NotBlank b ? b.message() : "{";
        if (!words.startsWith("{")) {
          return words;
        }
      }
    }
    return null;
  }

  private static @Nullable String fault(Object value) {
    if (value instanceof Double d) {
      return Math.abs(d) <= BEYOND_MEASURE ? null : "a figure beyond all measure: " + d;
    }
    if (value instanceof String s) {
      return s.length() <= LONGEST_TEXT ? null : LONGEST_TEXT + " letters at most";
    }
    int year = year(value);
    return year >= FIRST_YEAR && year < LAST_YEAR
        ? null
        : "a date between " + FIRST_YEAR + " and " + LAST_YEAR;
  }

  private static int year(Object value) {
    if (value instanceof Instant i) {
      return Instant.MIN.equals(i) || Instant.MAX.equals(i)
          ? 0
          : i.atOffset(ZoneOffset.UTC).getYear();
    }
    return value instanceof LocalDate d ? d.getYear() : FIRST_YEAR;
  }
}
