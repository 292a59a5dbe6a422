package shim.bench.judgement;

import java.util.List;

/**
 * Seasons of one law, made up and read in one way.
 *
 * @param name in few words
 * @param words what is special about it
 */
record Population(String name, String words, Law law, Conditions conditions) {
  /** What the model may be tried on while it is being made. */
  static List<Population> open() {
    Conditions usual = Conditions.USUAL;
    return List.of(
        of("Powers", new Law.Powers(), "", usual),
        of("Bedding", new Law.Bedding(), "", usual),
        of("Hot events", new Law.HotEvents(), "", usual),
        of("Over-revs", new Law.OverRevs(), "", usual),
        of("Powers", new Law.Powers(), ", no check spring", usual.unchecked()),
        of("Bedding", new Law.Bedding(), ", no check spring", usual.unchecked()),
        of("Hot events", new Law.HotEvents(), ", no check spring", usual.unchecked()),
        of("Over-revs", new Law.OverRevs(), ", no check spring", usual.unchecked()),
        of("Fading", new Law.Fading(), ", as read", usual.asRead()),
        of("Powers", new Law.Powers(), ", as read", usual.asRead()),
        of("Bedding", new Law.Bedding(), ", as read, sets of 8", usual.asRead().of(8)),
        of("Over-revs", new Law.OverRevs(), ", half the set new", usual.halfRenewed()),
        of("Fading", new Law.Fading(), ", one repeat", usual.repeats(1)),
        of("Powers", new Law.Powers(), ", tester jumps 5 %", usual.jumping(0.05)),
        of("Hot events", new Law.HotEvents(), ", progressive springs", usual.progressive()));
  }

  /** Kept aside until the model stands, and reported once. */
  static Population keptAside() {
    return new Population(
        "Kept aside",
        "Kept aside: partial breaks that go on, skewed noise, jumping tester, sets of 12, half new",
        new LawAside(),
        Conditions.USUAL.of(12).halfRenewed().asRead().jumping(0.03));
  }

  private static Population of(String name, Law law, String how, Conditions conditions) {
    return new Population(name + how, name + how + ": " + law.words(), law, conditions);
  }
}
