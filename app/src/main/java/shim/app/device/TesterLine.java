package shim.app.device;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;

/** A two-way line to a tester, however it is wired. */
interface TesterLine extends AutoCloseable {
  InputStream in() throws IOException;

  OutputStream out() throws IOException;

  @Override
  void close();
}
