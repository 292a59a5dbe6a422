package shim.e2e;

import java.nio.charset.StandardCharsets;
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
       "bottomEnd":{"boreIn":4.0,"strokeIn":3.48,"rodIn":5.7},
       "cam":{"liftAt":"LOBE","liftIntakeIn":0.42,"lsaDeg":110,"intakeCentreDeg":106,
        "intake":[{"tappetLiftIn":0.02,"durationDeg":280}],
        "exhaust":[{"tappetLiftIn":0.02,"durationDeg":286}],
        "lashIntakeIn":0.018,"lashExhaustIn":0.018,"lashState":"HOT"}}
      """;

  /** One cylinder, two valves: everything a head has, and soon round. */
  private static final String SINGLE =
      """
      {"name":"Test single",
       "layout":{"arrangement":"INLINE","firingOrder":"1","banks":[
        {"name":"the head","cylinders":"1","valveOrder":"IE"}]},
       "drive":{"lifter":"ROLLER_SOLID","rocker":"SHAFT","ratioIntake":1.6,
        "adjuster":"SCREW_PUSHROD_END","thread":"7/16-20"},
       "bottomEnd":{"boreIn":4.0,"strokeIn":3.48,"rodIn":5.7},
       "cam":{"liftAt":"LOBE","liftIntakeIn":0.40,"lsaDeg":110,"intakeCentreDeg":106,
        "intake":[{"tappetLiftIn":0.02,"durationDeg":280}],
        "exhaust":[{"tappetLiftIn":0.02,"durationDeg":286}],
        "lashIntakeIn":0.018,"lashExhaustIn":0.018,"lashState":"COLD"}}
      """;

  private Sheets() {}

  static String putV8(RunningShim shim) {
    return put(shim, V8);
  }

  static String putSingle(RunningShim shim) {
    return put(shim, SINGLE);
  }

  private static String put(RunningShim shim, String engine) {
    String id = UUID.randomUUID().toString();
    byte[] sheet = engine.getBytes(StandardCharsets.UTF_8);
    int status = shim.send("PUT", "/api/engines/" + id, "application/json", sheet);
    if (status != 200) {
      throw new AssertionError("the engine was answered with " + status);
    }
    return id;
  }

  /** A kind of spring and some of it in stock, marked by a letter. */
  static String putKind(RunningShim shim, String name, int seatLbf, String letter, int inStock) {
    String type = UUID.randomUUID().toString();
    shim.put(
        "/api/spring-types/" + type,
        """
        {"name":"%s","loads":[{"heightIn":1.95,"loadLbf":%d},{"heightIn":1.3,"loadLbf":%d}],
         "bindIn":1.18,"odIn":1.55}"""
            .formatted(name, seatLbf, seatLbf + 285));
    for (int i = 1; i <= inStock; i++) {
      shim.put(
          "/api/springs/" + UUID.randomUUID(),
          """
          {"typeId":"%s","mark":"%s-%d","hoursBefore":0,"scrapped":false}"""
              .formatted(type, letter, i));
    }
    return type;
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

  /** A change of 3E's spring in the car, with springs in the engine; the walk has not begun. */
  static String startJob(RunningShim shim, String engine) {
    putSprings(shim, engine);
    String job = UUID.randomUUID().toString();
    shim.put(
        "/api/jobs/" + job,
        """
        {"engineId":"%s","engineHours":1,"hand":"KV","ask":{"kind":"IN_CAR","hold":"AIR",
         "intakeOff":false,"innerOut":false,"state":"COLD","valves":[{"valve":"3E",
         "newSeal":false,"sameAgain":true,"standIn":false}]}}"""
            .formatted(engine));
    return job;
  }
}
