'use client';

import { styled } from 'styled-components';
import { NO_ANSWER } from '@/ui/actions/no-answer';
import { useAction } from '@/ui/actions/use-action';
import { Button } from '@/ui/Button';
import { Fold } from '@/ui/Fold';
import { Acts, Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';
import { TrustSteps } from './TrustSteps';

interface SharedWithProps {
  readonly isKeeper: boolean;
  readonly hasAuthority: boolean;
  readonly leave: () => Promise<void>;
  readonly leaveEverywhere: () => Promise<void>;
}

/** Who is in, and the ways out. */
export function SharedWith({ isKeeper, hasAuthority, leave, leaveEverywhere }: SharedWithProps) {
  const { trouble, isPending, run } = useAction<string>(NO_ANSWER);
  const go = (out: () => Promise<void>): void =>
    run(async () => {
      await out();
      return { ok: true, value: null };
    });
  return (
    <Box aria-label="Shared in the house">
      <h2>Shared in the house</h2>
      <p>
        You are in as a{' '}
        {isKeeper ? 'keeper: you may do all' : 'helper: you may walk, weigh and tick'}.
      </p>
      {trouble !== undefined && <Trouble>{trouble}</Trouble>}
      <Acts>
        <Button isPending={isPending} onPress={() => go(leave)}>
          Sign out here
        </Button>
        {isKeeper && (
          <Button isPending={isPending} onPress={() => go(leaveEverywhere)}>
            Sign everybody out
          </Button>
        )}
      </Acts>
      <Soft>
        To set other passphrases: stop Turnspit and run “npm run share -- --new-passphrase”.
      </Soft>
      {hasAuthority && (
        <Fold title="How a phone walks without a connection">
          <TrustSteps />
        </Fold>
      )}
    </Box>
  );
}

const Box = styled.section`
  display: grid; gap: 12px; border-top: 1px solid var(--rule); padding-top: 20px; margin-top: 12px;
  & h2, & p { margin: 0; }
`;
