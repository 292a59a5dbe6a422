package shim.core.change;

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
    @Nullable String caution) {
  public Step {
    look = List.copyOf(look);
  }

  Step looking(String... what) {
    return new Step(id, act, cylinder, valve, figure, word, title, List.of(what), caution);
  }

  Step careful(String words) {
    return new Step(id, act, cylinder, valve, figure, word, title, look, words);
  }

  Step with(@Nullable Double number, @Nullable String text) {
    return new Step(id, act, cylinder, valve, number, text, title, look, caution);
  }
}
