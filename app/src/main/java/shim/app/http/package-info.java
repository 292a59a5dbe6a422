/** Errors in plain words, the pass key of tablets, and the pages of the front end. */
@org.jspecify.annotations.NullMarked
package shim.app.http;
