package shim.app.http;

import java.util.Collection;
import java.util.function.Consumer;

/** To whom long work says how far it is. */
public interface Progress {
  /** Nobody asks. */
  Progress UNSEEN = (stage, done, all) -> {};

  /** What long work is at; the edge has the words. */
  enum Stage {
    /** It waits for its turn, or has not arrived. */
    WAITING,
    /** The file comes over the line, in bytes. */
    ARRIVING,
    /** Photos come out of a backup. */
    UNPACKING,
    /** Rows of a database are read through. */
    READING,
    /** Entries of a file are taken in. */
    TAKING_IN,
    /** What follows from the entries is computed. */
    COMPUTING,
    /** Photos go into a backup. */
    PACKING,
    /** What was there is replaced: from here on it is not stopped. */
    REPLACING
  }

  /**
   * So far it is.
   *
   * @param all 0 when nobody knows how much there is
   * @throws Refusal when it was asked to stop; whoever calls lets it through, having changed
   *     nothing
   */
  void at(Stage stage, long done, long all);

  /** Does one thing after the other and counts them. */
  default <T> void each(Stage stage, Collection<T> all, Consumer<T> one) {
    new Tally(this, stage, all.size()).each(all, one);
  }

  /** Several lists that are one piece of work. */
  final class Tally {
    private final Progress far;
    private final Stage stage;
    private final long all;
    private long done;

    public Tally(Progress far, Stage stage, long all) {
      this.far = far;
      this.stage = stage;
      this.all = all;
    }

    public <T> void each(Collection<T> part, Consumer<T> one) {
      for (T t : part) {
        far.at(stage, done, all);
        one.accept(t);
        done++;
      }
      far.at(stage, done, all);
    }
  }
}
