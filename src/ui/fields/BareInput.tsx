import type { ComponentProps } from 'react';

/** A line to write on that looks as what it stands in says: a cell of a grid, a code. It needs a label to be read out. */
export function BareInput(props: ComponentProps<'input'> & { readonly 'aria-label': string }) {
  return <input autoComplete="off" {...props} />;
}
