expect.extend({
  /** Agrees when the relative difference stays below half a unit of the last of so many significant digits. */
  toAgree(received: unknown, expected: number, digits: number) {
    const isNumber = typeof received === 'number';
    const allowed = Math.abs(expected) * 0.5 * 10 ** (1 - digits);
    const pass = isNumber && Math.abs(received - expected) <= allowed;
    return {
      pass,
      message: () =>
        `expected ${String(received)} to agree with ${expected} to ${digits} significant digits`,
    };
  },
});

declare global {
  namespace jest {
    interface Matchers<R> {
      toAgree(expected: number, digits: number): R;
    }
  }
}

export {};
