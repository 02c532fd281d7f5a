/** What the driver calls its error, such as SQLITE_CONSTRAINT_UNIQUE. By the code alone: it makes its errors with whichever Error it met first, which need not be this one. */
export function driverCode(error: unknown): string {
  return typeof error === 'object' && error !== null && 'code' in error ? String(error.code) : '';
}
