'use client';

import { useState } from 'react';
import { styled } from 'styled-components';
import { NO_ANSWER } from '@/ui/actions/no-answer';
import { resultOf, useAction } from '@/ui/actions/use-action';
import { Button } from '@/ui/Button';
import { SentAlong } from '@/ui/fields/SentAlong';
import { TextField } from '@/ui/fields/TextField';
import { Link } from '@/ui/Link';
import { Acts, Page, Soft } from '@/ui/Page';
import { TrustSteps } from './TrustSteps';

interface EnterProps {
  /** Where one wanted to go. */
  readonly to: string;
  readonly isIn: boolean;
  /** A try that was sent before the page's scripts were there let nobody in. */
  readonly wasNotIt: boolean;
  readonly hasAuthority: boolean;
  /** Goes on by itself where it worked. @returns what stood in the way */
  readonly enter: (passphrase: string, to: string) => Promise<string | undefined>;
}

/** Where one comes in to a garden that is shared in the house. */
export function Enter({ to, isIn, wasNotIt, hasAuthority, enter }: EnterProps) {
  const [passphrase, setPassphrase] = useState('');
  const { trouble, isPending, run } = useAction<string>(NO_ANSWER, () => true);
  return (
    <Page style={{ maxWidth: 640 }}>
      <h1>{isIn ? 'You are in' : 'Come in'}</h1>
      {isIn ? (
        <p>
          <Link href={to}>Go on to the garden</Link>
        </p>
      ) : (
        <Form
          // For who is quicker than the page's scripts: otherwise the browser would put the passphrase into the address.
          method="post"
          action="/enter/door"
          onSubmit={event => {
            event.preventDefault();
            run(async () => resultOf(await enter(passphrase, to)));
          }}
        >
          <SentAlong name="to" value={to} />
          <TextField
            label="The garden’s passphrase"
            name="passphrase"
            type="password"
            value={passphrase}
            onChange={setPassphrase}
            trouble={trouble ?? (wasNotIt ? NOT_IT : undefined)}
            hint="Whoever started Turnspit chose it. Helpers have one of their own."
          />
          <Acts>
            <Button type="submit" data-tone="main" isPending={isPending}>
              Come in
            </Button>
          </Acts>
          <Soft>This browser is remembered for 90 days.</Soft>
        </Form>
      )}
      {hasAuthority && <TrustSteps />}
    </Page>
  );
}

const NOT_IT =
  'That did not let you in. Type the passphrase again; after several wrong tries, wait a minute first.';

const Form = styled.form`
  display: grid; gap: 16px;
`;
