package shim.core.engine;

/**
 * Something on a sheet that does not fit, in a technician's words.
 *
 * @param field path of the field, such as {@code layout.firingOrder}
 * @param weight whether it stops the work or is only asked
 * @param message what is wrong and what was expected
 */
public record Problem(String field, Weight weight, String message) {

  /** How a problem is treated. */
  public enum Weight {
    /** Not written down yet: nothing is wrong, but nothing can be said without it. */
    MISSING,
    /** Cannot be used as it stands. */
    REFUSED,
    /** Unlikely but possible: kept, and asked about. */
    ASKED
  }

  /** The sheet cannot be taken with it. */
  public boolean stops() {
    return weight != Weight.ASKED;
  }
}
