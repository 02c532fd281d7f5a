'use client';

import { Button } from '@/ui/Button';
import { Acts, Page } from '@/ui/Page';

export default function ErrorPage({
  reset,
}: {
  readonly error: Error;
  readonly reset: () => void;
}) {
  return (
    <Page>
      <h1>This page broke</h1>
      <p>
        What you saved is safe in the data file. Try again; if it breaks again, the lines that the
        server prints say where.
      </p>
      <Acts>
        <Button data-tone="main" onPress={reset}>
          Try again
        </Button>
      </Acts>
    </Page>
  );
}
