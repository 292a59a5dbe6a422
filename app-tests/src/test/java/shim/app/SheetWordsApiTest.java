package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.jayway.jsonpath.DocumentContext;
import com.jayway.jsonpath.JsonPath;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One figure of a sound sheet put wrong: the field and the words a person reads beside it. */
class SheetWordsApiTest extends ApiTest {
  private static final String V8 = resource("v8.json");

  private String problems(DocumentContext sheet) {
    try {
      return post("/api/calc/sheet", sheet.jsonString()).getResponse().getContentAsString();
    } catch (java.io.UnsupportedEncodingException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private static void says(String answer, String field, String words) {
    java.util.List<String> at =
        JsonPath.read(answer, "$.problems[?(@.field=='" + field + "')].message");
    assertThat(at).as(answer).anySatisfy(m -> assertThat(m).contains(words));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      nullValues = "null",
      value = {
        "layout.banks[0].cylinders | ''            | layout.banks.0.cylinders | front to rear",
        "layout.banks[0].cylinders | '1 3 5 99'    | layout.banks.0.cylinders | no cylinder number",
        "layout.banks[0].cylinders | '1 3 5 2.5'   | layout.banks.0.cylinders | no cylinder number",
        "layout.banks[0].valveOrder| 'EIXEEIIE'    | layout.banks.0.valveOrder| only I and E",
        "layout.banks[0].valveOrder| 'EIIEEII'     | layout.banks.0.valveOrder| valves",
        "layout.firingOrder        | ''            | layout.firingOrder | such as 1-3-4-2",
        "layout.firingOrder        | '1-8-4-3-6-5-7-9' | layout.firingOrder | is on no bank",
        "layout.firingOrder        | '1-8-4-3-6-5-7-9' | layout.firingOrder | 2 is missing",
        "layout.intervals          | '90 90 90'    | layout.intervals | 3 intervals do not fit 8",
        "layout.intervals          | '0 180'       | layout.intervals | above 0 degrees",
        "layout.intervals          | '90 80'       | layout.intervals | add up to 680 degrees",
        "drive.lifter              | null          | drive.lifter  | what kind of lifter",
        "drive.adjuster            | null          | drive.adjuster| where the lash is adjusted",
        "drive.adjuster            | 'BUCKET_SHIM' | drive.adjuster| goes with a bucket",
        "drive.ratioIntake         | 16            | drive.ratioIntake | did you mean 1.6?",
        "drive.ratioIntake         | 30            | drive.ratioIntake | is possible",
        "drive.thread              | ''            | drive.thread | such as 3/8-24",
        "drive.thread              | 'coarse'      | drive.thread | is no thread",
        "cam.lashIntakeIn          | 18            | cam.lashIntakeIn | 18 thou is {0.018 in}",
        "cam.lashIntakeIn          | 0.45          | cam.lashIntakeIn | 0.45 mm is {0.0177 in}",
        "cam.lashIntakeIn          | 0.04          | cam.lashIntakeIn | outside the usual",
        "cam.liftIntakeIn          | 10.5          | cam.liftIntakeIn | mm is {0.413 in}",
        "cam.liftIntakeIn          | 0.65          | cam.liftIntakeIn | gross lift at the valve?",
        "cam.intake                | null          | cam.intake | one at 0.020 or lower is best",
        "cam.intakeCentreDeg       | null          | cam.intakeCentreDeg | or the four events"
      })
  void eachSlipIsNamedAtItsField(String path, String value, String field, String words) {
    DocumentContext sheet = JsonPath.parse(V8);
    int dot = path.strip().lastIndexOf('.');
    String parent = "$." + path.strip().substring(0, dot);
    boolean number = value != null && value.matches("[\\d.]+");
    sheet.put(
        parent,
        path.strip().substring(dot + 1),
        number ? (Object) Double.valueOf(value) : (Object) value);
    says(problems(sheet), field.strip(), words.strip());
  }

  @Test
  void aHydraulicLifterUnderAScrewAtTheValveIsAskedAbout() {
    DocumentContext sheet = JsonPath.parse(V8);
    sheet.set("$.drive.lifter", "ROLLER_HYDRAULIC");
    sheet.set("$.drive.adjuster", "SCREW_VALVE_END");
    says(problems(sheet), "drive.adjuster", "is unusual: right?");
  }

  @Test
  void fourEventsWithoutTheirTappetLiftAreNotGuessedAt() {
    DocumentContext sheet = JsonPath.parse(V8);
    sheet.put(
        "$.cam",
        "events",
        java.util.Map.of(
            "ivoBtdcDeg", 34.0, "ivcAbdcDeg", 66.0, "evoBbdcDeg", 77.0, "evcAtdcDeg", 29.0));
    says(problems(sheet), "cam.events.atTappetLiftIn", "at which tappet lift");
  }

  @Test
  void eventsThatDisagreeWithTheCardAreAskedAbout() {
    DocumentContext sheet = JsonPath.parse(V8);
    sheet.put(
        "$.cam",
        "events",
        java.util.Map.of(
            "atTappetLiftIn",
            0.02,
            "ivoBtdcDeg",
            44.0,
            "ivcAbdcDeg",
            76.0,
            "evoBbdcDeg",
            77.0,
            "evcAtdcDeg",
            29.0));
    java.util.List<String> asked = JsonPath.read(problems(sheet), "$.problems[*].message");
    assertThat(asked).anySatisfy(m -> assertThat(m).contains("300"));
  }
}
