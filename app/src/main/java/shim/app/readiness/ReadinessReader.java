package shim.app.readiness;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.change.OpenWork;
import shim.app.fatigue.SpringStanding;
import shim.app.lash.LashBook;
import shim.app.lifter.LifterStanding;
import shim.core.drift.ValveDrift;
import shim.core.engine.Position;
import shim.core.fatigue.Verdict;
import shim.core.readiness.Readiness;
import shim.core.readiness.Readiness.Area;
import shim.core.readiness.Readiness.Item;
import shim.core.readiness.Readiness.State;

/** Gathers what speaks against an engine's next event. */
@Service
@Transactional(readOnly = true)
class ReadinessReader {
  /** Running since the last lash round below which it still stands, hours: a warm-up. */
  private static final double WARM_UP_HOURS = 0.2;

  private final SpringStanding springs;
  private final LashBook lash;
  private final LifterStanding lifters;
  private final OpenWork work;

  ReadinessReader(SpringStanding springs, LashBook lash, LifterStanding lifters, OpenWork work) {
    this.springs = springs;
    this.lash = lash;
    this.lifters = lifters;
    this.work = work;
  }

  /** The engine's readiness with the event it is asked for. */
  record Answer(Readiness readiness, double engineHours, SpringStanding.Coming next) {}

  Answer of(UUID engineId) {
    SpringStanding.EngineStanding now = springs.of(engineId);
    List<Item> items = new ArrayList<>();
    double end = now.coming().get(0).endHours();
    work.of(engineId).stream()
        .filter(o -> o.job() || o.dueHours() == null || o.dueHours() <= end)
        .forEach(
            o ->
                items.add(
                    new Item(
                        Area.WORK,
                        o.job() ? State.NOT_READY : State.READY_BUT,
                        o.words(),
                        null,
                        o.jobId() == null ? null : o.jobId().toString())));
    addSprings(items, now);
    addLash(items, lash.standing(engineId), now.engineHours());
    addLifters(items, lifters.of(engineId, now));
    return new Answer(Readiness.of(items), now.engineHours(), now.coming().get(0));
  }

  private static void addSprings(List<Item> items, SpringStanding.EngineStanding now) {
    if (now.springs().isEmpty()) {
      items.add(item(Area.SPRINGS, State.READY_BUT, "no springs are on record", null));
      return;
    }
    if (now.springs().stream().noneMatch(SpringStanding.Standing::tested)) {
      items.add(item(Area.SPRINGS, State.READY_BUT, "its springs were never tested", null));
    }
    now.springs().stream()
        .filter(s -> s.verdict() == Verdict.CHANGE)
        .forEach(
            s ->
                items.add(
                    item(
                        Area.SPRINGS,
                        State.NOT_READY,
                        s.position() + "'s spring: " + s.words(),
                        s.position())));
    some(
        items,
        Area.SPRINGS,
        "springs to watch",
        now.springs().stream()
            .filter(s -> s.verdict() == Verdict.WATCH)
            .map(SpringStanding.Standing::position)
            .toList());
    some(items, Area.SPRINGS, "valves without a spring on record", now.empty());
  }

  private static void addLash(List<Item> items, LashBook.LashStanding lash, double hours) {
    if (lash.openRound() != null) {
      items.add(
          new Item(
              Area.LASH,
              State.READY_BUT,
              "a lash round is open",
              null,
              lash.openRound().toString()));
    }
    if (lash.lastHours() == null) {
      items.add(item(Area.LASH, State.READY_BUT, "no lash round is on record", null));
      return;
    }
    double ran = hours - lash.lastHours();
    if (ran > WARM_UP_HOURS) {
      items.add(
          item(
              Area.LASH,
              State.READY_BUT,
              String.format(Locale.ROOT, "it ran %.1f h since the last lash round", ran),
              null));
    }
    lash.undone()
        .forEach(
            p ->
                items.add(
                    item(
                        Area.LASH,
                        State.NOT_READY,
                        p + " was left undone or out of tolerance",
                        p)));
  }

  private static void addLifters(List<Item> items, List<LifterStanding.Standing> valves) {
    for (LifterStanding.Standing v : valves) {
      if (v.strength() == ValveDrift.Strength.FINDING) {
        items.add(
            item(
                Area.LASH,
                v.looked() ? State.READY_BUT : State.NOT_READY,
                v.position() + "'s lash is " + v.drift() + (v.looked() ? "" : ": find out why"),
                v.position()));
      }
      if (v.noisy()) {
        items.add(
            item(
                Area.LIFTERS,
                State.READY_BUT,
                v.position() + " ticks when hot: find out why",
                v.position()));
      }
      if (v.verdict() == Verdict.CHANGE) {
        items.add(
            item(
                Area.LIFTERS,
                State.NOT_READY,
                v.position() + "'s lifter: " + v.words(),
                v.position()));
      }
    }
    some(
        items,
        Area.LIFTERS,
        "lifters to watch",
        valves.stream()
            .filter(v -> v.verdict() == Verdict.WATCH)
            .map(LifterStanding.Standing::position)
            .toList());
  }

  private static void some(List<Item> items, Area area, String what, List<Position> at) {
    if (!at.isEmpty()) {
      String valves =
          at.stream().limit(6).map(Position::toString).collect(Collectors.joining(", "));
      items.add(
          item(
              area,
              State.READY_BUT,
              what + ": " + valves + (at.size() > 6 ? " and " + (at.size() - 6) + " more" : ""),
              at.get(0)));
    }
  }

  private static Item item(Area area, State asks, String words, @Nullable Position p) {
    return new Item(area, asks, words, p, null);
  }
}
