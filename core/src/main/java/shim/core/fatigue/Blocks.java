package shim.core.fatigue;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * All blocks of a set for given spreads: springs read at the same hours with the same care share
 * one block for each kind of path, made when first asked for.
 */
final class Blocks {
  private final SetData data;
  private final Spreads spreads;
  private final Priors priors;
  private final int[] patternOf;
  private final int[] columnOf;
  private final List<List<Track>> patterns = new ArrayList<>();
  private final List<Map<PathKind, Block>> made = new ArrayList<>();
  private final Map<Integer, FaultBank> banks = new HashMap<>();

  /** A spring's column in its block. */
  record Place(Block block, int column) {}

  Blocks(SetData data, Spreads spreads) {
    this.data = data;
    this.spreads = spreads;
    priors = Priors.of(data, spreads);
    patternOf = new int[data.tracks().size()];
    columnOf = new int[patternOf.length];
    for (int i = 0; i < patternOf.length; i++) {
      Track track = data.tracks().get(i);
      patternOf[i] = pattern(track);
      columnOf[i] = patterns.get(patternOf[i]).size();
      patterns.get(patternOf[i]).add(track);
    }
  }

  private int pattern(Track track) {
    for (int p = 0; p < patterns.size(); p++) {
      if (patterns.get(p).get(0).likeTo(track)) {
        return p;
      }
    }
    patterns.add(new ArrayList<>());
    made.add(new EnumMap<>(PathKind.class));
    return patterns.size() - 1;
  }

  Place place(int spring, PathKind kind) {
    int p = patternOf[spring];
    Block block =
        made.get(p)
            .computeIfAbsent(kind, k -> new Block(patterns.get(p), data.tests(), spreads, k));
    return new Place(block, columnOf[spring]);
  }

  /** All accounts of one spring, weighed in a run in which it is healthy. */
  Accounts accounts(int spring, SetRun run) {
    int p = patternOf[spring];
    FaultBank bank =
        banks.computeIfAbsent(p, k -> new FaultBank(patterns.get(k), data.tests(), spreads));
    return new Accounts(bank, columnOf[spring], data.tracks().get(spring), run);
  }

  SetData data() {
    return data;
  }

  Priors priors() {
    return priors;
  }

  double repeatsDensity() {
    return data.repeatsDensity(spreads.reading());
  }
}
