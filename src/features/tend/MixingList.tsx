'use client';

import { styled } from 'styled-components';
import { strengthWords } from '@/core/materials/amount-words';
import { ORDER_OF_MIXING } from '@/core/materials/safety/cautions';
import type { ToMix } from '@/core/schedule/supplies/mixing-list';
import { useAmountWords } from '@/features/frame/use-garden-units';
import { Cautions } from '@/features/shelf/Cautions';

interface MixingListProps {
  readonly mixing: readonly ToMix[];
  readonly forbidden: readonly { readonly a: string; readonly b: string; readonly why: string }[];
}

/** What to make today, each once for all that need it, and what must not meet in a can. */
export function MixingList({ mixing, forbidden }: MixingListProps) {
  const inUnits = useAmountWords();
  if (mixing.length === 0) return null;
  return (
    <Mixing aria-label="To mix today">
      <h2>To mix</h2>
      <ul>
        {mixing.map((mix, i) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a product may be mixed at two strengths
          <li key={`${mix.product.id} ${i}`}>
            <b>
              {mix.waterMl === null ? inUnits(mix.amount, mix.of) : inUnits(mix.waterMl, 'volume')}
            </b>
            <span>
              {mix.waterMl === null
                ? `${mix.product.name}, weighed out dry`
                : `${mix.product.name}, ${strengthWords(mix.strength)}: ${inUnits(mix.amount, mix.of)} in it, a tenth to spare`}
              <small>
                {mix.each
                  .map(
                    part =>
                      `${part.forWhom}: ${part.units} × ${part.waterMl === null ? inUnits(part.amount / part.units, mix.of) : inUnits(part.waterMl / part.units, 'volume')}`,
                  )
                  .join(' · ')}
              </small>
            </span>
          </li>
        ))}
      </ul>
      {forbidden.map(pair => (
        <p key={`${pair.a} ${pair.b}`} role="alert">
          <b>
            Never {pair.a} and {pair.b} in one can:
          </b>{' '}
          {pair.why}.
        </p>
      ))}
      <p>Into the can in this order: {ORDER_OF_MIXING.join(', then ')}.</p>
      <Cautions hazards={mixing.flatMap(mix => mix.product.hazards)} />
    </Mixing>
  );
}

const Mixing = styled.section`
  display: grid; gap: 10px;
  & > ul { list-style: none; margin: 0; padding: 0; display: grid; gap: 10px; }
  & > ul > li { display: grid; grid-template-columns: 110px minmax(0, 1fr); gap: 12px; align-items: baseline; }
  & > ul > li > b { font-family: var(--font-heading), sans-serif; font-size: 1.5rem; font-weight: 650; }
  & small { display: block; color: var(--ink-soft); font-size: 0.9375rem; }
  & [role='alert'] b { color: var(--beet); }
`;
