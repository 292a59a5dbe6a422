package shim.app.spring;

import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.http.Refusal;
import shim.app.record.Documents;
import shim.app.record.Ids;
import shim.app.record.Sheets;
import shim.core.spring.Kit;

/** What each kind of spring can be had with: retainers, locks, cups. */
@Service
@Transactional
public class SpringKits {
  private static final int MOST = 30;

  private final Sheets sheets;
  private final SpringTypes types;

  SpringKits(Sheets sheets, SpringTypes types) {
    this.sheets = sheets;
    this.types = types;
  }

  /** A kit with the version a change of it names. */
  public record StoredKit(UUID typeId, Kit kit, @Nullable Integer version) {}

  private static String id(UUID typeId) {
    return Ids.of("kit " + typeId).toString();
  }

  @Transactional(readOnly = true)
  public StoredKit of(UUID typeId) {
    return sheets
        .of(id(typeId), Documents.Kind.SPRING_KIT, Kit.class)
        .map(k -> new StoredKit(typeId, k.sheet(), k.version()))
        .orElse(new StoredKit(typeId, Kit.NONE, null));
  }

  @Transactional(readOnly = true)
  public Map<UUID, Kit> all() {
    Map<UUID, Kit> all = new HashMap<>();
    types.all().forEach(t -> all.put(t.id(), of(t.id()).kit()));
    return all;
  }

  public StoredKit put(UUID typeId, Kit kit, @Nullable Integer basedOn, @Nullable String who) {
    types.get(typeId);
    requireSound(kit);
    sheets.put(id(typeId), Documents.Kind.SPRING_KIT, kit, new Sheets.Change(null, basedOn, who));
    return of(typeId);
  }

  private static void requireSound(Kit kit) {
    for (int i = 0; i < kit.retainers().size(); i++) {
      Kit.RetainerPart r = kit.retainers().get(i);
      String at = "kit.retainers[" + i + "]";
      part(at, r.name(), r.raisesIn(), i);
      Refusal.outside(at + ".lockDeg", r.lockDeg(), 1, 30, "an angle of 1 to 30°");
    }
    for (int i = 0; i < kit.locks().size(); i++) {
      Kit.LockPart l = kit.locks().get(i);
      String at = "kit.locks[" + i + "]";
      part(at, l.name(), l.raisesIn(), i);
      Refusal.outside(at + ".lockDeg", l.lockDeg(), 1, 30, "an angle of 1 to 30°");
      Refusal.outside(at + ".stemIn", l.stemIn(), 0.15, 0.6, "a stem of {0.15 in} to {0.6 in}");
    }
    for (int i = 0; i < kit.cups().size(); i++) {
      Kit.CupPart c = kit.cups().get(i);
      String at = "kit.cups[" + i + "]";
      part(at, c.name(), c.thickIn(), i);
      Refusal.outside(at + ".insideIn", c.insideIn(), 0.5, 3, "a cup of {0.5 in} to {3 in}");
      Refusal.outside(at + ".thickIn", c.thickIn(), 0, 0.3, "{0 in} to {0.3 in} thick");
    }
  }

  private static void part(String at, String name, double raisesIn, int i) {
    if (name.isBlank() || name.length() > 40 || i >= MOST) {
      throw Refusal.invalid(at + ".name", "name the part, in 40 letters at most");
    }
    Refusal.outside(
        at + ".raisesIn", raisesIn, -0.3, 0.3, "it changes the height by {0.3 in} at most");
  }
}
