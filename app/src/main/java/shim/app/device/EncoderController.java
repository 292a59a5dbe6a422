package shim.app.device;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Pattern;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The connected crank encoder. */
@RestController
class EncoderController {
  private final Encoder encoder;

  EncoderController(Encoder encoder) {
    this.encoder = encoder;
  }

  /** The reading that comes next, such as INTAKE_UP, and how far under the nose. */
  record EncoderAt(
      @NotBlank @Pattern(regexp = "[A-Z_]{1,20}", message = "the name of a reading") String reading,
      double heightIn) {}

  /** Tells how the crank encoder is connected and what it shows. */
  @GetMapping("/api/encoder")
  Encoder.EncoderNow encoder() {
    return encoder.now();
  }

  /** Connects a crank encoder. */
  @PutMapping("/api/encoder")
  Encoder.EncoderNow connectEncoder(@RequestBody TesterController.Connection c) {
    encoder.connect(c.wire(), c.address());
    return encoder.now();
  }

  /** Says where the crank stands now, so that the encoder counts from there. */
  @PutMapping("/api/encoder/place")
  Encoder.EncoderNow turnEncoder(@RequestBody EncoderAt at) {
    encoder.nextIs(at.reading(), at.heightIn());
    return encoder.now();
  }

  /** Lets the encoder go. */
  @DeleteMapping("/api/encoder")
  Encoder.EncoderNow letEncoderGo() {
    encoder.disconnect();
    return encoder.now();
  }
}
