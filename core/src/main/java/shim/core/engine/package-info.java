/**
 * What an engine is: layout, valve drive, cam card, house rules; the sheet a technician writes and
 * its check.
 */
@org.jspecify.annotations.NullMarked
package shim.core.engine;
