package shim.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.NetworkInterface;
import java.net.ServerSocket;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.security.SecureRandom;
import java.util.Collections;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What the command line asks for, checked before Spring starts so that each usual trouble is one
 * clear line.
 *
 * @param refusal why it cannot start
 */
record Launch(
    boolean demo, int port, Path dataFolder, boolean lan, String key, Optional<String> refusal) {
  private static final int USUAL_PORT = 8460;

  static Launch read(List<String> args) {
    boolean demo = args.contains("demo");
    boolean lan = args.contains("--lan");
    try {
      int port = option(args, "--port").map(Integer::parseInt).orElse(USUAL_PORT);
      Path data = option(args, "--data").map(Path::of).orElseGet(() -> usualFolder(demo, port));
      Path folder = data.toAbsolutePath().normalize();
      return new Launch(demo, port, folder, lan, newKey(), trouble(demo, port, folder, lan));
    } catch (NumberFormatException e) {
      return refused("--port wants a number, such as --port=8460");
    }
  }

  private static Launch refused(String why) {
    return new Launch(false, 0, Path.of("."), false, "", Optional.of(why));
  }

  private static Optional<String> option(List<String> args, String name) {
    return args.stream()
        .filter(a -> a.startsWith(name + "="))
        .map(a -> a.substring(name.length() + 1))
        .findFirst();
  }

  private static Path usualFolder(boolean demo, int port) {
    return demo
        ? Path.of(System.getProperty("java.io.tmpdir"), "shim-demo-" + port)
        : Path.of(System.getProperty("user.home"), "shim-data");
  }

  private static Optional<String> trouble(boolean demo, int port, Path folder, boolean lan) {
    try (ServerSocket probe = new ServerSocket()) {
      probe.bind(new InetSocketAddress(lan ? "0.0.0.0" : "127.0.0.1", port));
    } catch (IOException | IllegalArgumentException e) {
      return Optional.of(
          "port " + port + " is in use: is Shim already running? Else try --port=" + (port + 1));
    }
    try {
      Files.createDirectories(folder);
      if (!lock(folder)) {
        return Optional.of("the data folder " + folder + " is in use by a running Shim");
      }
      if (demo) {
        clear(folder);
      }
    } catch (IOException | UncheckedIOException e) {
      return Optional.of("the data folder " + folder + " cannot be written: " + e.getMessage());
    }
    return Optional.empty();
  }

  /** Held until the process ends, however it ends; a lock nobody refers to would be let go. */
  private static @Nullable FileLock held;

  private static boolean lock(Path folder) throws IOException {
    FileChannel channel =
        FileChannel.open(
            folder.resolve("shim.lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
    held = channel.tryLock();
    return held != null;
  }

  /** The demo begins anew at each start; only files Shim itself makes are removed. */
  private static void clear(Path folder) throws IOException {
    try (Stream<Path> files = Files.list(folder)) {
      files
          .filter(f -> f.getFileName().toString().matches("shim\\.(mv\\.db|trace\\.db|log.*)"))
          .sorted(Comparator.reverseOrder())
          .forEach(
              f -> {
                try {
                  Files.delete(f);
                } catch (IOException e) {
                  throw new UncheckedIOException(e);
                }
              });
    }
  }

  private static String newKey() {
    byte[] bytes = new byte[6];
    new SecureRandom().nextBytes(bytes);
    return HexFormat.of().formatHex(bytes);
  }

  /** As command line settings, which win over application.yaml. */
  String[] settings() {
    return new String[] {
      "--server.port=" + port,
      "--server.address=" + (lan ? "0.0.0.0" : "127.0.0.1"),
      "--shim.data=" + dataFolder,
      "--shim.demo=" + demo,
      "--shim.lan=" + lan,
      "--shim.key=" + key,
    };
  }

  String address() {
    return "http://127.0.0.1:" + port + "/";
  }

  List<String> lanAddresses() {
    if (!lan) {
      return List.of();
    }
    try {
      return Collections.list(NetworkInterface.getNetworkInterfaces()).stream()
          .flatMap(NetworkInterface::inetAddresses)
          .filter(InetAddress::isSiteLocalAddress)
          .map(a -> "http://" + a.getHostAddress() + ":" + port + "/?key=" + key)
          .toList();
    } catch (IOException e) {
      return List.of();
    }
  }
}
