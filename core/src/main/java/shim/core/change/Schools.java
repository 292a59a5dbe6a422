package shim.core.change;

/**
 * Where practice differs: the team's setting, with what each side says. Common practice, no source.
 *
 * @param freeing how locks are freed before the tool goes on
 * @param proving how locks are proved
 * @param plugs when the plugs go in
 * @param plugsOut when they come out; jobs of before it was asked took them out first
 * @param lubricant on stems and guides when a head is assembled
 */
public record Schools(
    Freeing freeing,
    Proving proving,
    Plugs plugs,
    Lubricant lubricant,
    boolean renewLocks,
    PlugsOut plugsOut) {
  public static final Schools USUAL =
      new Schools(
          Freeing.SOFT_HAMMER_EDGE,
          Proving.TAP_SIDEWAYS,
          Plugs.LAST,
          Lubricant.ASSEMBLY_LUBE,
          false,
          PlugsOut.BEFORE_BARRING);

  /** What using locks again has for it, and what renewing them. */
  public static final String LOCKS_SAY =
      "Reuse: they are run in with their retainer and stem. Renew: they are cheap and a worn one"
          + " drops a valve.";

  /** How locks are freed. */
  public enum Freeing {
    SOFT_HAMMER_EDGE(
        "Soft hammer on the retainer's edge, air on",
        "Jars the locks loose without loading the stem."),
    STEEL_ON_TOP(
        "Small steel hammer on top", "A sharp knock frees a taper best; the air holds the valve."),
    TOOL(
        "Let the tool pop them", "No hammer near the engine; a stuck taper pushes the valve down.");

    private final String title;
    private final String says;

    Freeing(String title, String says) {
      this.title = title;
      this.says = says;
    }

    public String title() {
      return title;
    }

    public String says() {
      return says;
    }
  }

  /** How locks are proved. */
  public enum Proving {
    TAP_SIDEWAYS("Tap the retainer sideways at once", "One not home jumps now, and not at speed."),
    TAP_TOP("Light taps on top", "Seats the locks in their taper; sideways can cock them."),
    BOUNCE("Bounce it with the tool", "Moves the valve as the engine does, without a hammer."),
    AT_END("All at the end", "One round with everything else done, air off, nothing forgotten.");

    private final String title;
    private final String says;

    Proving(String title, String says) {
      this.title = title;
      this.says = says;
    }

    public String title() {
      return title;
    }

    public String says() {
      return says;
    }
  }

  public Schools {
    plugsOut = plugsOut == null ? PlugsOut.BEFORE_BARRING : plugsOut;
  }

  /** When the plugs come out. */
  public enum PlugsOut {
    BEFORE_BARRING("All before barring", "The crank turns by hand, and each plug is looked at."),
    AS_REACHED(
        "Each as its cylinder is reached", "Nothing can fall into the others; barring is harder.");

    private final String title;
    private final String says;

    PlugsOut(String title, String says) {
      this.title = title;
      this.says = says;
    }

    public String title() {
      return title;
    }

    public String says() {
      return says;
    }
  }

  /** When the plugs go in. */
  public enum Plugs {
    BEFORE_ROCKERS(
        "Before the rockers", "Nothing can fall into a plug hole while the rockers go on."),
    LAST("Last", "The crank turns freely while lash or preload is set.");

    private final String title;
    private final String says;

    Plugs(String title, String says) {
      this.title = title;
      this.says = says;
    }

    public String title() {
      return title;
    }

    public String says() {
      return says;
    }
  }

  /** On stems and guides of a head that is assembled. */
  public enum Lubricant {
    OIL("Oil", "What the engine runs on; it does not gum up on the shelf."),
    ASSEMBLY_LUBE("Assembly lube", "Stays where it is put until the first oil comes."),
    GREASE(
        "Grease", "Holds the locks in their groove as well; keep it thin and out of the guides.");

    private final String title;
    private final String says;

    Lubricant(String title, String says) {
      this.title = title;
      this.says = says;
    }

    public String title() {
      return title;
    }

    public String says() {
      return says;
    }
  }
}
