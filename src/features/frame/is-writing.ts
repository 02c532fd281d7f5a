/** Whether a key belongs to a field or a dialog, and is no short way to anywhere. */
export function isWriting(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable ||
      ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName) ||
      target.closest('[role="dialog"]') !== null)
  );
}
