package shim.app;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.LoggerContext;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;
import shim.app.backup.BackupCommand;
import shim.app.backup.DataFolder;
import shim.app.http.Progress;
import shim.app.record.BeforeFirstLook;

/** Starts Shim: {@code demo} with sample data, {@code start} on the user's own folder. */
@SpringBootApplication
@ConfigurationPropertiesScan
@EnableScheduling
public class ShimApplication {
  public static void main(String[] args) {
    quiet();
    if (args.length > 0 && List.of("backup", "restore").contains(args[0])) {
      System.exit(keep(List.of(args)));
    }
    Launch launch = Launch.read(List.of(args));
    if (launch.refusal().isPresent()) {
      System.err.println("shim: " + launch.refusal().get());
      System.exit(1);
    }
    try {
      SpringApplication app = new SpringApplication(ShimApplication.class);
      app.setLogStartupInfo(false);
      app.run(launch.settings()).publishEvent(new BeforeFirstLook());
    } catch (RuntimeException e) {
      System.err.println("shim: it could not start: " + rootMessage(e));
      System.err.println(
          "      nothing was changed; more in " + launch.dataFolder().resolve("shim.log"));
      System.err.println("      " + DataFolder.way(launch.dataFolder()));
      System.exit(1);
    }
    born(launch.dataFolder());
    System.out.println();
    System.out.println("  Shim is ready:  " + launch.address());
    System.out.println("  Data folder:    " + launch.dataFolder());
    launch.lanAddresses().forEach(a -> System.out.println("  On a tablet:    " + a));
    System.out.println("  Stop it with Ctrl-C.");
    System.out.println();
    // The build starts it once so, to read its classes.
    if (Boolean.getBoolean("shim.ends-when-ready")) {
      System.exit(0);
    }
  }

  /** Until Spring sets up the log in the data folder, libraries do not talk to the person. */
  private static void quiet() {
    if (LoggerFactory.getILoggerFactory() instanceof LoggerContext logs) {
      logs.getLogger(Logger.ROOT_LOGGER_NAME).setLevel(Level.OFF);
    }
  }

  private static void born(Path folder) {
    try {
      DataFolder.born(folder);
    } catch (IOException e) {
      System.err.println("shim: " + folder + " cannot be written: " + e.getMessage());
    }
  }

  /** {@code backup FILE} and {@code restore FILE}, without starting anything else. */
  private static int keep(List<String> args) {
    Optional<String> file = args.stream().skip(1).filter(a -> !a.startsWith("--")).findFirst();
    if (file.isEmpty()) {
      System.err.println("shim: say which file: ./shim " + args.get(0) + " FILE");
      return 2;
    }
    Path data =
        Launch.option(args, "--data")
            .map(Path::of)
            .orElseGet(() -> Launch.usualFolder(false, 0))
            .toAbsolutePath()
            .normalize();
    try {
      Optional<Integer> port = Launch.running(data);
      if (args.get(0).equals("restore") && port.isPresent()) {
        System.err.println(
            "shim: a Shim runs in " + data + ": stop it first, or restore on its page Backup");
        return 1;
      }
      Progress far = new FarLine(System.err);
      System.out.println(
          args.get(0).equals("backup")
              ? BackupCommand.backup(
                  data, Path.of(file.get()), Clock.systemUTC().instant(), port, far)
              : BackupCommand.restore(data, Path.of(file.get()), far));
      return 0;
    } catch (Exception e) {
      System.err.println("shim: " + rootMessage(e));
      return 1;
    }
  }

  /** The innermost words there are: what a person can act on. */
  private static String rootMessage(Throwable e) {
    String words = e.getClass().getSimpleName();
    for (Throwable t = e; t != null; t = t.getCause()) {
      String own = t.getMessage();
      if (own != null && !own.isBlank()) {
        words = own.lines().findFirst().orElse(words);
      }
    }
    return words;
  }

  /** The only clock; tests put their own in its place. */
  @Bean
  Clock clock() {
    return Clock.systemUTC();
  }
}
