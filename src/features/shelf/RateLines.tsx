'use client';

import { styled } from 'styled-components';
import { type ProductDraft, rateLines } from '@/core/materials/label/product-form';
import type { RateLine } from '@/core/materials/label/rate/rate-lines';
import { rateChoices, rateSentence } from '@/core/materials/label/rate/rate-trouble';
import { rateWords } from '@/core/materials/label/rate/rate-words';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { LooseMeasure } from '@/core/trial/model/product';
import { Button } from '@/ui/Button';

interface RateLinesProps {
  readonly form: ProductDraft;
  readonly change: (changes: Partial<ProductDraft>) => void;
  readonly system: MeasureSystem;
  readonly looseMeasures: readonly LooseMeasure[];
}

/** What each line of the rates was read as, while one types; what is unclear is asked back, with what it could mean to choose from. */
export function RateLines({ form, change, system, looseMeasures }: RateLinesProps) {
  const lines = rateLines(form, system, looseMeasures);
  if (lines.length === 0) return null;
  const choose = (line: string, choice: string): void =>
    change({ rates: (form.rates ?? '').replace(line, choice) });
  return (
    <Lines aria-label="Rates as they were read">
      {[...new Map(lines.map(each => [each.line, each])).values()].map(each => (
        <li key={each.line}>
          <Reading line={each} system={system} choose={choice => choose(each.line, choice)} />
        </li>
      ))}
    </Lines>
  );
}

function Reading({
  line: { line, read },
  system,
  choose,
}: {
  readonly line: RateLine;
  readonly system: MeasureSystem;
  readonly choose: (choice: string) => void;
}) {
  if (read.ok)
    return (
      <span>
        <q>{line}</q> is read as <b>{rateWords(read.value, system)}</b>.
      </span>
    );
  const choices = rateChoices(read.trouble);
  return (
    <>
      <span data-asked>
        {rateSentence(read.trouble, { system, hasButtons: choices.length > 0 })}
      </span>
      {choices.map(choice => (
        <Button key={choice} data-tone="quiet" onPress={() => choose(choice)}>
          {choice}
        </Button>
      ))}
    </>
  );
}

const Lines = styled.ul`
  display: grid; gap: 8px; margin: -12px 0 0; padding: 0; list-style: none; color: var(--ink-soft); font-size: 0.9375rem;
  & b { color: var(--ink); font-weight: 600; }
  & li { display: flex; flex-wrap: wrap; gap: 4px 8px; align-items: center; }
  & [data-asked] { flex: 1 1 100%; color: var(--beet); font-weight: 600; }
`;
