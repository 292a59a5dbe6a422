/**
 * The application: HTTP API, storage, demo. A direct sub-package is a feature; arrows run web → api
 * → feature service → core.
 */
@org.jspecify.annotations.NullMarked
package shim.app;
