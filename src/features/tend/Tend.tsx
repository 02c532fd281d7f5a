'use client';

import Link from 'next/link';
import { Bench } from '@/features/bench/Bench';
import type { BenchView } from '@/features/bench/bench-view';
import { Soft, TwoParts } from '@/ui/Page';

interface TendProps {
  readonly bench: BenchView | null;
  readonly trialId: string;
  readonly unitWord: string;
}

/** The place of doses, feeds and the calendar, which Turnspit doesn't keep yet: it says so, and what holds meanwhile. */
export function Tend({ bench, trialId, unitWord }: TendProps) {
  return (
    <TwoParts>
      <div>{bench ? <Bench view={bench} label="The bench from above" lens={unit => ({ state: 'done', share: null, words: unit.tag?.name ?? unit.where })} /> : <Soft>Nothing stands on the bench yet. <Link href={`/trials/${trialId}/lay-out`}>Lay the trial out.</Link></Soft>}</div>
      <div>
        <h2>Turnspit keeps no calendar yet</h2>
        <p>Doses, feeds, sprays and waterings will be planned and ticked off here. Until then keep them in a notebook, day by day, with what each {unitWord} got.</p>
        <h3>What keeps it fair meanwhile</h3>
        <ul>
          <li>Everything but the treatment is the same for every {unitWord}: water, light, day of planting.</li>
          <li>Treat all on the same day. Where that can’t be, finish one block before the next.</li>
          <li>Whoever feeds reads the key; whoever weighs doesn’t.</li>
          <li>Feeds and sprays: as the label says, never stronger, and mind its waiting time before harvest.</li>
        </ul>
        <Soft><Link href={`/trials/${trialId}/weigh`}>Picks and weights are taken at Weigh.</Link></Soft>
      </div>
    </TwoParts>
  );
}
