const KEY = 'turnspit-writer';
const MOST = 80;

const listeners = new Set<() => void>();

/** Who writes things down in this browser; empty where no name is wanted, null while nobody was asked. */
export function storedName(): string | null {
  try {
    // Looked through by hand: the walk, which asks this too, has no room for a library of schemas.
    const name = window.localStorage.getItem(KEY)?.trim();
    return name !== undefined && name.length <= MOST ? name : null;
  } catch {
    return null; // storage shut off by the browser
  }
}

/** What goes along with an entry that is made just now. */
export function writerName(): string {
  return storedName() ?? '';
}

/** Remembers a name for all that is written down here from now on. */
export function keepName(name: string): void {
  try {
    window.localStorage.setItem(KEY, name.trim().slice(0, MOST));
  } catch {
    // A browser without storage asks again: its entries go without a name.
  }
  for (const listener of listeners) listener();
}

/** Tells of a new name, here or in another window. */
export function onNewName(listener: () => void): () => void {
  listeners.add(listener);
  window.addEventListener('storage', listener);
  return () => {
    listeners.delete(listener);
    window.removeEventListener('storage', listener);
  };
}
