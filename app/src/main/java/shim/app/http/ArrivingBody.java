package shim.app.http;

import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.io.IOException;

/** A request that says how much of its body has come, whoever reads it. */
final class ArrivingBody extends HttpServletRequestWrapper {
  private final Progress far;

  ArrivingBody(HttpServletRequest request, Progress far) {
    super(request);
    this.far = far;
  }

  @Override
  public ServletInputStream getInputStream() throws IOException {
    return new Counted(super.getInputStream());
  }

  private final class Counted extends ServletInputStream {
    private final ServletInputStream body;
    private final long all = Math.max(0, getContentLengthLong());
    private long come;

    Counted(ServletInputStream body) {
      this.body = body;
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

    private void count(int read) {
      if (read > 0) {
        come += read;
        far.at(Progress.Stage.ARRIVING, come, all);
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
