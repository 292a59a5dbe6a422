package shim.app.http;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

class FrontPageTest {
  private static final String HTML =
      "<head><script src=\"/assets/index.js\"></script></head><body></body>";
  private final FrontPage front =
      new FrontPage(
          HTML,
          List.of(
              new FrontPage.Told("/engines/$id", List.of("assets/engine.js"), List.of()),
              new FrontPage.Told("/engines/new", List.of("assets/new.js"), List.of()),
              new FrontPage.Told(
                  "/rounds/$id",
                  List.of("assets/index.js", "assets/round.js"),
                  List.of("/api/rounds/$id", "/api/rounds/$id/looks"))));

  @Test
  void namesWhatThePageIsMadeOfAndWhatItAsks() {
    assertThat(front.at("/rounds/7f-2"))
        .contains(
            "<link rel=\"modulepreload\" crossorigin href=\"/assets/round.js\">",
            "<link rel=\"preload\" as=\"fetch\" crossorigin href=\"/api/rounds/7f-2\">",
            "<link rel=\"preload\" as=\"fetch\" crossorigin href=\"/api/rounds/7f-2/looks\">")
        .doesNotContain("modulepreload\" crossorigin href=\"/assets/index.js")
        .endsWith("</head><body></body>");
  }

  @Test
  void theNarrowerAddressWins() {
    assertThat(front.at("/engines/new")).contains("new.js").doesNotContain("engine.js");
  }

  @Test
  void whatIsNoIdIsNotWrittenIntoThePage() {
    assertThat(front.at("/rounds/%22%3E%3Cscript%3E"))
        .contains("round.js")
        .doesNotContain("as=\"fetch\"")
        .doesNotContain("<script>");
  }

  @Test
  void anAddressOfNoPageGetsThePageAsItIs() {
    assertThat(front.at("/engines/7/nothing/here")).isEqualTo(HTML);
  }
}
