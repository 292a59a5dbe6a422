package shim.core.walk;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import shim.core.engine.Position;

/**
 * One step of the walk.
 *
 * @param id stays the same for the same plan
 * @param figure what to expect or propose: degrees, psi, pieces; null where nothing is entered
 * @param word what the act needs besides, where it is known
 * @param look what to look for
 * @param caution what can hurt here; null where nothing does
 * @param within what the figure that is read must lie between; null where none is
 */
public record Step(
    String id,
    Act act,
    @Nullable Integer cylinder,
    @Nullable Position valve,
    @Nullable Double figure,
    @Nullable String word,
    String title,
    List<String> look,
    @Nullable String caution,
    @Nullable Within within) {
  public Step {
    look = List.copyOf(look);
  }

  public Step looking(String... what) {
    return new Step(id, act, cylinder, valve, figure, word, title, List.of(what), caution, within);
  }

  public Step careful(String words) {
    return new Step(id, act, cylinder, valve, figure, word, title, look, words, within);
  }

  public Step with(@Nullable Double number, @Nullable String text) {
    return new Step(id, act, cylinder, valve, number, text, title, look, caution, within);
  }

  /** A figure is read, and what it must lie between is said with what to look for. */
  Step inside(Within within) {
    List<String> all = new ArrayList<>();
    if (!within.words().isEmpty()) {
      all.add(within.words());
    }
    all.addAll(look);
    return new Step(id, act, cylinder, valve, figure, word, title, all, caution, within);
  }

  String text() {
    return word == null ? "" : word;
  }

  /** This step as it is done. */
  public Done done(@Nullable Double number, @Nullable String text, String hand, Instant at) {
    return new Done(act, id, cylinder, valve, number, text, hand, at);
  }
}
