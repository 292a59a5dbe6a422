package shim.app.lifter;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.hibernate.envers.Audited;
import org.jspecify.annotations.Nullable;
import shim.app.record.Maybe;
import shim.core.running.Exposure;
import shim.core.running.PartHours;

/** A lifter under one valve from some engine hours on. */
@Entity
@Audited
@Table(name = "lifter_fitting")
class LifterFittingRow {
  @Id UUID id;
  UUID lifterId;
  UUID engineId;
  String valve;
  double fromHours;
  Instant fittedAt;
  @Nullable Double toHours;
  @Nullable Instant removedAt;
  String hand;
  @Nullable String why;
  @Version int version;

  protected LifterFittingRow() {}

  LifterFittingRow(UUID id) {
    this.id = id;
  }

  /** It is under its valve now. */
  boolean open() {
    return toHours == null;
  }

  /** What it saw of an engine's runs while it was in. */
  Exposure.Stay through(List<Exposure.Day> days) {
    return new Exposure.Stay(
        day(fittedAt), Optional.ofNullable(removedAt).map(LifterFittingRow::day), days);
  }

  private static LocalDate day(Instant at) {
    return LocalDate.ofInstant(at, ZoneOffset.UTC);
  }

  PartHours.Fitting stay() {
    return new PartHours.Fitting(engineId.toString(), fromHours, Maybe.of(toHours));
  }
}
