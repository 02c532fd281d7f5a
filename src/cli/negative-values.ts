/** Options whose value is below zero in one word, as the parser wants it: `--lat -35` becomes `--lat=-35`. */
export function withNegativeValues(args: readonly string[]): readonly string[] {
  const joined: string[] = [];
  for (const arg of args) {
    const before = joined.at(-1);
    if (before !== undefined && OPTION.test(before) && NEGATIVE.test(arg))
      joined.splice(-1, 1, `${before}=${arg}`);
    else joined.push(arg);
  }
  return joined;
}

const OPTION = /^--[a-z][a-z0-9-]*$/;
const NEGATIVE = /^-(\d|\.\d)/;
