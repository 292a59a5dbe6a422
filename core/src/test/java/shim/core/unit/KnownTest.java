package shim.core.unit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Map;
import org.junit.jupiter.api.Test;

class KnownTest {
  @Test
  void whatMustBeThereIsHandedOutAndAMissIsNamed() {
    assertThat(Known.in(Map.of("1I", 0.018), "1I")).isEqualTo(0.018);
    assertThatThrownBy(() -> Known.in(Map.of("1I", 0.018), "2E")).hasMessageContaining("2E");
  }
}
