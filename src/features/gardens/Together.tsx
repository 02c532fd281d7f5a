'use client';

import { useRouter } from 'next/navigation';
import { useTransition } from 'react';
import { styled } from 'styled-components';
import { sentenceCase } from '@/core/words/sentence-case';
import { Fold } from '@/ui/Fold';
import { Tick } from '@/ui/fields/Tick';
import { Mind, Soft } from '@/ui/Page';
import { TableHead } from '@/ui/TableHead';
import { WideTable } from '@/ui/WideTable';
import { ForestChart } from './ForestChart';
import type { ForestView, SourceRow, TogetherView } from './together-view';

/** All gardens and the seasons that are ticked as one answer. */
export function Together({ view }: { readonly view: TogetherView }) {
  const { headline, look, forests, sources, differs, evidence } = view;
  return (
    <Parts>
      <section aria-label="All gardens together">
        <h2>{headline}</h2>
        {look !== '' && <Mind>{look}</Mind>}
        <Soft>{evidence.join(' ')}</Soft>
        {forests.map(forest => (
          <Forest key={forest.title} forest={forest} />
        ))}
        <HowItIsDone />
      </section>
      <section aria-label="What is taken together">
        <h2>What is taken together</h2>
        <Soft>
          Every garden counts from the start, whatever it found. Take one out only to see what it
          changes. Other seasons of this garden come in by a tick; a garden’s seasons count as one
          garden.
        </Soft>
        <Sources rows={sources} />
        {differs.length > 0 && (
          <>
            <h3>Not quite by the plan</h3>
            <ul>
              {differs.map(each => (
                <li key={each}>{each}</li>
              ))}
            </ul>
          </>
        )}
      </section>
    </Parts>
  );
}

function Forest({ forest }: { readonly forest: ForestView }) {
  const { title, sentences, rows, byTrait, without } = forest;
  return (
    <Comparison>
      <h3>{sentenceCase(title)}</h3>
      {sentences.map(each => (
        <p key={each}>{each}</p>
      ))}
      {rows.length > 1 && <ForestChart forest={forest} />}
      {byTrait.map(each => (
        <p key={each}>{each}</p>
      ))}
      {without.length > 0 && (
        <Soft>Can’t be taken in here: {without.join(', ')} (nothing to compare, or no share).</Soft>
      )}
      <Fold title="Every figure" tone="soft">
        <WideTable label={`${sentenceCase(title)}, every garden`}>
          <TableHead of={['garden', 'gap', 'range', 'counts for', 'about it']} />
          <tbody>
            {rows.map(row => (
              <tr key={row.key}>
                <th scope="row">{row.name}</th>
                <td>{row.kind === 'next' ? '' : row.gap}</td>
                <td>
                  {row.interval ? rangeOf(row.interval, forest.unit) : 'no spread to tell it'}
                </td>
                <td>{row.weight === null ? '' : `${Math.round(row.weight)}%`}</td>
                <td data-long>{row.note}</td>
              </tr>
            ))}
          </tbody>
        </WideTable>
      </Fold>
    </Comparison>
  );
}

function rangeOf([low, high]: readonly [number, number], unit: string): string {
  const shown = (value: number): string =>
    `${value < 0 ? '−' : '+'}${Number(Math.abs(value).toPrecision(3))}${unit === '%' ? '%' : ''}`;
  return `${shown(low)} to ${shown(high)}${unit === '%' || unit === '' ? '' : ` ${unit}`}`;
}

function Sources({ rows }: { readonly rows: readonly SourceRow[] }) {
  const router = useRouter();
  const [isUnderWay, start] = useTransition();
  const tick = (id: string, isIn: boolean): void => {
    const address = new URLSearchParams(window.location.search);
    const [here, there] = isIn ? ['in', 'out'] : ['out', 'in'];
    address.append(here, id);
    const kept = address.getAll(there).filter(each => each !== id);
    address.delete(there);
    for (const each of kept) address.append(there, each);
    start(() => router.replace(`?${address}`, { scroll: false }));
  };
  return (
    <List aria-busy={isUnderWay}>
      {rows.map(({ id, name, note, isIn, isOwn }) => (
        <li key={id}>
          <Tick isOn={isIn} isDisabled={isOwn} onChange={isOn => tick(id, isOn)}>
            {name}
          </Tick>
          <small>{isOwn ? `this trial, ${note}` : note}</small>
        </li>
      ))}
    </List>
  );
}

function HowItIsDone() {
  return (
    <Fold title="How gardens are taken together" tone="soft">
      <Soft>
        Gardens are a sample of gardens: what a treatment does may differ from one to the next, and
        the range of the mean allows for it (random effects by REML, interval of Hartung and Knapp,
        all comparisons covered together). Each garden counts by its number of pots and one common
        spread, so that a garden does not count more for being lucky. The bar of a garden like these
        also allows for not knowing how far gardens differ (Nagashima, Noma and Furukawa). Small
        squares are gardens, the larger the more they count; the grey dots behind are pots.
      </Soft>
    </Fold>
  );
}

const Parts = styled.div`
  display: grid; grid-template-columns: minmax(0, 2fr) minmax(260px, 1fr); gap: 40px; align-items: start;
  & > section { display: grid; gap: 16px; grid-template-columns: minmax(0, 1fr); }
  & h2 { text-wrap: balance; }
  & > section > ul:not([aria-busy]) { padding-left: 1.1em; margin: 0; display: grid; gap: 4px; }
  @media (max-width: 900px) { grid-template-columns: minmax(0, 1fr); gap: 24px; }
`;

const Comparison = styled.div`
  display: grid; gap: 8px; grid-template-columns: minmax(0, 1fr); border-top: 1px solid var(--rule); padding-top: 12px;
  & > p { max-width: var(--measure); }
`;

const List = styled.ul`
  list-style: none; padding: 0; margin: 0; display: grid; gap: 8px;
  &[aria-busy='true'] { opacity: 0.6; }
  & small { display: block; color: var(--ink-soft); font-size: 0.875rem; }
`;
