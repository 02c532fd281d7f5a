import type { ComponentProps } from 'react';

/**
 * A button that looks as what it stands in says: a key, a pot, a picture. The browser's own, since the walk has many of them and
 * little script.
 */
export function BareButton(props: Omit<ComponentProps<'button'>, 'type'>) {
  return <button {...props} type="button" />;
}
