package shim.app.rules;

import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import shim.app.engine.Engines;
import shim.app.record.Because;
import shim.app.record.Documents;

/** Keeps what a team has settled for an engine; each feature has one sheet of its own shape. */
@Service
@Transactional(readOnly = true)
public class TeamRules {
  private final TeamRulesRows rows;
  private final Engines engines;
  private final Documents documents;

  TeamRules(TeamRulesRows rows, Engines engines, Documents documents) {
    this.rows = rows;
    this.engines = engines;
    this.documents = documents;
  }

  /** The sheet as it was kept last; empty where nothing was settled. */
  public <T> Optional<T> of(UUID engineId, Documents.Kind kind, Class<T> as) {
    return rows.findByEngineIdAndKind(engineId, kind).map(r -> documents.read(kind, r.sheet, as));
  }

  /** Keeps a sheet that its feature has found sound. */
  @Transactional
  public <T> T put(UUID engineId, Documents.Kind kind, T sheet, @Nullable String who) {
    engines.get(engineId);
    TeamRulesRow row =
        rows.findByEngineIdAndKind(engineId, kind)
            .orElseGet(() -> new TeamRulesRow(UUID.randomUUID(), engineId, kind));
    row.sheet = documents.write(kind, sheet);
    Because.of(who, words(kind));
    rows.saveAndFlush(row);
    return sheet;
  }

  private static String words(Documents.Kind kind) {
    return switch (kind) {
      case SPRING_RULES -> "spring rules";
      case LIFTER_RULES -> "lifter rules";
      case CHANGE_RULES -> "spring change rules";
      default -> throw new IllegalArgumentException(kind + " are no rules of a team");
    };
  }
}
