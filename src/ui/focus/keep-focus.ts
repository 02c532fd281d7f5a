import { type FocusStand, isGone, placeAfter, standOf } from './focus-stand';

/** Whoever knows better where to go on, a heading, a dialog or a first wrong field, has taken the focus after two frames. */
const FRAMES = 4;

/**
 * When what had the focus is taken away, a row, a button that did its work, the focus falls to the page's very top, and whoever goes
 * by keys or ears is lost. It goes on where it stood instead.
 *
 * @returns ends it
 */
export function keepFocus(page: Document): () => void {
  let last: FocusStand | undefined;
  let lastInPage: FocusStand | undefined;
  let isWaiting = false;
  const remember = ({ target }: FocusEvent): void => {
    if (!(target instanceof Element)) return;
    last = standOf(target);
    if (target.closest('main')) lastInPage = last;
  };
  // Who presses beside everything has let go of it.
  const letGo = (): void =>
    afterFrames(1, () => {
      if (page.activeElement === page.body && last && !isGone(last)) last = undefined;
    });
  const goOn = (): void => {
    isWaiting = false;
    if (page.activeElement !== page.body || !last || !isGone(last)) return;
    // Where another page has come, it goes on at that page, not before the rail.
    take(placeAfter(last) ?? (lastInPage && placeAfter(lastInPage)) ?? page.querySelector('main'));
  };
  const look = (): void => {
    if (isWaiting || page.activeElement !== page.body || !last) return;
    isWaiting = true;
    afterFrames(FRAMES, goOn);
  };
  const changes = new MutationObserver(look);
  changes.observe(page.body, {
    childList: true,
    subtree: true,
    attributeFilter: ['disabled', 'hidden'],
  });
  page.addEventListener('focusin', remember);
  page.addEventListener('pointerdown', letGo);
  return () => {
    changes.disconnect();
    page.removeEventListener('focusin', remember);
    page.removeEventListener('pointerdown', letGo);
  };
}

/** It stands where the eye was: nothing is moved for it. */
function take(place: HTMLElement | null): void {
  if (!place) return;
  if (!place.hasAttribute('tabindex')) {
    place.tabIndex = -1;
    place.addEventListener('blur', () => place.removeAttribute('tabindex'), { once: true });
  }
  place.focus({ preventScroll: true });
}

function afterFrames(count: number, then: () => void): void {
  requestAnimationFrame(() => (count > 1 ? afterFrames(count - 1, then) : then()));
}
