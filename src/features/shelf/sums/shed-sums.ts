import type { ComponentType } from 'react';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Hazard } from '@/core/trial/model/product';
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

/** One piece of the shed's arithmetic. */
export interface ShedSum {
  readonly key: string;
  readonly title: string;
  /** What it is for, in a line. */
  readonly says: string;
  /** Other words under which it is looked for. */
  readonly words: string;
  readonly hazards: readonly Hazard[];
  readonly Part: ComponentType<{ readonly system: MeasureSystem }>;
}

/** What is asked most often stands first. */
export const SHED_SUMS: readonly ShedSum[] = [
  {
    key: 'mix',
    title: 'A mix',
    says: 'Parts or percent into amounts, bags and money.',
    words: 'potting compost peat bark grit perlite recipe',
    hazards: ['dust', 'compost'],
    Part: MixSum,
  },
  {
    key: 'pot',
    title: 'A pot',
    says: 'How much a container holds.',
    words: 'volume litres gallons tub trough bucket fill',
    hazards: [],
    Part: PotSum,
  },
  {
    key: 'layer',
    title: 'A layer',
    says: 'Mulch or compost by depth: how many bags, and how deep with whole bags.',
    words: 'area bed depth leaf mould topdressing',
    hazards: ['dust', 'compost'],
    Part: LayerSum,
  },
  {
    key: 'spray',
    title: 'A spray',
    says: 'How strong it comes out, and how much each plant gets.',
    words: 'dilute dilution percent soap peroxide vinegar nozzle ratio',
    hazards: ['concentrate', 'strong-acid', 'peroxide'],
    Part: SpraySum,
  },
  {
    key: 'drip',
    title: 'A drip line',
    says: 'Minutes on the timer into water for each plant.',
    words: 'irrigation emitter hose watering litres',
    hazards: [],
    Part: DripSum,
  },
  {
    key: 'rain',
    title: 'Rain on a pot',
    says: 'How much of a rainy day reaches the roots.',
    words: 'water weather gauge',
    hazards: [],
    Part: RainSum,
  },
  {
    key: 'handful',
    title: 'A handful',
    says: 'What your own cap, scoop or handful weighs.',
    words: 'spoon squirt measure loose',
    hazards: [],
    Part: LooseSum,
  },
  {
    key: 'sowing',
    title: 'Sowing',
    says: 'How many seeds or cuttings for so many plants.',
    words: 'germination rate spares strike',
    hazards: [],
    Part: SowSum,
  },
  {
    key: 'lawn',
    title: 'A lawn',
    says: 'When to cut, how low, and what clippings give back.',
    words: 'grass mow nitrogen feed turf',
    hazards: [],
    Part: LawnSum,
  },
  {
    key: 'heap',
    title: 'A heap',
    says: 'Carbon to nitrogen of what goes on the compost.',
    words: 'manure straw leaves kitchen',
    hazards: ['compost'],
    Part: HeapSum,
  },
  {
    key: 'hot-heap',
    title: 'A hot heap',
    says: 'Whether a heap was hot for long enough.',
    words: 'compost manure temperature turn thermometer',
    hazards: ['compost'],
    Part: HeatSum,
  },
  {
    key: 'dry',
    title: 'Wet and dry',
    says: 'Equal doses of two composts that hold different water.',
    words: 'moisture char biochar weight',
    hazards: ['dust'],
    Part: DrySum,
  },
  {
    key: 'sieves',
    title: 'Sieves',
    says: 'How coarse a mix is, and equal shares of every size.',
    words: 'grit bark particle grade',
    hazards: ['dust'],
    Part: SieveSum,
  },
  {
    key: 'salt',
    title: 'Salt',
    says: 'What a home-made weedkiller leaves in the ground.',
    words: 'vinegar weed path',
    hazards: ['salt', 'strong-acid'],
    Part: SaltSum,
  },
];
