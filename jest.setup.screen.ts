import '@testing-library/jest-dom';
import { configure } from '@testing-library/react';

// A shared machine has slow seconds; what should never come still fails.
configure({ asyncUtilTimeout: 15_000 });

// The garden of the tests is a British one, as most of theirs are.
Object.defineProperty(navigator, 'language', { value: 'en-GB', configurable: true });

// jsdom has no look of a page: it is light, and stays so.
window.matchMedia = query =>
  Object.assign(new EventTarget(), {
    matches: false,
    media: query,
    onchange: null,
    addListener: () => undefined,
    removeListener: () => undefined,
  });
