'use client';

import { styled } from 'styled-components';
import { strengthWords } from '@/core/materials/amount-words';
import type { Rung } from '@/core/materials/dose/strength-ladder';
import {
  NOT_A_COMPARISON,
  safeStrength,
  stepUpLadder,
} from '@/core/materials/dose/strength-ladder';
import { shortDay } from '@/core/time/days';
import type { FieldTroubles } from '@/core/trial/forms/field-troubles';
import type { Product } from '@/core/trial/model/product';
import { useFieldAction } from '@/ui/actions/use-field-action';
import { Button } from '@/ui/Button';
import { Acts, Soft } from '@/ui/Page';
import { Trouble } from '@/ui/Trouble';

interface StepUpProps {
  readonly product: Product;
  readonly today: string;
  readonly look: (
    what: 'start' | 'no-harm' | 'harm' | 'known',
  ) => Promise<FieldTroubles | undefined>;
}

/** A spray that is new here: a few leaves, a wait, a look for harm, then the next strength. */
export function StepUp({ product, today, look }: StepUpProps) {
  const { fields, isPending, send } = useFieldAction();
  const [trouble] = Object.values(fields);
  const act = (what: 'start' | 'no-harm' | 'harm' | 'known'): void => void send(() => look(what));
  const rungs = product.stepUp ? stepUpLadder(product.stepUp.startedOn, product.stepUp.looks) : [];
  const safe = rungs.length > 0 ? safeStrength(rungs) : null;
  const next = rungs.find(rung => rung.harm === null);
  return (
    <Box aria-label="Step it up">
      <h2>New here? Step it up</h2>
      {product.isKnownHere && <p>Used here before, without harm.</p>}
      {rungs.length === 0 && !product.isKnownHere && (
        <Soft>
          Until then no trial sprays with it. Try it on a few leaves of a plant outside the trial,
          weak at first. Look for harm after three days, then go up a step.
        </Soft>
      )}
      <ol>
        {rungs.map(rung => (
          <li key={rung.strength}>
            <b>{strengthWords(rung.strength)}</b> {shortDay(rung.on)}, look on{' '}
            {shortDay(rung.lookOn)}
            {rung.harm === null ? '' : rung.harm ? ': harm' : ': no harm'}
          </li>
        ))}
      </ol>
      {safe !== null && (
        <p>
          {safe === 0 ? (
            <b>Even the weakest did harm. Don’t use it here.</b>
          ) : (
            `Up to ${strengthWords(safe)} did no harm. Whether it helps is another question, for a trial.`
          )}
        </p>
      )}
      {trouble && <Trouble>{trouble}</Trouble>}
      <StepUpActs
        next={next}
        today={today}
        act={act}
        isPending={isPending}
        rungs={rungs}
        product={product}
        safe={safe}
      />
      <Soft>{NOT_A_COMPARISON}</Soft>
    </Box>
  );
}

interface StepUpActsProps {
  readonly next: Rung | undefined;
  readonly today: StepUpProps['today'];
  readonly act: (what: 'start' | 'no-harm' | 'harm' | 'known') => void;
  readonly isPending: boolean;
  readonly rungs: readonly Rung[];
  readonly product: StepUpProps['product'];
  readonly safe: number | null;
}

function StepUpActs({ next, today, act, isPending, rungs, product, safe }: StepUpActsProps) {
  return (
    <Acts>
      {next && today >= next.lookOn && (
        <>
          <Button onPress={() => act('no-harm')} isPending={isPending}>
            No harm seen
          </Button>
          <Button onPress={() => act('harm')} isPending={isPending}>
            Harm seen
          </Button>
        </>
      )}
      {rungs.length === 0 && (
        <Button onPress={() => act('known')} isPending={isPending}>
          {product.isKnownHere ? 'It is new here after all' : 'It was used here before'}
        </Button>
      )}
      {!product.isKnownHere && (rungs.length === 0 || safe !== null) && (
        <Button onPress={() => act('start')} isPending={isPending}>
          {rungs.length === 0 ? 'Begin today' : 'Begin anew'}
        </Button>
      )}
    </Acts>
  );
}

const Box = styled.section`
  display: grid; gap: 10px; border-top: 1px solid var(--rule); padding-top: 16px;
  & ol { margin: 0; padding-left: 22px; }
`;
