package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/**
 * The calendar, read back by a library other than the one that writes it. RFC 5545, 3.1: lines of
 * at most 75 octets, ended by CR LF; 3.3.11: commas and semicolons of a text behind a backslash.
 */
@DirtiesContext(classMode = DirtiesContext.ClassMode.BEFORE_CLASS)
class CalendarApiTest extends ApiTest {
  private static final String NAME =
      "Six Hours, the \"final\"; with a name longer than one line of a calendar";

  private String calendar() {
    MvcTestResult r = get("/api/turnaround/calendar.ics");
    assertThat(r).hasStatusOk();
    assertThat(r.getResponse().getContentType()).startsWith("text/calendar");
    return text(r);
  }

  private static VEvent named(ICalendar calendar, String summary) {
    List<VEvent> found =
        calendar.getEvents().stream()
            .filter(e -> e.getSummary().getValue().equals(summary))
            .toList();
    assertThat(found).as(summary).hasSize(1);
    return found.get(0);
  }

  @Test
  void eventsTruckAndPlanComeBackAsTheyWereWritten() {
    String empty = calendar();
    assertThat(Biweekly.parse(empty).first().getEvents()).isEmpty();

    LocalDate on = today().plusDays(11);
    for (String engine :
        List.of(
            engine(resource("v8.json")),
            engine(resource("v8.json").replace("Test V8", "Other V8")))) {
      assertThat(
              put(
                  "/api/events/" + UUID.randomUUID(),
                  "{\"engineId\":\"%s\",\"name\":\"%s\",\"date\":\"%s\",\"plannedHours\":1.5}"
                      .formatted(engine, NAME.replace("\"", "\\\""), on)))
          .hasStatusOk();
    }
    LocalDateTime leaves = on.minusDays(1).atTime(17, 30);
    assertThat(
            put(
                "/api/turnaround/truck",
                "{\"truck\":{\"name\":\"Fenmoor\",\"day\":\"%s\",\"at\":\"17:30\"}}"
                    .formatted(leaves.toLocalDate())))
        .hasStatus(204);
    assertThat(
            put(
                "/api/turnaround/tasks",
                """
                {"id":"%s","task":{"words":"drain, dry; fill","weight":"MUST","minutes":30,"hands":1,
                 "only":[],"after":[],"begunBy":[]}}"""
                    .formatted(UUID.randomUUID())))
        .hasStatus(204);

    String text = calendar();
    assertThat(text.split("\r\n")).allSatisfy(l -> assertThat(l.length()).isLessThanOrEqualTo(75));
    assertThat(text).doesNotContain("\n\n").endsWith("END:VCALENDAR\r\n");
    assertThat(Biweekly.parse(text).all()).hasSize(1);
    ICalendar back = Biweekly.parse(text).first();
    assertThat(back.validate(biweekly.ICalVersion.V2_0).getWarnings()).as("sound").isEmpty();

    VEvent event = named(back, NAME);
    assertThat(event.getDateStart().getValue().hasTime()).as("a whole day").isFalse();
    assertThat(day(event.getDateStart().getValue().toInstant())).isEqualTo(on);
    assertThat(event.getDescription().getValue()).as("both engines").isEqualTo("Other V8, Test V8");
    VEvent truck = named(back, "The truck leaves: Fenmoor");
    Instant at = leaves.atZone(ZoneId.systemDefault()).toInstant();
    assertThat(truck.getDateStart().getValue().toInstant()).isEqualTo(at);
    VEvent task = named(back, "drain, dry; fill");
    assertThat(task.getDateEnd().getValue().getTime() - task.getDateStart().getValue().getTime())
        .isEqualTo(30 * 60_000L);
    assertThat(task.getDateEnd().getValue().toInstant()).isBefore(at);

    Set<String> uids = uids(back);
    assertThat(uids).hasSameSizeAs(back.getEvents());
    assertThat(uids(Biweekly.parse(calendar()).first())).as("names stay").isEqualTo(uids);
  }

  private static LocalDate day(Instant at) {
    return LocalDate.ofInstant(at, ZoneId.systemDefault());
  }

  private static Set<String> uids(ICalendar calendar) {
    Set<String> uids = new HashSet<>();
    calendar.getEvents().forEach(e -> uids.add(e.getUid().getValue()));
    return uids;
  }
}
