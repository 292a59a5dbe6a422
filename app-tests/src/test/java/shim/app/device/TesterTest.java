package shim.app.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static shim.app.device.FarEnd.await;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import shim.app.http.Refusal;

class TesterTest {
  private final Tester tester = new Tester();

  @AfterEach
  void letGo() {
    tester.disconnect();
  }

  @ParameterizedTest
  @CsvSource({
    "LOAD 214.5 lbf, 214.5",
    "LOAD 214.5, 214.5",
    "load 214.5 LB, 214.5",
    "LOAD 954 N, 214.468",
    "LOAD 97.3 kgf, 214.510"
  })
  void loadsAreUnderstoodInTheirUnits(String line, double lbf) {
    assertThat(Spoken.parse(line))
        .hasValueSatisfying(s -> assertThat(((Spoken.Load) s).lbf()).isCloseTo(lbf, within(0.001)));
  }

  @ParameterizedTest
  @CsvSource({"LIFT 0.5921 in, 0.5921", "LIFT 0.5921, 0.5921", "lift 12.7 mm, 0.5"})
  void liftsAreUnderstoodInTheirUnits(String line, double inch) {
    assertThat(Spoken.parse(line))
        .hasValueSatisfying(
            s -> assertThat(((Spoken.Lift) s).inch()).isCloseTo(inch, within(1e-9)));
  }

  @Test
  void aDialIsSteadyWithinAHairAndATesterTakesNoLift() {
    Steady steady = new Steady(high -> 0.0008, 0.05);
    for (int i = 0; i < 8; i++) {
      steady.add(0.5921 + (i % 2) * 0.0006);
    }
    assertThat(steady.steady()).isTrue();
    steady.add(0.5940);
    assertThat(steady.steady()).isFalse();
    assertThat(tester.figure(new Spoken.Lift(0.5))).isEmpty();
    assertThat(new Dial().figure(new Spoken.Load(200))).isEmpty();
  }

  @Test
  void aDecimalCommaAndANameAreUnderstood() {
    assertThat(Spoken.parse("LOAD 214,5 lbf")).contains(new Spoken.Load(214.5));
    assertThat(Spoken.parse("TESTER bench 2, old")).contains(new Spoken.Name("bench 2, old"));
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "LOAD",
        "LOAD heavy lbf",
        "LOAD 3 stone",
        "HEIGHT 1.9",
        "LOAD NaN lbf",
        "LIFT NaN in",
        "LIFT 3 furlong"
      })
  void whatIsNotOfTheProtocolIsPassedOver(String line) {
    assertThat(Spoken.parse(line)).isEqualTo(Optional.empty());
  }

  @Test
  void steadyIsWhenTheLastReadingsLieCloseTogether() {
    Steady s = new Steady(high -> 0.006 * high, 5);
    for (int i = 0; i < 7; i++) {
      s.add(214 + 0.1 * i);
    }
    assertThat(s.steady()).isFalse();
    s.add(214.2);
    assertThat(s.steady()).isTrue();
    assertThat(s.mean()).isCloseTo(214.29, within(0.02));
    s.add(230);
    assertThat(s.steady()).isFalse();
    s.clear();
    assertThat(s.steady()).isFalse();
    for (int i = 0; i < 8; i++) {
      s.add(0.2);
    }
    assertThat(s.steady()).as("an empty tester is at rest, but shows no load").isFalse();
  }

  @Test
  void aTesterIsHeardToldWhereItStandsAndMissedWhenItIsGone() throws IOException {
    try (FarEnd far = new FarEnd()) {
      tester.connect(Tester.Wire.TCP, far.address());
      far.answer();
      assertThat(far.hear()).isEqualTo("HELLO");
      far.say("TESTER lever");
      for (int i = 0; i < 8; i++) {
        far.say("LOAD 214.5 lbf");
      }
      await(() -> tester.now().steady());
      assertThat(tester.now().name()).isEqualTo("lever");
      assertThat(tester.now().loadLbf()).isEqualTo(214.5);
      tester.standAt("3E", 1.95);
      assertThat(far.hear()).isEqualTo("AT 3E 1.9500");
      assertThat(tester.now().steady()).as("at another valve it starts afresh").isFalse();
      far.hangUp();
      await(() -> !tester.now().connected());
      assertThat(tester.now().trouble())
          .startsWith("the tester is gone")
          .contains("type the figures");
    }
  }

  @Test
  void nobodyThereIsSaidInWords() throws IOException {
    int free;
    try (ServerSocket server = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      free = server.getLocalPort();
    }
    assertThatThrownBy(() -> tester.connect(Tester.Wire.TCP, "127.0.0.1:" + free))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("does not answer at 127.0.0.1:" + free);
    assertThatThrownBy(() -> tester.connect(Tester.Wire.TCP, "nowhere"))
        .hasMessageContaining("host:port");
    assertThatThrownBy(() -> tester.connect(Tester.Wire.TCP, "127.0.0.1:port"))
        .hasMessageContaining("host:port");
    assertThatThrownBy(() -> tester.connect(Tester.Wire.SERIAL, "no-such-port"))
        .hasMessageContaining("no-such-port");
    assertThat(tester.now().connected()).isFalse();
  }

  @Test
  void aSuggestedAddressIsOffered() {
    tester.suggest("127.0.0.1:4020");
    assertThat(tester.now().suggested()).isEqualTo("127.0.0.1:4020");
  }
}
