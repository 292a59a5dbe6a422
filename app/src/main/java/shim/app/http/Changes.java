package shim.app.http;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.stereotype.Component;

/**
 * Which state of the records an answer is made of: another one after each change, and after each
 * minute, for some answers hang by the clock.
 */
@Component
class Changes {
  private final String start = UUID.randomUUID().toString().substring(0, 8);
  private final AtomicLong count = new AtomicLong();
  private final Clock clock;

  Changes(Clock clock) {
    this.clock = clock;
  }

  /** Something may have been changed, and is written. */
  void oneMore() {
    count.incrementAndGet();
  }

  String state() {
    long minute = clock.instant().truncatedTo(ChronoUnit.MINUTES).getEpochSecond() / 60;
    return start + "-" + count.get() + "-" + minute;
  }
}
