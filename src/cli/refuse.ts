/** Prints one line on stderr and ends with 2: input that can't be used. */
export function refuse(line: string): never {
  process.stderr.write(`${line}\n`);
  process.exit(2);
}
