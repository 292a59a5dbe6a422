package shim.app.cam;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.cam.CamSheets.KindBench;
import shim.app.cam.CamSheets.SittingSheet;
import shim.app.cam.CamViews.PushrodView;
import shim.app.cam.CamViews.RodAt;
import shim.app.cam.CamViews.RodChoice;
import shim.app.engine.Engines;
import shim.app.lash.LashBook;
import shim.core.cam.CamMeasure;
import shim.core.cam.PushrodAim;
import shim.core.cam.PushrodCover;
import shim.core.cam.TipPattern;
import shim.core.engine.Engine;
import shim.core.engine.HeatState;
import shim.core.engine.Position;
import shim.core.lash.LashTarget;

/** Which pushrods an engine wants, of what a checker showed valve by valve. */
@Service
@Transactional(readOnly = true)
class Pushrods {
  private final CamBook book;
  private final Engines engines;
  private final LashBook lash;

  Pushrods(CamBook book, Engines engines, LashBook lash) {
    this.book = book;
    this.engines = engines;
    this.lash = lash;
  }

  /**
   * @param sizesIn lengths to choose from; empty takes those on the engine's sheet
   */
  PushrodView view(UUID sittingId, List<Double> sizesIn) {
    SittingSheet sitting = book.sitting(sittingId);
    Engines.Stored stored = engines.get(sitting.engineId());
    Engine engine = stored.engine();
    List<CamReadingRow> rows = book.readings(sittingId);
    Map<Position, Double> rods = last(rows, CamMeasure.ROD);
    List<PushrodCover.Wanted> wanted = new ArrayList<>();
    List<RodAt> at = new ArrayList<>();
    for (Position p : engine.layout().positions()) {
      Double zero = rods.get(p);
      if (zero != null) {
        PushrodAim aim = PushrodAim.of(engine, p.kind(), lashIn(stored, engine, sitting, p));
        wanted.add(new PushrodCover.Wanted(p, aim.aimIn(zero), aim.tolIn()));
        at.add(rod(stored, engine, rows, p, zero, aim));
      }
    }
    List<Double> sizes = sizesIn.isEmpty() ? engine.drive().partSizesIn() : sizesIn;
    return new PushrodView(
        sittingId,
        sitting,
        rows.stream().map(CamReader::view).toList(),
        sizes,
        engine.drive().lifter().hydraulic(),
        engine.drive().adjuster().turned(),
        at,
        engine.layout().positions().stream().filter(p -> !rods.containsKey(p)).toList(),
        new PushrodCover(wanted, sizes)
            .byCount().stream()
                .map(c -> new RodChoice(c.lengthsIn(), c.at(), c.oneOffs()))
                .toList());
  }

  /** Of several at one valve the last counts. */
  private static Map<Position, Double> last(List<CamReadingRow> rows, CamMeasure what) {
    Map<Position, Double> last = new LinkedHashMap<>();
    for (CamReadingRow r : rows) {
      if (r.what == what) {
        last.put(Position.parse(Objects.requireNonNull(r.valve)), r.figure);
      }
    }
    return last;
  }

  private double lashIn(Engines.Stored stored, Engine engine, SittingSheet sitting, Position p) {
    HeatState state = Objects.requireNonNullElse(sitting.state(), HeatState.COLD);
    return LashTarget.of(engine, p.kind(), state, lash.of(stored.id(), engine).growth())
        .wanted()
        .map(LashTarget::targetIn)
        .orElseGet(() -> engine.lash().targetIn(p.kind()));
  }

  private RodAt rod(
      Engines.Stored stored,
      Engine engine,
      List<CamReadingRow> rows,
      Position p,
      double zeroIn,
      PushrodAim aim) {
    Double width = last(rows, CamMeasure.TIP_WIDTH).get(p);
    Double offset = last(rows, CamMeasure.TIP_OFFSET).get(p);
    TipPattern tip = tip(stored, engine, p);
    return new RodAt(
        p,
        zeroIn,
        aim.aimIn(zeroIn),
        aim.tolIn(),
        width,
        offset,
        tip == null ? null : tip.at(0).widthIn(),
        tip == null || width == null ? null : tip.offFor(width));
  }

  private @Nullable TipPattern tip(Engines.Stored stored, Engine engine, Position p) {
    KindBench k = BenchSums.kind(book.benchOr(stored.id()), p.kind());
    double ratio = engine.drive().ratio(p.kind());
    Double arm = k.armIn();
    return arm == null
        ? null
        : engine
            .cam()
            .map(c -> new TipPattern(arm, c.lobe(p.kind()).lobeLiftIn() * ratio, ratio))
            .orElse(null);
  }
}
