package shim.core.walk;

/** What is counted out and in: anything small enough to be left in an engine. */
public interface Thing {
  /** Stays the same for ever: it is kept. */
  String name();

  /** "1 lock", "3 locks". */
  String words(int n);

  String many();
}
