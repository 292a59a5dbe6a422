/**
 * Everything in one file, and back: made while work goes on, on a schedule, checked before anything
 * is replaced, and what was there is kept aside.
 */
@org.jspecify.annotations.NullMarked
package shim.app.backup;
