package shim.app.record;

import jakarta.persistence.AttributeConverter;
import org.jspecify.annotations.Nullable;

/**
 * How a figure that cannot be is read from a row of an older Shim, which still took it: as none, so
 * that no page falls over it. It stays in its row until a person mends it ({@link BadRows}).
 */
public final class Sound {
  /** Most hours that are taken. */
  public static final double MOST_HOURS = 100_000;

  private static final double MOST_MINUTES = 6000;
  private static final double LEAST_HEIGHT_IN = 0.1;
  private static final double MOST_HEIGHT_IN = 300;

  private Sound() {}

  private abstract static class Within implements AttributeConverter<Double, Double> {
    private final double low;
    private final double high;
    private final @Nullable Double instead;

    Within(double low, double high, @Nullable Double instead) {
      this.low = low;
      this.high = high;
      this.instead = instead;
    }

    @Override
    public @Nullable Double convertToDatabaseColumn(@Nullable Double value) {
      return value;
    }

    @Override
    public @Nullable Double convertToEntityAttribute(@Nullable Double stored) {
      return stored == null || stored >= low && stored <= high ? stored : instead;
    }
  }

  /** Hours that must be there: zero in place of what cannot be. */
  public static final class Hours extends Within {
    public Hours() {
      super(0, MOST_HOURS, 0.0);
    }
  }

  /** Hours that may be missing. */
  public static final class MaybeHours extends Within {
    public MaybeHours() {
      super(0, MOST_HOURS, null);
    }
  }

  /** Minutes of a run. */
  public static final class Minutes extends Within {
    public Minutes() {
      super(0, MOST_MINUTES, 0.0);
    }
  }

  /** A spring's height, inch. */
  public static final class Height extends Within {
    public Height() {
      super(LEAST_HEIGHT_IN, MOST_HEIGHT_IN, null);
    }
  }
}
