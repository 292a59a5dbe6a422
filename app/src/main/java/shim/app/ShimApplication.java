package shim.app;

import java.time.Clock;
import java.util.List;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;

/** Starts Shim: {@code demo} with sample data, {@code start} on the user's own folder. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class ShimApplication {
  public static void main(String[] args) {
    Launch launch = Launch.read(List.of(args));
    if (launch.refusal().isPresent()) {
      System.err.println("shim: " + launch.refusal().get());
      System.exit(1);
    }
    try {
      SpringApplication app = new SpringApplication(ShimApplication.class);
      app.setLogStartupInfo(false);
      app.run(launch.settings());
    } catch (RuntimeException e) {
      System.err.println("shim: it could not start: " + rootMessage(e));
      System.err.println("      more in " + launch.dataFolder().resolve("shim.log"));
      System.exit(1);
    }
    System.out.println();
    System.out.println("  Shim is ready:  " + launch.address());
    System.out.println("  Data folder:    " + launch.dataFolder());
    launch.lanAddresses().forEach(a -> System.out.println("  On a tablet:    " + a));
    System.out.println("  Stop it with Ctrl-C.");
    System.out.println();
  }

  private static String rootMessage(Throwable e) {
    Throwable t = e;
    while (t.getCause() != null) {
      t = t.getCause();
    }
    return String.valueOf(t.getMessage()).lines().findFirst().orElse(t.getClass().getSimpleName());
  }

  /** The only clock; tests put their own in its place. */
  @Bean
  Clock clock() {
    return Clock.systemUTC();
  }
}
