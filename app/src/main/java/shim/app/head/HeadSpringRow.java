package shim.app.head;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;
import shim.app.spring.Springs;
import shim.core.engine.Position;

/** A spring on a head while it lies on the rack, with what is under and over it. */
@Entity
@Audited
@Table(name = "head_spring")
class HeadSpringRow {
  @Id UUID id;
  UUID headId;
  UUID springId;
  String valve;
  @Nullable Double heightIn;
  @Nullable String shims;
  @Nullable String retainer;
  @Nullable String locks;
  @Nullable String locator;
  @Nullable Double sealGapIn;
  @Nullable Double pocketIn;
  @Nullable Double coilGapIn;
  Instant putAt;
  @Nullable Instant takenAt;
  String hand;
  @Version int version;

  protected HeadSpringRow() {}

  HeadSpringRow(UUID id, UUID headId, UUID springId, Position valve) {
    this.id = id;
    this.headId = headId;
    this.springId = springId;
    this.valve = valve.toString();
  }

  Position at() {
    return Position.parse(valve);
  }

  /** As it goes onto an engine. */
  Springs.FittingEntry onto(UUID engineId, double hours, Instant at, String by) {
    return new Springs.FittingEntry(
        springId,
        engineId,
        at(),
        hours,
        at,
        null,
        null,
        heightIn,
        shims,
        retainer,
        locks,
        locator,
        sealGapIn,
        pocketIn,
        coilGapIn,
        by,
        "with its head");
  }

  /** What stood with it on the engine it comes from. */
  void from(Springs.FittingEntry f) {
    heightIn = f.heightIn();
    shims = f.shims();
    retainer = f.retainer();
    locks = f.locks();
    locator = f.locator();
    sealGapIn = f.sealGapIn();
    pocketIn = f.pocketIn();
    coilGapIn = f.coilGapIn();
  }
}
