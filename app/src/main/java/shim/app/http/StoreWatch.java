package shim.app.http;

import com.zaxxer.hikari.HikariDataSource;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Locale;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Brings the database back by itself after the disk has failed under it. A store that could not
 * write closes itself and refuses everything; as soon as there is room again it is let go and
 * opened anew from what lies on the disk. Health asks the store for something true.
 */
@Component
class StoreWatch implements HealthIndicator {
  private static final Logger LOG = LoggerFactory.getLogger(StoreWatch.class);
  private static final long ROOM_TO_OPEN_BYTES = 4_000_000;
  private final DataSource source;
  private final DiskWatch disk;
  private volatile boolean failed;

  StoreWatch(DataSource source, DiskWatch disk) {
    this.source = source;
    this.disk = disk;
  }

  /** Looks at an error; one of the disk's, or of a closed store, makes the store be opened anew. */
  void look(Throwable e) {
    if (DiskWatch.ranOut(e) || closed(e)) {
      failed = true;
    }
  }

  private static boolean closed(Throwable e) {
    for (Throwable t = e; t != null; t = t.getCause()) {
      if (t instanceof SQLException s && s.getErrorCode() == DATABASE_CLOSED
          || String.valueOf(t.getMessage()).toLowerCase(Locale.ROOT).contains("store is closed")) {
        return true;
      }
    }
    return false;
  }

  /** H2's code for a database that has closed itself. */
  private static final int DATABASE_CLOSED = 90098;

  boolean failed() {
    return failed;
  }

  @Scheduled(fixedDelay = 1000)
  void revive() {
    if (!failed || disk.full() || disk.freeBytes() < ROOM_TO_OPEN_BYTES) {
      return;
    }
    LOG.warn("the store has failed; it is opened anew");
    try (Connection c = source.getConnection();
        Statement s = c.createStatement()) {
      // Writes nothing: what lies on the disk is what was acknowledged.
      s.execute("shutdown immediately");
    } catch (SQLException e) {
      LOG.info("letting the failed store go", e);
    }
    if (source instanceof HikariDataSource pool && pool.getHikariPoolMXBean() != null) {
      pool.getHikariPoolMXBean().softEvictConnections();
    }
    failed = !answers();
    LOG.warn("the store {}", failed ? "is not back yet" : "is back");
  }

  private boolean answers() {
    try (Connection c = source.getConnection();
        Statement s = c.createStatement()) {
      return s.executeQuery("select count(*) from engine").next();
    } catch (SQLException e) {
      look(e);
      return false;
    }
  }

  @Override
  public Health health() {
    return answers()
        ? Health.up().build()
        : Health.down().withDetail("store", "the database does not answer").build();
  }
}
