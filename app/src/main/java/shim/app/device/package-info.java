/** Testers on a line: one protocol over a serial port and over TCP, see docs/tester-protocol.md. */
@org.jspecify.annotations.NullMarked
package shim.app.device;
