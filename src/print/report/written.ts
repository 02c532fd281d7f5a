/** Nothing that a gardener wrote may be taken for markup. */
export function written(text: string): string {
  return text.replace(/[&<>"']/g, sign => `&#${sign.charCodeAt(0)};`);
}
