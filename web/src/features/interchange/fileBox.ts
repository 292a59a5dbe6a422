/** A box for files that looks like the other buttons. */
export const FILE_BOX =
  "min-h-11 file:mr-3 file:min-h-11 file:rounded file:border file:border-hair file:bg-raised file:px-4 file:font-semibold file:text-ink";
