package shim.app.fitted;

import jakarta.persistence.Convert;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
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
import shim.app.record.Sound;
import shim.core.engine.Position;
import shim.core.running.Exposure;
import shim.core.running.Fitted;
import shim.core.running.PartHours;

/**
 * A part at one valve from some engine hours on; which part, and what goes with it, its kind says.
 */
@MappedSuperclass
@Audited
public abstract class FittedRow {
  @Id public UUID id;
  public UUID engineId;
  public String valve;

  @Convert(converter = Sound.Hours.class)
  public double fromHours;

  public Instant fittedAt;
  public @Nullable Double toHours;
  public @Nullable Instant removedAt;
  public String hand;
  public @Nullable String why;
  @Version int version;

  protected FittedRow() {}

  protected FittedRow(UUID id) {
    this.id = id;
  }

  public abstract UUID partId();

  public abstract void partId(UUID part);

  /** It is in now. */
  public boolean open() {
    return toHours == null;
  }

  public Position at() {
    return Position.parse(valve);
  }

  public PartHours.Fitting stay() {
    return new PartHours.Fitting(engineId.toString(), fromHours, Maybe.of(toHours));
  }

  /** What it saw of an engine's runs while it was in. */
  public Exposure.Stay through(List<Exposure.Day> days) {
    return new Exposure.Stay(
        day(fittedAt), Optional.ofNullable(removedAt).map(FittedRow::day), days);
  }

  private static LocalDate day(Instant at) {
    return LocalDate.ofInstant(at, ZoneOffset.UTC);
  }

  Fitted fitted() {
    return new Fitted(id.toString(), partId().toString(), engineId.toString(), at());
  }
}
