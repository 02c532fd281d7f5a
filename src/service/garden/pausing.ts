/** As long as one may work before the others have their turn, and how many turns of theirs: a page takes several. */
const WORK_MS = 15;
const TURNS = 6;

/** A pause to be waited for again and again in long work: nothing while one has hardly begun, then turns for all else. */
export function pausing(): () => Promise<void> {
  let since = performance.now();
  return async () => {
    if (performance.now() - since < WORK_MS) return;
    for (let turn = 0; turn < TURNS; turn++)
      await new Promise<void>(resolve => setImmediate(resolve));
    since = performance.now();
  };
}
