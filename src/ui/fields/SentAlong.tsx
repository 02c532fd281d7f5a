/** What a form sends along unseen. */
export function SentAlong({ name, value }: { readonly name: string; readonly value: string }) {
  return <input type="hidden" name={name} value={value} />;
}
