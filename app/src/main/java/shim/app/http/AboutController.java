package shim.app.http;

import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What kind of Shim this is, and how the machine it runs on is. */
@RestController
class AboutController {
  private final ShimSettings settings;
  private final DiskWatch disk;
  private final StoreWatch store;

  AboutController(ShimSettings settings, DiskWatch disk, StoreWatch store) {
    this.settings = settings;
    this.disk = disk;
    this.store = store;
  }

  /**
   * @param demo sample data, made anew at each start
   */
  record About(boolean demo) {}

  /**
   * What every page says while it is so.
   *
   * @param diskFull nothing is written until there is room again
   * @param storeFailed the database is closed, and opened anew as soon as it can be
   * @param freeBytes room left on the data folder's disk
   */
  record Condition(boolean diskFull, boolean storeFailed, long freeBytes) {}

  /** Tells which Shim this is and whether its data are invented. */
  @GetMapping("/api/about")
  About about() {
    return new About(settings.demo());
  }

  /**
   * Tells how the machine is that Shim runs on: room on its disk, and whether it can be written.
   */
  @GetMapping("/api/condition")
  Condition condition() {
    return new Condition(disk.full(), store.failed(), disk.freeBytes());
  }
}
