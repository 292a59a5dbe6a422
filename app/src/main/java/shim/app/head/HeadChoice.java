package shim.app.head;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.change.SpringKinds;
import shim.app.spring.Pockets;
import shim.app.spring.SpringRules;
import shim.core.engine.ValveKind;
import shim.core.spring.Fit;
import shim.core.spring.FitLimits;
import shim.core.spring.Kit;
import shim.core.spring.SpringChoice;

/** Which spring for some heads on an engine: all kinds known, with what they can be had with. */
@Service
@Transactional(readOnly = true)
class HeadChoice {
  private final Heads heads;
  private final SpringKinds kinds;
  private final SpringRules rules;
  private final Pockets pockets;

  HeadChoice(Heads heads, SpringKinds kinds, SpringRules rules, Pockets pockets) {
    this.heads = heads;
    this.kinds = kinds;
    this.rules = rules;
    this.pockets = pockets;
  }

  /**
   * Kinds of spring for some heads, the best first.
   *
   * @param lifts gross, at each kind of valve; a kind without one has no cam card
   */
  record HeadChoiceView(
      List<SpringChoice.Ranked> kinds,
      Map<ValveKind, Double> lifts,
      double toleranceIn,
      List<Double> shimsIn,
      FitLimits.Sheet clearances) {}

  /** All kinds, ranked for the engine these heads are made for. */
  HeadChoiceView all(UUID headId) {
    HeadSheet sheet = heads.kept(headId).sheet();
    SpringChoice.Asked asked = asked(sheet);
    Map<ValveKind, Double> lifts = new EnumMap<>(ValveKind.class);
    for (ValveKind kind : ValveKind.values()) {
      Fit.Lift.of(asked.engine(), kind).ifPresent(l -> lifts.put(kind, l.grossIn()));
    }
    return new HeadChoiceView(
        SpringChoice.of(kinds.kinds(sheet.madeFor()), bare(headId, sheet), asked).kinds(),
        lifts,
        asked.toleranceIn(),
        asked.shimsIn(),
        Objects.requireNonNullElse(rules.of(sheet.madeFor()).clearances(), FitLimits.Sheet.BLANK));
  }

  SpringChoice.Asked asked(HeadSheet sheet) {
    return pockets.asked(sheet.madeFor());
  }

  List<SpringChoice.Bare> bare(UUID headId, HeadSheet sheet) {
    Map<ValveKind, Kit.Groove> grooves = new EnumMap<>(ValveKind.class);
    if (sheet.grooveIntake() != null) {
      grooves.put(ValveKind.INTAKE, sheet.grooveIntake());
    }
    if (sheet.grooveExhaust() != null) {
      grooves.put(ValveKind.EXHAUST, sheet.grooveExhaust());
    }
    return heads.record(headId, sheet).bare(grooves);
  }
}
