package shim.app.head;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.record.Maybe;
import shim.app.spring.Pockets;
import shim.app.spring.SpringKits;
import shim.app.spring.SpringRules;
import shim.app.spring.SpringTypes;
import shim.app.spring.Springs;
import shim.app.stock.Parts;
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
  private final SpringTypes types;
  private final SpringKits kits;
  private final Springs springs;
  private final SpringRules rules;
  private final Parts parts;
  private final Pockets pockets;

  HeadChoice(
      Heads heads,
      SpringTypes types,
      SpringKits kits,
      Springs springs,
      SpringRules rules,
      Parts parts,
      Pockets pockets) {
    this.heads = heads;
    this.types = types;
    this.kits = kits;
    this.springs = springs;
    this.rules = rules;
    this.parts = parts;
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
        SpringChoice.of(kinds(sheet.madeFor()), bare(headId, sheet), asked).kinds(),
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

  List<SpringChoice.KindOf> kinds(UUID engineId) {
    SpringRules.SpringRulesSheet team = rules.of(engineId);
    Map<UUID, Long> free =
        springs.free().stream()
            .collect(Collectors.groupingBy(s -> s.spring().typeId(), Collectors.counting()));
    return types.all().stream()
        .map(
            t ->
                new SpringChoice.KindOf(
                    t.id().toString(),
                    t.sheet(),
                    t.type(),
                    kit(kits.of(t.id()).kit(), team),
                    free.getOrDefault(t.id(), 0L).intValue(),
                    Maybe.orNull(parts.price(t.id()))))
        .toList();
  }

  /** Where nobody wrote down what a kind can be had with, the team's offsets stand for it. */
  private static Kit kit(Kit own, SpringRules.SpringRulesSheet team) {
    List<Kit.LockPart> locks = new ArrayList<>(own.locks());
    if (locks.isEmpty() && !team.offsets().isEmpty()) {
      locks.add(new Kit.LockPart("plain", 0, null, null, null));
      team.offsets().forEach(o -> locks.add(new Kit.LockPart(signed(o), o, null, null, null)));
    }
    List<Kit.RetainerPart> retainers = new ArrayList<>(own.retainers());
    if (retainers.isEmpty() && !team.retainers().isEmpty()) {
      retainers.add(new Kit.RetainerPart("usual", 0, null));
      team.retainers().forEach(o -> retainers.add(new Kit.RetainerPart(signed(o), o, null)));
    }
    return new Kit(retainers, locks, own.cups());
  }

  static String signed(double inch) {
    return String.format(Locale.ROOT, "%+.3f", inch);
  }
}
