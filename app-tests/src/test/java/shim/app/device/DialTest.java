package shim.app.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static shim.app.device.FarEnd.await;

import java.io.IOException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import shim.app.http.Refusal;

/** A dial indicator over a real line: heard, told where it stands, missed when it is gone. */
class DialTest {
  private final Dial dial = new Dial();

  @AfterEach
  void letGo() {
    dial.disconnect();
  }

  @Test
  void aDialIsReadMovedAndMissed() throws IOException {
    try (FarEnd far = new FarEnd()) {
      dial.connect(Instrument.Wire.TCP, far.address());
      far.answer();
      assertThat(far.hear()).isEqualTo("HELLO");
      far.say("DIAL on a stand");
      far.say("LOAD 214 lbf");
      for (int i = 0; i < 8; i++) {
        far.say("LIFT 0.59" + (20 + i % 3) + " in");
      }
      await(() -> dial.now().steady());
      assertThat(dial.now().name()).isEqualTo("on a stand");
      assertThat(dial.now().liftIn()).isBetween(0.5920, 0.5922);
      dial.standAt("5E");
      assertThat(far.hear()).isEqualTo("AT 5E");
      assertThat(dial.now().steady()).as("at another valve it starts afresh").isFalse();
      far.say("LIFT 0.0100 in");
      await(() -> dial.now().liftIn() < 0.02);
      assertThat(dial.now().steady()).as("on the base circle there is no lift").isFalse();
      far.hangUp();
      await(() -> !dial.now().connected());
      assertThat(dial.now().trouble()).startsWith("the dial is gone").contains("type the figures");
    }
  }

  @Test
  void nobodyThereIsSaidInWords() {
    assertThatThrownBy(() -> dial.connect(Instrument.Wire.TCP, "nowhere"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("the dial does not answer");
    dial.suggest("127.0.0.1:4021");
    assertThat(dial.now().suggested()).isEqualTo("127.0.0.1:4021");
  }
}
