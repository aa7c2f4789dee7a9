/**
 * True for a key that belongs to an input method, with which Japanese, Chinese and others are written: Enter takes the word that it offers,
 * arrows choose another, Escape drops it. Some browsers say so by the code alone.
 */
const isOfInputMethod = (e: KeyboardEvent): boolean => e.isComposing || e.keyCode === 229;

/** Keys of an input method reach nothing else of the program: no line is logged by the Enter that ends a word. Gives what ends it. */
export function leaveToInputMethod(): () => void {
  const leave = (e: KeyboardEvent) => {
    if (isOfInputMethod(e)) e.stopImmediatePropagation();
  };
  window.addEventListener('keydown', leave, true);
  return () => window.removeEventListener('keydown', leave, true);
}
