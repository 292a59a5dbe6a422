package shim.app.device;

import static org.assertj.core.api.Assertions.assertThat;
import static shim.app.device.FarEnd.await;

import java.io.IOException;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** A crank encoder over a real line: heard, told which reading is next, missed when it is gone. */
class EncoderTest {
  private final Encoder encoder = new Encoder();

  @AfterEach
  void letGo() {
    encoder.disconnect();
  }

  @Test
  void anEncoderIsReadTurnedAndMissed() throws IOException {
    try (FarEnd far = new FarEnd()) {
      encoder.connect(Instrument.Wire.TCP, far.address());
      far.answer();
      assertThat(far.hear()).isEqualTo("HELLO");
      far.say("ENCODER on the nose");
      far.say("LIFT 0.4 in");
      far.say("ANGLE 12 rad");
      for (int i = 0; i < 8; i++) {
        far.say("ANGLE 107.4" + i + " deg");
      }
      await(() -> encoder.now().steady());
      assertThat(encoder.now().name()).isEqualTo("on the nose");
      assertThat(encoder.now().wheelDeg()).isEqualTo(107.4);
      encoder.nextIs("INTAKE_DOWN", 0.05);
      assertThat(far.hear()).isEqualTo("AT INTAKE_DOWN 0.0500");
      assertThat(encoder.now().steady()).as("at the next reading it starts afresh").isFalse();
      for (int i = 0; i < 8; i++) {
        far.say("ANGLE 15" + i % 2 + ".0");
      }
      await(() -> encoder.now().wheelDeg() > 149);
      assertThat(encoder.now().steady()).as("the crank still turns").isFalse();
      for (int i = 0; i < 8; i++) {
        far.say("ANGLE -3.0");
      }
      await(() -> encoder.now().steady());
      assertThat(encoder.now().wheelDeg()).as("before the mark").isEqualTo(-3);
      far.hangUp();
      await(() -> !encoder.now().connected());
      assertThat(encoder.now().trouble()).startsWith("the encoder is gone");
    }
  }
}
