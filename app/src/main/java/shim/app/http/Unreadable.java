package shim.app.http;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import shim.app.http.Refusal.FieldError;
import shim.core.engine.Position;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.exc.MismatchedInputException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.exc.ValueInstantiationException;

/** Why a body could not be read: the field, and what was expected there. */
final class Unreadable {
  private Unreadable() {}

  static FieldError of(@Nullable Throwable cause) {
    if (cause instanceof StreamReadException e) {
      return new FieldError(
          "body",
          "this is no JSON that can be read: look at line "
              + e.getLocation().getLineNr()
              + ", column "
              + e.getLocation().getColumnNr());
    }
    if (cause instanceof JacksonException e) {
      return new FieldError(path(e.getPath()), words(e));
    }
    return new FieldError("body", "what was to be kept did not arrive: send it again");
  }

  private static String words(JacksonException e) {
    if (e instanceof UnrecognizedPropertyException u) {
      return "there is no entry named \"" + u.getPropertyName() + "\" here";
    }
    if (e instanceof ValueInstantiationException) {
      String why = e.getCause() instanceof IllegalArgumentException i ? i.getMessage() : null;
      return why == null ? "something that belongs here is missing" : why;
    }
    if (e instanceof MismatchedInputException m && m.getTargetType() != null) {
      return "expected here: " + expected(m.getTargetType());
    }
    Throwable cause = e.getCause();
    return cause instanceof IllegalArgumentException && cause.getMessage() != null
        ? cause.getMessage()
        : "this is not what is expected here";
  }

  /** What belongs into a field of a type, in words. */
  static String expected(Class<?> type) {
    if (type.isEnum()) {
      return "one of "
          + Arrays.stream(type.getEnumConstants())
              .map(String::valueOf)
              .collect(Collectors.joining(", "));
    }
    if (type == int.class || type == Integer.class || type == long.class || type == Long.class) {
      return "a whole number";
    }
    if (type.isPrimitive() && type != boolean.class || Number.class.isAssignableFrom(type)) {
      return "a number, such as 0.018";
    }
    if (type == boolean.class || type == Boolean.class) {
      return "true or false";
    }
    return others(type);
  }

  private static String others(Class<?> type) {
    if (type == UUID.class) {
      return "an id, such as 123e4567-e89b-42d3-a456-426614174000";
    }
    if (type == Position.class) {
      return "a valve, such as 3E";
    }
    if (type == Instant.class) {
      return "a time, such as 2026-05-01T10:00:00Z";
    }
    if (type == LocalDate.class) {
      return "a date, such as 2026-05-01";
    }
    if (type == String.class) {
      return "words";
    }
    if (Collection.class.isAssignableFrom(type) || type.isArray()) {
      return "a list";
    }
    return Map.class.isAssignableFrom(type) ? "a table" : "a group of entries";
  }

  private static String path(List<JacksonException.Reference> path) {
    StringBuilder at = new StringBuilder();
    for (JacksonException.Reference r : path) {
      if (r.getPropertyName() == null) {
        at.append('[').append(Math.max(0, r.getIndex())).append(']');
      } else {
        at.append(at.isEmpty() ? "" : ".").append(r.getPropertyName());
      }
    }
    return at.isEmpty() ? "body" : at.toString();
  }
}
