package shim.core.lash;

/** Input that cannot be lash, in a technician's words. */
public class LashException extends IllegalArgumentException {
  private static final long serialVersionUID = 1L;

  public LashException(String message) {
    super(message);
  }
}
