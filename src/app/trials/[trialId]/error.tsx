'use client';

import { Button } from '@/ui/Button';
import { Link } from '@/ui/Link';
import { Acts, Page } from '@/ui/Page';

/** One trial's page broke: the others, and what leads to them, stand. */
export default function TrialErrorPage({
  reset,
}: {
  readonly error: Error;
  readonly reset: () => void;
}) {
  return (
    <Page>
      <h1>This page broke</h1>
      <p>
        What you saved is safe in the data file, and the other trials work. Try again. If it breaks
        again, something of this trial in the file may be damaged: a backup from before stands under{' '}
        <Link href="/garden">Garden</Link>, and the lines that the server prints say where.
      </p>
      <Acts>
        <Button data-tone="main" onPress={reset}>
          Try again
        </Button>
      </Acts>
    </Page>
  );
}
