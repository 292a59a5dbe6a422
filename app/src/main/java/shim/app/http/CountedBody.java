package shim.app.http;

import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.IOException;

/** A request whose body is counted as it comes, whoever reads it. */
final class CountedBody extends HttpServletRequestWrapper {
  private final Coming coming;

  CountedBody(HttpServletRequest request, Coming coming) {
    super(request);
    this.coming = coming;
  }

  /** Told how many bytes have come in all; what it throws ends the reading. */
  @FunctionalInterface
  interface Coming {
    void come(long bytes) throws IOException;
  }

  @Override
  public ServletInputStream getInputStream() throws IOException {
    return new Counted(super.getInputStream(), coming);
  }

  private static final class Counted extends ServletInputStream {
    private final ServletInputStream body;
    private final Coming coming;
    private long come;

    Counted(ServletInputStream body, Coming coming) {
      this.body = body;
      this.coming = coming;
    }

    @Override
    public int read() throws IOException {
      int one = body.read();
      count(one < 0 ? 0 : 1);
      return one;
    }

    @Override
    public int read(byte[] into, int from, int most) throws IOException {
      int read = body.read(into, from, most);
      count(read);
      return read;
    }

    private void count(int read) throws IOException {
      if (read > 0) {
        come += read;
        coming.come(come);
      }
    }

    @Override
    public boolean isFinished() {
      return body.isFinished();
    }

    @Override
    public boolean isReady() {
      return body.isReady();
    }

    @Override
    public void setReadListener(ReadListener listener) {
      body.setReadListener(listener);
    }
  }
}
