/** A panel's box takes the keys, unless another box is being written in: an answer may come late. */
export function takeKeys(box: HTMLInputElement | null) {
  const written = "textarea, input:not([type=checkbox], [type=radio])";
  if (!document.activeElement?.matches(written)) box?.focus();
}
