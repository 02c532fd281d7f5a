'use client';

import { useSearchParams } from 'next/navigation';
import { useState } from 'react';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { Cautions } from '@/features/shelf/Cautions';
import { TextField } from '@/ui/fields/TextField';
import { Link } from '@/ui/Link';
import { Page, Soft } from '@/ui/Page';
import { WaysList } from '@/ui/WaysList';
import { SHED_SUMS, type ShedSum } from './shed-sums';

/** The arithmetic of the shed, for any product: one sum at a time, behind a finder. */
export function Sums({ system }: { readonly system: MeasureSystem }) {
  const asked = useSearchParams()?.get('sum');
  const sum = SHED_SUMS.find(each => each.key === asked);
  if (!sum) return <SumFinder />;
  const { Part, hazards } = sum;
  return (
    <Page style={{ maxWidth: 760 }}>
      <p>
        <Link href="/shelf/sums">All the sums</Link>
      </p>
      <h1>{sum.says.replace(/\.$/, '')}</h1>
      <Part system={system} />
      {hazards.length > 0 && <Cautions hazards={hazards} />}
    </Page>
  );
}

function SumFinder() {
  const [wanted, setWanted] = useState('');
  const found = SHED_SUMS.filter(sum => isWanted(sum, wanted));
  return (
    <Page>
      <h1>What do you want to work out?</h1>
      <div style={{ maxWidth: 420 }}>
        <TextField
          label="Find a sum"
          name="find"
          value={wanted}
          onChange={setWanted}
          placeholder="compost, layers, spray, seed"
        />
      </div>
      <WaysList>
        {found.map(sum => (
          <li key={sum.key}>
            <Link href={`/shelf/sums?sum=${sum.key}`}>
              <b>{sum.title}</b>
              <span>{sum.says}</span>
            </Link>
          </li>
        ))}
      </WaysList>
      <div role="status">
        {found.length === 0 && <Soft>No sum has to do with “{wanted.trim()}”.</Soft>}
      </div>
    </Page>
  );
}

/** Every word that is typed begins a word of the sum. */
function isWanted({ title, says, words }: ShedSum, wanted: string): boolean {
  const told = `${title} ${says} ${words}`.toLowerCase().split(/[^a-z0-9]+/);
  return wanted
    .toLowerCase()
    .split(/\s+/)
    .every(word => told.some(each => each.startsWith(word)));
}
