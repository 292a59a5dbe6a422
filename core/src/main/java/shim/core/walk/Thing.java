package shim.core.walk;

/** What is counted out and in: anything small enough to be left in an engine. */
public interface Thing {
  /** Stays the same for ever: it is kept. */
  String name();

  String one();

  String many();

  /** "1 lock", "3 locks". */
  default String words(int n) {
    return n + " " + (n == 1 ? one() : many());
  }
}
