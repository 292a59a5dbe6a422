package shim.core.fatigue;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A set solved: for every spring, how likely each account of its readings is, and its outlook. A
 * spring that has more likely than not left its set, and a setting that was more likely than not
 * wrong, say little of the set and of the day; who that is is decided twice, and the spreads are
 * fitted in between once there are tests enough.
 */
final class SetFit {
  private static final int TESTS_FOR_SPREADS = 4;
  private static final double MORE_LIKELY_THAN_NOT = 0.5;

  private final SetData data;
  private final PathKind[] kinds;
  private final List<Accounts> accounts = new ArrayList<>();
  private final Map<Integer, Mix> mixes = new HashMap<>();
  private Spreads spreads = Spreads.USUAL;
  private SetRun run;

  SetFit(SetData data) {
    this.data = data;
    kinds = new PathKind[data.tracks().size()];
    Arrays.fill(kinds, PathKind.WITH_SET);
    run = new SetRun(new Blocks(data, spreads), kinds);
    weigh();
    SetData trusted = decide();
    if (data.tests() >= TESTS_FOR_SPREADS) {
      spreads = new SpreadFit(trusted, kinds).spreads();
    }
    run = new SetRun(new Blocks(trusted, spreads), kinds);
    weigh();
    PathKind[] before = kinds.clone();
    SetData again = decide();
    if (!Arrays.equals(before, kinds) || !again.equals(trusted)) {
      run = new SetRun(new Blocks(again, spreads), kinds);
      weigh();
    }
  }

  private void weigh() {
    accounts.clear();
    for (int i = 0; i < kinds.length; i++) {
      accounts.add(run.accounts(i));
    }
  }

  /** Who has left the set, and which settings are not to be trusted; the last one stays open. */
  private SetData decide() {
    List<Track> tracks = new ArrayList<>(data.tracks());
    for (int i = 0; i < kinds.length; i++) {
      Accounts of = accounts.get(i);
      kinds[i] = PathKind.WITH_SET;
      if (of.quiet()) {
        continue;
      }
      if (of.failing() > MORE_LIKELY_THAN_NOT) {
        kinds[i] = PathKind.OWN_WAY;
      }
      int[] seen = tracks.get(i).seenTests();
      for (int k = 0; k < seen.length - 1; k++) {
        if (of.slipped(seen[k]) > MORE_LIKELY_THAN_NOT) {
          tracks.set(i, tracks.get(i).doubting(seen[k]));
        }
      }
    }
    return data.with(tracks);
  }

  Spreads spreads() {
    return spreads;
  }

  SetRun run() {
    return run;
  }

  /** The last reading of a spring against all else while it is taken as healthy, s.d. */
  double surprise(int spring) {
    return run.healthy(spring).surprise(spring);
  }

  Accounts accounts(int spring) {
    return accounts.get(spring);
  }

  /** Probability that a spring has left its set. */
  double ownWay(int spring) {
    return accounts.get(spring).failing();
  }

  Mix mix(int spring) {
    return mixes.computeIfAbsent(spring, i -> accounts.get(i).mix());
  }
}
