/** An element, and the how-manieth child of it led to where the focus was. */
interface Around {
  readonly element: Element;
  readonly index: number;
}

/** Where the focus stood: the element, and what it stood in, the innermost first. */
export interface FocusStand {
  readonly element: Element;
  readonly around: readonly Around[];
}

export function standOf(element: Element): FocusStand {
  const around: Around[] = [];
  for (let child = element; child.parentElement; child = child.parentElement)
    around.push({
      element: child.parentElement,
      index: [...child.parentElement.children].indexOf(child),
    });
  return { element, around };
}

/** Whether what had the focus can have it no longer: it was taken away, hidden or shut off. */
export function isGone({ element }: FocusStand): boolean {
  return !element.isConnected || !isShown(element) || element.matches(':disabled');
}

/**
 * Where one goes on when what had the focus is gone: what took its place or came after it, else what it stood in. Never a thing
 * that does something: a second press of the same key must not fall on the next row's button.
 *
 * @returns undefined where nothing of the page is left that it stood in
 */
export function placeAfter({ element, around }: FocusStand): HTMLElement | undefined {
  const wasInside = element.isConnected;
  const left = around.find(each => each.element.isConnected && isShown(each.element));
  if (!left || !(left.element instanceof HTMLElement) || left.element === document.body) return;
  if (wasInside) return left.element;
  const { children } = left.element;
  const next = children[left.index] ?? children[left.index - 1];
  return next instanceof HTMLElement && isShown(next) && !DOES.test(next.tagName)
    ? next
    : left.element;
}

/** What does something when it is pressed, or takes what is typed. */
const DOES = /^(?:A|BUTTON|INPUT|SELECT|TEXTAREA|LABEL|SUMMARY)$/;

/** A browser without a screen, where tests run, can't tell: there all is shown. */
function isShown(element: Element): boolean {
  return element.checkVisibility?.() ?? true;
}
