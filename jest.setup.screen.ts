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

// A browser lays such HTML out otherwise than it is written, and a page that was sent so is drawn anew.
const MISPLACED = /cannot (be a descendant of|contain a nested|be a child of)/;
const misplaced: string[] = [];
const report = console.error;
console.error = (...said: readonly unknown[]): void => {
  if (MISPLACED.test(String(said[0]))) misplaced.push(said.map(String).join(' '));
  report(...said);
};
afterEach(() => expect(misplaced.splice(0)).toEqual([]));
