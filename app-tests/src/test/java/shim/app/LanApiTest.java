package shim.app;

import static org.assertj.core.api.Assertions.assertThat;

import jakarta.servlet.http.Cookie;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import org.springframework.test.web.servlet.request.RequestPostProcessor;

/** With --lan a tablet comes in with the key, and nobody without it. */
@TestPropertySource(properties = {"shim.lan=true", "shim.key=a1b2c3d4e5f6"})
class LanApiTest extends ApiTest {
  private static final RequestPostProcessor TABLET =
      (MockHttpServletRequest r) -> {
        r.setRemoteAddr("192.168.1.20");
        r.setServerName("192.168.1.5");
        return r;
      };

  private MvcTestResult ask(String path, Cookie... cookies) {
    var request = http.get().uri(path).with(TABLET);
    return (cookies.length > 0 ? request.cookie(cookies) : request).exchange();
  }

  @Test
  void theKeyIsTradedForACookieAndLeavesTheAddress() {
    MvcTestResult in = ask("/?key=a1b2c3d4e5f6");
    assertThat(in).hasStatus(302).hasHeader("Location", "/");
    Cookie cookie = in.getResponse().getCookie("shim-key");
    assertThat(cookie).isNotNull();
    assertThat(cookie.isHttpOnly()).isTrue();
    assertThat(ask("/api/about", cookie)).hasStatusOk();
  }

  @Test
  void whoSubscribesToTheCalendarBringsTheKeyEachTime() {
    assertThat(ask("/api/turnaround/calendar.ics?key=a1b2c3d4e5f6"))
        .hasStatusOk()
        .bodyText()
        .startsWith("BEGIN:VCALENDAR");
    assertThat(ask("/api/turnaround/calendar.ics?key=guess")).hasStatus(403);
    assertThat(ask("/api/engines?key=a1b2c3d4e5f6")).as("all else trades it").hasStatus(302);
  }

  @Test
  void aWrongKeyOrNoneIsTurnedAway() {
    assertThat(ask("/?key=guess")).hasStatus(403);
    assertThat(ask("/api/engines")).hasStatus(403);
    assertThat(ask("/api/about", new Cookie("shim-key", "guess"))).hasStatus(403);
    assertThat(get("/api/about")).as("this machine needs no key").hasStatusOk();
  }
}
