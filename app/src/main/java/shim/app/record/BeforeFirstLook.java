package shim.app.record;

/** Shim has just started and nobody has asked for anything yet: what takes long may begin now. */
public record BeforeFirstLook() {}
