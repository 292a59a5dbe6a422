package shim.app.record;

import org.hibernate.envers.RevisionListener;

/** Signs each revision with what {@link Because} was told for the work at hand. */
public class RevisionWriter implements RevisionListener {
  @Override
  public void newRevision(Object revision) {
    Because.Reason reason = Because.current();
    ((Revision) revision).sign(reason.who(), reason.why());
  }
}
