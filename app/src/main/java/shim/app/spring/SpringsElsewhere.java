package shim.app.spring;

import java.util.Set;
import java.util.UUID;

/** Springs that are neither in an engine nor in stock: on a head that lies on the rack. */
public interface SpringsElsewhere {
  Set<UUID> elsewhere();
}
