package shim.app.device;

import com.fazecast.jSerialComm.SerialPort;
import com.fazecast.jSerialComm.SerialPortInvalidPortException;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.Arrays;
import java.util.List;

/** A tester on a serial port: 9600 baud, 8 data bits, no parity, 1 stop bit. */
final class SerialLine implements TesterLine {
  private static final int BAUD = 9600;
  private static final int PATIENCE_MILLIS = 3000;
  private final SerialPort port;

  SerialLine(String name) throws IOException {
    try {
      port = SerialPort.getCommPort(name);
    } catch (SerialPortInvalidPortException e) {
      throw new IOException("there is no serial port \"" + name + "\"", e);
    }
    port.setComPortParameters(BAUD, 8, SerialPort.ONE_STOP_BIT, SerialPort.NO_PARITY);
    port.setComPortTimeouts(SerialPort.TIMEOUT_READ_SEMI_BLOCKING, PATIENCE_MILLIS, 0);
    if (!port.openPort()) {
      throw new IOException(
          "serial port \"" + name + "\" cannot be opened: is it plugged in, or in use?");
    }
  }

  /** Ports this machine has. */
  static List<String> ports() {
    return Arrays.stream(SerialPort.getCommPorts()).map(SerialPort::getSystemPortName).toList();
  }

  @Override
  public InputStream in() {
    return port.getInputStream();
  }

  @Override
  public OutputStream out() {
    return port.getOutputStream();
  }

  @Override
  public void close() {
    port.closePort();
  }
}
