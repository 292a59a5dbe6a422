package shim.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.UUID;

/** Engines put straight into Shim, for journeys that begin later. */
final class Sheets {
  private static final String V8 =
      """
      {"name":"Test V8",
       "layout":{"arrangement":"V","firingOrder":"1-8-4-3-6-5-7-2","banks":[
        {"name":"left","cylinders":"1 3 5 7","valveOrder":"EIIEEIIE"},
        {"name":"right","cylinders":"2 4 6 8","valveOrder":"EIIEEIIE"}]},
       "drive":{"lifter":"ROLLER_SOLID","rocker":"SHAFT","ratioIntake":1.6,
        "adjuster":"SCREW_PUSHROD_END","thread":"7/16-20"},
       "cam":{"liftAt":"LOBE","liftIntakeIn":0.42,"lsaDeg":110,"intakeCentreDeg":106,
        "intake":[{"tappetLiftIn":0.02,"durationDeg":280}],
        "exhaust":[{"tappetLiftIn":0.02,"durationDeg":286}],
        "lashIntakeIn":0.018,"lashExhaustIn":0.018,"lashState":"HOT"}}
      """;

  private Sheets() {}

  static String putV8(RunningShim shim) {
    String id = UUID.randomUUID().toString();
    HttpRequest request =
        HttpRequest.newBuilder(URI.create(shim.url("/api/engines/" + id)))
            .header("Content-Type", "application/json")
            .PUT(HttpRequest.BodyPublishers.ofString(V8))
            .build();
    try {
      HttpResponse<String> response =
          HttpClient.newHttpClient().send(request, HttpResponse.BodyHandlers.ofString());
      if (response.statusCode() != 200) {
        throw new AssertionError(response.body());
      }
      return id;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  /** A set of springs, one in every valve. */
  static void putSprings(RunningShim shim, String engine) {
    String type = UUID.randomUUID().toString();
    shim.put(
        "/api/spring-types/" + type,
        """
        {"name":"HV","loads":[{"heightIn":1.95,"loadLbf":220},{"heightIn":1.3,"loadLbf":505}]}""");
    shim.put(
        "/api/engines/" + engine + "/spring-sets/" + UUID.randomUUID(),
        """
        {"typeId":"%s","setName":"A","engineHours":0,"hoursBefore":0,"heightIn":1.95,"hand":"KV"}"""
            .formatted(type));
  }
}
