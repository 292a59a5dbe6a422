package shim.app.demo;

import java.util.List;
import java.util.Random;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import shim.app.engine.Engines;
import shim.app.head.AssemblyAsk;
import shim.app.head.HeadSheet;
import shim.app.head.HeadWork;
import shim.app.head.Heads;
import shim.app.spring.SpringKits;
import shim.app.spring.SpringTypes;
import shim.app.spring.Springs;
import shim.app.walk.JobReader;
import shim.app.walk.JobViews;
import shim.app.walk.Jobs;
import shim.core.engine.Layout;
import shim.core.engine.Position;
import shim.core.head.Fixings;
import shim.core.head.HeadMeasure;
import shim.core.spring.Kit;
import shim.core.spring.SpringSheet;
import shim.core.walk.Step;
import shim.core.walk.WalkAct;
import shim.core.walk.Within;

/** A spare pair of heads for the hill V8 on the rack, half assembled. All invented. */
@Component
@ConditionalOnProperty("shim.demo")
class DemoHeads {
  private static final String HAND = "KV";
  private static final int MOST_STEPS = 1000;

  private final Heads heads;
  private final HeadWork work;
  private final Jobs jobs;
  private final JobReader reader;
  private final Engines engines;
  private final SpringTypes types;
  private final SpringKits kits;
  private final Springs springs;

  DemoHeads(
      Heads heads,
      HeadWork work,
      Jobs jobs,
      JobReader reader,
      Engines engines,
      SpringTypes types,
      SpringKits kits,
      Springs springs) {
    this.heads = heads;
    this.work = work;
    this.jobs = jobs;
    this.reader = reader;
    this.engines = engines;
    this.types = types;
    this.kits = kits;
    this.springs = springs;
  }

  void fill(UUID v8, Function<String, UUID> id) {
    UUID pair = id.apply("spare pair");
    UUID dual = id.apply("dual");
    lighter(id.apply("light"));
    kits.put(dual, kit(), null, HAND);
    heads.put(pair, sheet(v8), null, HAND);
    Layout layout = engines.get(v8).engine().layout();
    measure(pair, layout, id);
    List<Position> left = layout.banks().get(0).valves();
    for (int i = 1; i <= left.size(); i++) {
      springs.put(
          id.apply("pair spring " + i),
          new Springs.SpringEntry(
              dual, "C-" + i, "C", "box C", 0, 1.548 + 0.001 * (i % 3), false, null, null),
          HAND);
    }
    UUID book = id.apply("pair book");
    work.assemble(book, pair, HAND, new AssemblyAsk(dual, dual, left, "black", "green"));
    walk(book, id);
  }

  /** A lighter set for breaking in: a single with a damper. */
  private void lighter(UUID id) {
    types.put(
        id,
        DemoSets.sheet(
            "HV light, break-in",
            SpringSheet.Form.SINGLE_WITH_DAMPER,
            1.950,
            120,
            1.300,
            320,
            1.100,
            1.540,
            0.700,
            10),
        HAND);
  }

  private static Kit kit() {
    return new Kit(
        List.of(
            new Kit.RetainerPart("R10 steel", 0, 10.0),
            new Kit.RetainerPart("R10 low", -0.030, 10.0)),
        List.of(
            new Kit.LockPart("L10 plain", 0, 10.0, 0.341, Kit.Groove.SQUARE),
            new Kit.LockPart("L10 plus", 0.050, 10.0, 0.341, Kit.Groove.SQUARE)),
        List.of(new Kit.CupPart("cup 1.556", 1.556, 0.060)));
  }

  private static HeadSheet sheet(UUID v8) {
    return new HeadSheet(
        "Spare pair",
        v8,
        true,
        Kit.Groove.SQUARE,
        Kit.Groove.SQUARE,
        0.003,
        new Fixings(
            Fixings.Kind.STUD,
            10,
            List.of(5, 6, 4, 7, 3, 8, 2, 9, 1, 10),
            List.of(30.0, 50.0, 65.0),
            "moly paste",
            65.0,
            70.0,
            Fixings.Whose.FASTENER_MAKER,
            "the studs are not the engine maker's",
            java.util.Set.of(9, 10),
            false),
        "bought bare, ports cleaned up");
  }

  private void measure(UUID pair, Layout layout, Function<String, UUID> id) {
    Random r = new Random(16);
    for (Position p : layout.positions()) {
      read(pair, HeadMeasure.HEIGHT, p, 1.958 + 0.008 * r.nextDouble(), id.apply("h" + p));
      double pocket = 1.555 + 0.003 * r.nextDouble();
      for (int i = 0; i < HeadMeasure.POCKET.readings(); i++) {
        double across = pocket + 0.001 * r.nextDouble();
        read(pair, HeadMeasure.POCKET, p, across, id.apply("p" + i + p));
      }
      read(pair, HeadMeasure.SEAL_GAP, p, 0.760 + 0.010 * r.nextDouble(), id.apply("s" + p));
      read(pair, HeadMeasure.STEM, p, 0.3412, id.apply("t" + p));
    }
    for (int c = 1; c <= layout.cylinderCount(); c++) {
      heads.read(
          pair,
          id.apply("chamber " + c),
          new Heads.HeadFigure(
              HeadMeasure.CHAMBER,
              null,
              c,
              null,
              Math.round(10 * (64 + r.nextDouble())) / 10.0,
              HAND));
    }
  }

  private void read(UUID pair, HeadMeasure what, Position p, double figure, UUID id) {
    double thou = Math.round(1000 * figure) / 1000.0;
    heads.read(pair, id, new Heads.HeadFigure(what, p, null, null, thou, HAND));
  }

  /** Does the book as a careful person does, to its signature. */
  private void walk(UUID book, Function<String, UUID> id) {
    Random r = new Random(3);
    for (int i = 0; i < MOST_STEPS; i++) {
      JobViews.JobState state = reader.view(book).state();
      Step next = state.next();
      if (next == null) {
        return;
      }
      Double figure = next.figure();
      if (next.within() != null) {
        figure = figure(next.within(), r);
      } else if (next.act() == WalkAct.COUNTED) {
        figure =
            state.counts().stream()
                .filter(c -> c.item().equals(next.word()))
                .map(c -> (double) c.expected())
                .findFirst()
                .orElseThrow();
      }
      jobs.act(
          book,
          id.apply("book act " + i),
          new Jobs.ActEntry(
              next.act(),
              next.id(),
              next.cylinder(),
              next.valve(),
              figure,
              next.word(),
              i % 7 == 0 ? "MO" : HAND,
              state.acts()));
    }
  }

  /** Somewhere within the limits, to the digits a person reads. */
  private static double figure(Within w, Random r) {
    double digits = w.unit() == Within.Unit.LBF ? 1 : 1000;
    double share = 0.35 + 0.3 * r.nextDouble();
    double v;
    if (w.least() != null && w.most() != null) {
      v = w.least() + share * (w.most() - w.least());
    } else if (w.least() != null) {
      v = w.least() + 0.02 * share;
    } else if (w.most() != null) {
      v = share * w.most();
    } else {
      v = w.possibleLow() + 0.06 + 0.02 * share;
    }
    return Math.round(digits * v) / digits;
  }
}
