package shim.app.change;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.record.Maybe;
import shim.app.spring.SpringKits;
import shim.app.spring.SpringRules;
import shim.app.spring.SpringTypes;
import shim.app.spring.Springs;
import shim.app.stock.Parts;
import shim.core.spring.Kit;
import shim.core.spring.SpringChoice;

/** All kinds of spring that are known, with what each can be had with, stock and price. */
@Service
@Transactional(readOnly = true)
public class SpringKinds {
  private final SpringTypes types;
  private final SpringKits kits;
  private final Springs springs;
  private final SpringRules rules;
  private final Parts parts;

  SpringKinds(SpringTypes types, SpringKits kits, Springs springs, SpringRules rules, Parts parts) {
    this.types = types;
    this.kits = kits;
    this.springs = springs;
    this.rules = rules;
    this.parts = parts;
  }

  public Optional<SpringChoice.KindOf> one(UUID engineId, UUID typeId) {
    return kinds(engineId).stream().filter(k -> k.id().equals(typeId.toString())).findFirst();
  }

  public List<SpringChoice.KindOf> kinds(UUID engineId) {
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

  /** The retainer at a valve, as it is written down. */
  public static String retainer(SpringChoice.AtValve a) {
    return a.retainer() == null ? "the usual" : named(a.retainer().name(), a.way().retainerIn());
  }

  /** The locks at a valve, as they are written down. */
  public static String locks(SpringChoice.AtValve a) {
    return a.locks() == null ? "plain" : named(a.locks().name(), a.way().lockIn());
  }

  /** The cup at a valve; blank for none. */
  public static String cup(SpringChoice.AtValve a) {
    return a.cup() == null ? "" : a.cup().name();
  }

  /** A name with what it changes, so that whoever reads it later knows the stack. */
  private static String named(String name, double raisesIn) {
    String by = signed(raisesIn);
    boolean plain = raisesIn == 0 || name.contains(by);
    return plain ? name : name + " " + by;
  }

  private static String signed(double inch) {
    return String.format(Locale.ROOT, "%+.3f", inch);
  }
}
