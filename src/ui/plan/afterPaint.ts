/** A page that lies behind another is not painted, and what waits for that must be done all the same. */
const UNPAINTED_MS = 100;

/** Runs something once what is on its way to the screen has been painted; returns what takes it back. */
export function afterPaint(run: () => void): () => void {
  let timer = setTimeout(() => {
    cancelAnimationFrame(frame);
    run();
  }, UNPAINTED_MS);
  const frame = requestAnimationFrame(() => {
    clearTimeout(timer);
    timer = setTimeout(run);
  });
  return () => {
    cancelAnimationFrame(frame);
    clearTimeout(timer);
  };
}
