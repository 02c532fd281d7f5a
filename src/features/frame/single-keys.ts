const KEY = 'turnspit-single-keys';
const OFF = 'off';

/** Whether single letters and figures lead somewhere in this browser: who speaks to it, or has an unsteady hand, may shut them off. */
export function areSingleKeysOn(): boolean {
  try {
    return window.localStorage.getItem(KEY) !== OFF;
  } catch {
    return true; // storage shut off by the browser
  }
}

/** Remembers it in this browser. */
export function keepSingleKeys(areOn: boolean): void {
  try {
    if (areOn) window.localStorage.removeItem(KEY);
    else window.localStorage.setItem(KEY, OFF);
  } catch {
    // A browser without storage keeps them on.
  }
}
