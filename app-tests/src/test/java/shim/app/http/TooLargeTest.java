package shim.app.http;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import tools.jackson.databind.json.JsonMapper;

class TooLargeTest {
  private final TooLarge filter = new TooLarge(JsonMapper.shared());

  /** One whose body comes in pieces: nobody knows how much it will be. */
  private static MockHttpServletRequest ofNoLength(int bytes) {
    MockHttpServletRequest request =
        new MockHttpServletRequest("PUT", "/api/events/1") {
          @Override
          public long getContentLengthLong() {
            return -1;
          }
        };
    request.setContent(new byte[bytes]);
    return request;
  }

  @ParameterizedTest
  @CsvSource({"2000000, true", "2000001, false"})
  void aBodyWithoutALengthIsReadToTheLimitAndNotAByteFurther(int bytes, boolean whole)
      throws Exception {
    AtomicLong read = new AtomicLong(-1);
    filter.doFilter(
        ofNoLength(bytes),
        new MockHttpServletResponse(),
        (request, answer) -> {
          try {
            read.set(request.getInputStream().readAllBytes().length);
          } catch (IOException e) {
            assertThat(TooLarge.in(e)).isTrue();
          }
        });
    assertThat(read.get()).isEqualTo(whole ? bytes : -1);
  }
}
