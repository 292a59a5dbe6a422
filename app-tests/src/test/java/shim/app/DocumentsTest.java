package shim.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.UUID;
import java.util.stream.Stream;
import org.flywaydb.core.Flyway;
import org.h2.jdbcx.JdbcDataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.jdbc.core.JdbcTemplate;
import shim.app.change.ChangeRules.ChangeRulesSheet;
import shim.app.lifter.LifterRules.LifterRulesSheet;
import shim.app.record.Documents;
import shim.app.record.Documents.Kind;
import shim.app.spring.SpringRules.SpringRulesSheet;
import shim.core.engine.EngineSheet;
import shim.core.lash.RoundStory;
import shim.core.spring.Kit;
import shim.core.spring.SpringSheet;
import shim.core.unit.Said;

/** What was stored once is read for ever: kept samples of every kind in every version. */
class DocumentsTest extends ApiTest {
  @Autowired private Documents documents;

  private static Class<?> shape(Kind kind) {
    return switch (kind) {
      case ENGINE_SHEET -> EngineSheet.class;
      case SPRING_SHEET -> SpringSheet.class;
      case SPRING_RULES -> SpringRulesSheet.class;
      case LIFTER_RULES -> LifterRulesSheet.class;
      case CHANGE_RULES -> ChangeRulesSheet.class;
      case JOB_PLAN -> named("shim.app.change.JobPlanner$Planned");
      case ROUND_LOOKS -> RoundStory.Look[].class;
      case PLAN_TASK -> named("shim.app.turnaround.Entered$TaskSheet");
      case PLAN_HAND -> named("shim.app.turnaround.Entered$HandSheet");
      case PLAN_TRUCK -> named("shim.app.turnaround.Entered$TruckSheet");
      case PLAN_AGREED -> named("shim.app.turnaround.Entered$AgreedSheet");
      case PART_ORDER -> named("shim.app.stock.Written$OrderSheet");
      case SERVICE -> named("shim.app.running.Services$ServiceSheet");
      case SPRING_KIT -> Kit.class;
      case HEAD_SHEET -> named("shim.app.head.HeadSheet");
      case ASSEMBLY_PLAN -> named("shim.app.head.AssemblyPlanner$AssemblyPlanned");
      case HEADS_ON_PLAN -> named("shim.app.head.HeadsOnPlanner$HeadsOnPlanned");
      case CAM_BENCH -> named("shim.app.cam.CamSheets$BenchSheet");
      case CAM_SITTING -> named("shim.app.cam.CamSheets$SittingKept");
      case LOBE_TABLE -> named("shim.app.cam.CamSheets$LobeTableSheet");
      case OTHER_CAM -> named("shim.app.cam.CamSheets$OtherCamSheet");
      case PART_KIND -> named("shim.app.stock.Written$PartSheet");
    };
  }

  private static Class<?> named(String name) {
    try {
      return Class.forName(name);
    } catch (ClassNotFoundException e) {
      throw new AssertionError(e);
    }
  }

  static Stream<Arguments> samples() throws IOException {
    return Arrays.stream(
            new PathMatchingResourcePatternResolver().getResources("classpath:stored/*.json"))
        .map(r -> Arguments.of(r.getFilename(), r));
  }

  private static Kind kind(String file) {
    return Kind.valueOf(file.replaceAll("-.*", ""));
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("samples")
  void everyKeptSampleIsReadAndWrittenAnewAsItWas(String file, Resource sample) throws IOException {
    String stored = sample.getContentAsString(StandardCharsets.UTF_8);
    Kind kind = kind(file);
    Object read = documents.read(kind, stored, shape(kind));
    String written = documents.write(kind, read);
    assertThat(written).startsWith("{\"version\":" + kind.version() + ",");
    assertThat(documents.read(kind, written, shape(kind)))
        .usingRecursiveComparison()
        .isEqualTo(read);
  }

  @Test
  void thereIsASampleOfEveryVersionOfEveryKind() throws IOException {
    assertThat(samples().map(a -> String.valueOf(a.get()[0]).replaceAll("(-\\d+).*", "$1")))
        .containsAll(
            Stream.of(Kind.values())
                .flatMap(
                    k -> Stream.iterate(0, v -> v + 1).limit(k.version() + 1).map(v -> k + "-" + v))
                .toList());
  }

  @Test
  void theStoryOfARoundBecomesWhatWasSaidFirst() throws IOException {
    String story =
        new PathMatchingResourcePatternResolver()
            .getResource("classpath:stored/ROUND_LOOKS-0-story.json")
            .getContentAsString(StandardCharsets.UTF_8);
    assertThat(documents.read(Kind.ROUND_LOOKS, story, RoundStory.Look[].class))
        .singleElement()
        .returns(
            Said.kept("2I left at 0.0130, under the lowest allowed 0.0140"), RoundStory.Look::said)
        .returns(null, RoundStory.Look::about);
  }

  @Test
  void aDocumentOfALaterShimIsSaidToBeOne() {
    assertThatThrownBy(
            () ->
                documents.read(
                    Kind.SPRING_RULES, "{\"version\":7,\"document\":{}}", SpringRulesSheet.class))
        .hasMessageContaining("stored by a later Shim, in version 7");
  }

  /** Rules of three features move into one store, with all that was said of them. */
  @Test
  void rulesKeptBeforeThereWasOneStoreAreStillThere() {
    JdbcDataSource source = new JdbcDataSource();
    source.setURL("jdbc:h2:mem:" + UUID.randomUUID() + ";DB_CLOSE_DELAY=-1");
    Flyway.configure().dataSource(source).target("5").load().migrate();
    JdbcTemplate sql = new JdbcTemplate(source);
    UUID engine = UUID.randomUUID();
    sql.update("insert into engine (id, name, sheet, version) values (?, 'e', '{}', 0)", engine);
    sql.update("insert into revision (id, at_millis) values (1, 0)");
    for (String table : new String[] {"spring_rules", "lifter_rules", "change_rules"}) {
      UUID id = UUID.randomUUID();
      sql.update("insert into " + table + " values (?, ?, ?, 3)", id, engine, "{\"of\":1}");
      sql.update(
          "insert into " + table + "_history values (?, 1, 0, ?, ?)", id, engine, "{\"of\":0}");
    }
    Flyway.configure().dataSource(source).load().migrate();
    assertThat(sql.queryForList("select kind || version || sheet from team_rules order by kind"))
        .extracting(row -> String.valueOf(row.values().iterator().next()))
        .containsExactly(
            "CHANGE_RULES3{\"of\":1}", "LIFTER_RULES3{\"of\":1}", "SPRING_RULES3{\"of\":1}");
    assertThat(
            sql.queryForObject(
                "select count(*) from team_rules_history where rev = 1", Integer.class))
        .isEqualTo(3);
  }
}
