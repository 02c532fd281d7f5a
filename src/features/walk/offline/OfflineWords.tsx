import { Mind, Soft } from '@/ui/Page';
import type { KeptWalk } from './use-kept-walk';

/** What this browser can do without a connection, and what to do where it can't. */
export function OfflineWords({ kept }: { readonly kept: KeptWalk }) {
  switch (kept) {
    case null:
      return null;
    case 'kept':
      return <Soft>This walk opens without a connection, too.</Soft>;
    case 'not-kept':
      return (
        <Mind>
          This browser could not keep the walk: without a connection it will not open again. What
          you put down is kept all the same, and sent when there is one. Keep this page open.
        </Mind>
      );
    case 'never':
      return (
        <Mind>
          Over this address a browser keeps no page, and uses no scale. What you put down is kept
          until it is sent, but without a connection this page does not open again: leave it open.
          To walk without one, start Turnspit by “npm run share” and open its https address.
        </Mind>
      );
  }
}
