/** Now, as an instant in UTC. */
export function instantNow(): string {
  return new Date().toISOString();
}

/** Today in the garden: this machine's own calendar. */
export function today(): string {
  const now = new Date();
  const two = (part: number): string => String(part).padStart(2, '0');
  return `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
}
