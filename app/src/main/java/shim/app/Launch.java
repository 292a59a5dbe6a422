package shim.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.NetworkInterface;
import java.net.ServerSocket;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.security.SecureRandom;
import java.util.Collections;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import shim.app.backup.DataFolder;

/**
 * What the command line asks for, checked before Spring starts so that each usual trouble is one
 * clear line.
 *
 * @param backupEveryHours a backup is made after so many hours with changes; none when zero
 * @param backupKeep so many are kept
 * @param refusal why it cannot start
 */
record Launch(
    boolean demo,
    int port,
    Path dataFolder,
    boolean lan,
    String key,
    int backupEveryHours,
    int backupKeep,
    Optional<String> refusal) {
  private static final String LOCK = "shim.lock";
  private static final Pattern OURS =
      Pattern.compile("shim\\.(mv\\.db|trace\\.db|log.*|born)|photos/[^/]*\\.image");
  private static final int USUAL_PORT = 8460;
  private static final int HIGHEST_PORT = 65535;

  static Launch read(List<String> args) {
    boolean demo = args.contains("demo");
    boolean lan = args.contains("--lan");
    try {
      int asked = option(args, "--port").map(Integer::parseInt).orElse(USUAL_PORT);
      if (asked < 0 || asked > HIGHEST_PORT) {
        return refused("there is no port " + asked + ": ports go up to 65535, such as --port=8460");
      }
      int port = asked == 0 ? freePort() : asked;
      Path data = option(args, "--data").map(Path::of).orElseGet(() -> usualFolder(demo, port));
      Path folder = data.toAbsolutePath().normalize();
      int every = number(args, "--backup-every", 24);
      int keep = number(args, "--backup-keep", 10);
      if (every < 0 || keep < 1) {
        return refused("--backup-every wants hours, 0 for never; --backup-keep at least 1");
      }
      boolean anew = demo && !args.contains("--keep");
      return new Launch(
          demo, port, folder, lan, newKey(), every, keep, trouble(anew, port, folder, lan));
    } catch (IOException e) {
      return refused("no port is free on this machine");
    } catch (NumberFormatException e) {
      return refused("--port, --backup-every and --backup-keep want numbers, such as --port=8460");
    }
  }

  /** Some port that nobody uses, for whoever asked for port 0. */
  private static int freePort() throws IOException {
    try (ServerSocket probe = new ServerSocket(0)) {
      return probe.getLocalPort();
    }
  }

  private static Launch refused(String why) {
    return new Launch(false, 0, Path.of("."), false, "", 0, 1, Optional.of(why));
  }

  private static int number(List<String> args, String name, int usual) {
    return option(args, name).map(Integer::parseInt).orElse(usual);
  }

  static Optional<String> option(List<String> args, String name) {
    return args.stream()
        .filter(a -> a.startsWith(name + "="))
        .map(a -> a.substring(name.length() + 1))
        .findFirst();
  }

  static Path usualFolder(boolean demo, int port) {
    return demo
        ? Path.of(System.getProperty("java.io.tmpdir"), "shim-demo-" + port)
        : Path.of(System.getProperty("user.home"), "shim-data");
  }

  private static Optional<String> trouble(boolean anew, int port, Path folder, boolean lan) {
    try (ServerSocket probe = new ServerSocket()) {
      probe.bind(new InetSocketAddress(lan ? "0.0.0.0" : "127.0.0.1", port));
    } catch (IOException | IllegalArgumentException e) {
      return Optional.of(
          "port " + port + " is in use: is Shim already running? Else try --port=" + (port + 1));
    }
    try {
      Files.createDirectories(folder);
      if (!lock(folder, port)) {
        return Optional.of("the data folder " + folder + " is in use by a running Shim");
      }
      if (anew) {
        clear(folder);
      }
      return DataFolder.prepare(folder);
    } catch (IOException | UncheckedIOException e) {
      return Optional.of("the data folder " + folder + " cannot be written: " + e.getMessage());
    }
  }

  /** Held until the process ends, however it ends; a lock nobody refers to would be let go. */
  private static @Nullable FileLock held;

  /** The lock says on which port the Shim that holds it answers. */
  private static boolean lock(Path folder, int port) throws IOException {
    FileChannel channel =
        FileChannel.open(folder.resolve(LOCK), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
    held = channel.tryLock();
    if (held == null) {
      return false;
    }
    channel.truncate(0);
    channel.write(ByteBuffer.wrap(String.valueOf(port).getBytes(StandardCharsets.US_ASCII)));
    return true;
  }

  /** The port of the Shim that runs in a folder; empty when none does. */
  static Optional<Integer> running(Path folder) throws IOException {
    if (!Files.exists(folder.resolve(LOCK)) || lock(folder, 0)) {
      return Optional.empty();
    }
    return Optional.of(Integer.parseInt(Files.readString(folder.resolve(LOCK)).strip()));
  }

  /** A demo begins anew unless it is to be kept; only files Shim itself makes are removed. */
  private static void clear(Path folder) throws IOException {
    try (Stream<Path> files = Files.walk(folder, 2)) {
      files
          .filter(f -> OURS.matcher(folder.relativize(f).toString()).matches())
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
      "--shim.backup-every-hours=" + backupEveryHours,
      "--shim.backup-keep=" + backupKeep,
    };
  }

  String address() {
    return "http://127.0.0.1:" + port + "/";
  }

  /**
   * Where a tablet finds Shim, key included: the addresses of private networks first, else whatever
   * addresses this machine has. Without any, the key is still told.
   */
  List<String> lanAddresses() {
    if (!lan) {
      return List.of();
    }
    List<InetAddress> all = addresses();
    List<InetAddress> home = all.stream().filter(InetAddress::isSiteLocalAddress).toList();
    List<InetAddress> best = home.isEmpty() ? all : home;
    return best.isEmpty()
        ? List.of("http://(address of this machine):" + port + "/?key=" + key)
        : best.stream().map(a -> "http://" + host(a) + ":" + port + "/?key=" + key).toList();
  }

  private static List<InetAddress> addresses() {
    try {
      return Collections.list(NetworkInterface.getNetworkInterfaces()).stream()
          .flatMap(NetworkInterface::inetAddresses)
          .filter(a -> !a.isLoopbackAddress() && !a.isLinkLocalAddress())
          .sorted(Comparator.comparing(a -> a instanceof Inet6Address))
          .toList();
    } catch (IOException e) {
      return List.of();
    }
  }

  private static String host(InetAddress a) {
    String name = a.getHostAddress().replaceAll("%.*", "");
    return a instanceof Inet6Address ? "[" + name + "]" : name;
  }
}
