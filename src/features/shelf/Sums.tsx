'use client';

import { styled } from 'styled-components';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { Page } from '@/ui/Page';
import { Cautions } from './Cautions';
import { DripSum } from './DripSum';
import { HeapSum } from './HeapSum';
import { LayerSum } from './LayerSum';
import { LooseSum } from './LooseSum';
import { MixSum } from './MixSum';
import { PotSum } from './PotSum';
import { DrySum, SaltSum } from './SaltSum';
import { SpraySum } from './SpraySum';

/** The arithmetic of the shed, for any product. */
export function Sums({ system }: { readonly system: MeasureSystem }) {
  return (
    <Page>
      <h1>Mixes, layers, pots and sprays</h1>
      <Grid>
        <div><MixSum system={system} /><PotSum system={system} /><HeapSum /><DrySum system={system} /><DripSum /></div>
        <div><LayerSum system={system} /><SpraySum system={system} /><SaltSum system={system} /><LooseSum /><Cautions hazards={['dust', 'compost', 'concentrate', 'strong-acid', 'peroxide', 'salt']} /></div>
      </Grid>
    </Page>
  );
}

const Grid = styled.div`
  display: grid; grid-template-columns: minmax(0, 1fr) minmax(0, 1fr); gap: 40px; align-items: start;
  & > div { display: grid; gap: 32px; min-width: 0; }
  @media (max-width: 900px) { grid-template-columns: minmax(0, 1fr); }
`;
