package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import com.jayway.jsonpath.JsonPath;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A walk that goes another way on purpose: off TDC, or without a gauge. */
class JobOddWaysApiTest extends JobApi {
  /** The pointer's school: the crank stands 34 before TDC, locked, and who puts air on knows it. */
  @Test
  void airOffTdcIsShownAndAcceptedByName() {
    String view = walkTo(begin(), "leg0:BAR");
    assertThat((String) JsonPath.read(view, "$.bearing.stop.look")).contains("compression TDC");
    List<Double> from = JsonPath.read(view, "$.state.otherwise[?(@.step=='leg0:BAR')].fromDeg");
    Map<String, Object> bar = entry(view, "BAR");
    bar.put("step", "leg0:BAR");
    bar.put("figure", (from.get(0) - 34 + 720) % 720);
    view = walkTo(text(act(bar)), "c3:HOLD");
    double torque = JsonPath.read(view, "$.bearing.offTdc.torqueLbfFt");
    assertThat(torque).as("worked by hand: 102 at 34").isBetween(101.0, 103.0);
    Map<String, Object> air = entry(view, "HOLD");
    air.putAll(Map.of("step", "c3:HOLD", "cylinder", 3));
    assertThat(act(air)).hasStatus(422).bodyText().contains("34° before TDC").contains("accept it");
    air.put("word", "OFF_TDC");
    String held = text(act(air));
    assertThat(JsonPath.<List<Integer>>read(held, "$.state.holds[*].cylinder")).containsExactly(3);
    assertThat(JsonPath.<Map<String, Object>>read(held, "$")).doesNotContainKey("offTdc");
  }

  @Test
  void aHeightLeftOpenStaysOpenOnTheEngine() {
    String view = walkTo(begin(), "3E:HEIGHT");
    List<String> skip = JsonPath.read(view, "$.state.otherwise[?(@.act=='SKIP_HEIGHT')].step");
    assertThat(skip).containsExactly("3E:HEIGHT");
    Map<String, Object> why = entry(view, "SKIP_HEIGHT");
    why.putAll(Map.of("step", "3E:HEIGHT", "valve", "3E", "word", "gauge lent"));
    walkTo(text(act(why)), "none");
    List<String> words =
        JsonPath.read(
            text(get("/api/engines/" + engine + "/open-items")),
            "$[?(@.kind=='HEIGHT_OPEN')].words");
    assertThat(words).containsExactly("installed height not measured: 3E");
  }
}
