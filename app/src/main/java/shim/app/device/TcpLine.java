package shim.app.device;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetSocketAddress;
import java.net.Socket;

/** A tester behind a network address, {@code host:port}. */
final class TcpLine implements TesterLine {
  private static final int PATIENCE_MILLIS = 3000;
  private final Socket socket = new Socket();

  TcpLine(String address) throws IOException {
    int colon = address.lastIndexOf(':');
    if (colon < 1) {
      throw new IOException("write the address as host:port, such as 192.168.1.20:4020");
    }
    try {
      int port = Integer.parseInt(address.substring(colon + 1).strip());
      socket.connect(
          new InetSocketAddress(address.substring(0, colon).strip(), port), PATIENCE_MILLIS);
      socket.setSoTimeout(PATIENCE_MILLIS);
    } catch (IllegalArgumentException e) {
      throw new IOException("write the address as host:port, such as 192.168.1.20:4020", e);
    }
  }

  @Override
  public InputStream in() throws IOException {
    return socket.getInputStream();
  }

  @Override
  public OutputStream out() throws IOException {
    return socket.getOutputStream();
  }

  @Override
  public void close() {
    try {
      socket.close();
    } catch (IOException e) {
      // It is gone either way.
      Thread.yield();
    }
  }
}
