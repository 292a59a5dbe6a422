package shim.app.walk;

/** What kind of walk a job is. */
public enum JobKind {
  SPRINGS,
  ASSEMBLY,
  HEADS_ON
}
