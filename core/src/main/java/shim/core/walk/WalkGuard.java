package shim.core.walk;

import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;

/** What every walk refuses, in the words of whoever stands beside the work. */
final class WalkGuard<S> {
  private static final int MOST = 999;

  private final Walk<S> walk;
  private final Procedure<S> procedure;

  WalkGuard(Walk<S> walk) {
    this.walk = walk;
    this.procedure = walk.procedure();
  }

  Optional<String> refuses(Done d) {
    return whole(d)
        .or(() -> d.act() instanceof WalkAct a ? common(a, d) : Optional.empty())
        .or(() -> procedure.refuses(walk, d));
  }

  private Optional<String> whole(Done d) {
    if (walk.end() != End.OPEN) {
      return Optional.of("this job is over");
    }
    if (walk.parked() != null && d.act() != WalkAct.RESUME) {
      return Optional.of("the job is parked: take it up again first");
    }
    if (!d.step().isEmpty() && !isStep(d)) {
      return Optional.of("this walk has no such step: " + d.step());
    }
    boolean before =
        d.act() == WalkAct.ACCEPT || d.act() == WalkAct.LAY_OUT || d.act() == WalkAct.ABANDON;
    if (!walk.accepted() && !before) {
      return Optional.of("read and accept the cautions first");
    }
    return walk.held().entrySet().stream()
        .filter(e -> e.getValue().lost())
        .filter(e -> d.act() != WalkAct.REHELD && d.act() != WalkAct.DROPPED)
        .map(Map.Entry::getKey)
        .findFirst()
        .map(c -> "the hold is lost at cylinder " + c + ": see to its valve first");
  }

  /** A step is only done by its own act at its own place. */
  private boolean isStep(Done d) {
    return procedure.steps().stream()
        .anyMatch(
            s ->
                s.id().equals(d.step())
                    && (s.act() == d.act() || procedure.standsFor(d.act(), s))
                    && Objects.equals(s.cylinder(), d.cylinder())
                    && Objects.equals(s.valve(), d.valve()));
  }

  private Optional<String> common(WalkAct act, Done d) {
    if (!act.placed(d)) {
      return Optional.of(misplaced(d));
    }
    return switch (act) {
      case LAY_OUT, COUNTED, PUT_AWAY -> counted(d);
      case ORDER -> said(d, "say which part").or(() -> leaving("left"));
      case PARK -> said(d, "say what it waits for").or(() -> leaving("left"));
      case RESUME -> when(walk.parked() == null, () -> "the job is not parked");
      case ABANDON -> said(d, "say why it ends unfinished").or(() -> leaving("closed"));
      case SIGN -> walk.openForSigning().stream().findFirst();
      case UNTICK ->
          when(
              !d.text().startsWith("tick:") || !walk.ticked().contains(d.text()),
              () -> "only a plain step that is done can be taken back");
      case AIR_LOST ->
          when(
              !walk.held().containsKey(d.cylinder()),
              () -> "no hold is on at cylinder " + d.cylinder());
      case REHELD ->
          !walk.lost(Objects.requireNonNull(d.cylinder()))
              ? Optional.of("no hold was lost at cylinder " + d.cylinder())
              : said(d, "say what holds the valve now");
      case DROPPED -> dropped(d);
      case READ -> read(d);
      case ACCEPT, TICK, HOLD, RELEASE, TORQUE -> Optional.empty();
    };
  }

  private static String misplaced(Done d) {
    if (d.valve() != null) {
      return "that is not done at one valve";
    }
    return d.cylinder() == null
        ? "say at which cylinder or valve"
        : "say at which valve, or at none";
  }

  private Optional<String> dropped(Done d) {
    var valve = Objects.requireNonNull(d.valve());
    return when(
        !walk.loose().contains(valve) || !walk.lost(valve.cylinder()), () -> valve + " is held");
  }

  private Optional<String> counted(Done d) {
    boolean known = procedure.things().stream().anyMatch(t -> t.name().equals(d.text()));
    double n = d.number();
    boolean number = n >= 0 && n <= MOST && n == Math.rint(n);
    return when(!known || !number, () -> "how many? A whole number");
  }

  /** A figure belongs to a step that has a limit; one that is out may stand with a reason. */
  private Optional<String> read(Done d) {
    Optional<Within> limit =
        procedure.steps().stream()
            .filter(s -> s.id().equals(d.step()))
            .flatMap(s -> Stream.ofNullable(s.within()))
            .findFirst();
    if (limit.isEmpty()) {
      return Optional.of("nothing is read here");
    }
    Within l = limit.get();
    return l.impossible(d.number())
        .or(() -> d.text().isEmpty() ? l.out(d.number()) : Optional.empty());
  }

  private Optional<String> leaving(String how) {
    return procedure.leaving(walk, how);
  }

  private static Optional<String> said(Done d, String words) {
    return when(d.text().isEmpty(), () -> words);
  }

  private static Optional<String> when(boolean wrong, Supplier<String> words) {
    return wrong ? Optional.of(words.get()) : Optional.empty();
  }
}
