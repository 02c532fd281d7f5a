'use client';

import { styled } from 'styled-components';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { Cautions } from '@/features/shelf/Cautions';
import { Page } from '@/ui/Page';
import { DripSum } from './DripSum';
import { HeapSum } from './HeapSum';
import { HeatSum } from './HeatSum';
import { LawnSum } from './LawnSum';
import { LayerSum } from './LayerSum';
import { LooseSum } from './LooseSum';
import { MixSum } from './MixSum';
import { PotSum } from './PotSum';
import { RainSum } from './RainSum';
import { DrySum, SaltSum } from './SaltSum';
import { SieveSum } from './SieveSum';
import { SowSum } from './SowSum';
import { SpraySum } from './SpraySum';
import { anchorOf } from './Sum';

/** The arithmetic of the shed, for any product. */
export function Sums({ system }: { readonly system: MeasureSystem }) {
  return (
    <Page>
      <h1>Mixes, layers, pots and sprays</h1>
      <Jumps aria-label="The sums">
        {TITLES.map(title => (
          <a key={title} href={`#${anchorOf(title)}`}>
            {title}
          </a>
        ))}
      </Jumps>
      <Grid>
        <div>
          <MixSum system={system} />
          <PotSum system={system} />
          <HeapSum />
          <HeatSum />
          <DrySum system={system} />
          <DripSum />
          <SowSum />
          <LawnSum />
        </div>
        <div>
          <LayerSum system={system} />
          <SpraySum system={system} />
          <SaltSum system={system} />
          <LooseSum />
          <RainSum system={system} />
          <SieveSum system={system} />
          <Cautions
            hazards={['dust', 'compost', 'concentrate', 'strong-acid', 'peroxide', 'salt']}
          />
        </div>
      </Grid>
    </Page>
  );
}

// In the order in which a phone shows them.
const TITLES = [
  'A mix',
  'A pot',
  'A heap',
  'A hot heap',
  'Wet and dry',
  'A drip line',
  'Sowing',
  'A lawn',
  'A layer',
  'A spray',
  'Salt',
  'A handful',
  'Rain on a pot',
  'Sieves',
] as const;

const Jumps = styled.nav`
  display: flex; flex-wrap: wrap; gap: 4px 20px;
  @media (pointer: coarse) { & a { padding: 12px 0; } }
`;

const Grid = styled.div`
  display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 1fr); gap: 40px; align-items: start;
  & > div { display: grid; gap: 32px; min-width: 0; }
  @media (max-width: 900px) { grid-template-columns: minmax(0, 1fr); }
`;
