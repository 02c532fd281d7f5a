'use client';

import { useState } from 'react';
import { TextLine } from '@/ui/fields/TextLine';
import { Tick } from '@/ui/fields/Tick';
import { useForm } from '@/ui/fields/use-form';
import { Acts, Soft } from '@/ui/Page';
import { Box } from './gardens-look';

interface SendBackProps {
  readonly trialId: string;
  /** Who made the plan, as far as it says so. */
  readonly from: string;
  readonly gardenName: string;
  readonly isClosed: boolean;
}

/** What this garden found, as one file for the garden that made the plan. */
export function SendBack({ trialId, from, gardenName, isClosed }: SendBackProps) {
  const { form, field } = useForm({ name: gardenName, place: '', soil: '', person: '' });
  const [hasNames, setNames] = useState(false);
  const asked = new URLSearchParams({ what: 'results', ...form, named: hasNames ? 'yes' : 'no' });
  return (
    <Box aria-label="Send the results back">
      <h2>Send the results back</h2>
      <Soft>
        This trial runs by a plan{from === '' ? '' : ` from ${from}`}. Its results go back as one
        file: every entry, with treatments. Names of people stay here unless you tick them.
      </Soft>
      <div data-fields>
        <TextLine label="What the others call this garden" {...field('name')} />
        <TextLine label="Where it lies (may stay empty)" {...field('place')} />
        <TextLine label="Its soil" {...field('soil')} placeholder="clay, sand, loam" />
      </div>
      <Tick isOn={hasNames} onChange={setNames}>
        With the names of people
      </Tick>
      {hasNames && <TextLine label="Who looks after it" {...field('person')} />}
      {isClosed ? (
        <Acts>
          <a data-button href={`/api/gardens/${trialId}?${asked}`}>
            Save the results
          </a>
        </Acts>
      ) : (
        <p>They can be saved once the trial is closed: until then they may still change.</p>
      )}
    </Box>
  );
}
