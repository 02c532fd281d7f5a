import { BLANK_PRODUCT, type ProductDraft, readProduct } from '@/core/materials/label/product-form';
import type { Product } from '@/core/trial/model/product';
import type { SeasonDice } from './seeded-season';

/** What stands on the shelf at Cinder Row. Names, numbers and prices are made up. */
export interface DemoShelf {
  readonly heronsgill: Product;
  readonly wrackline: Product;
  readonly comfrey: Product;
  readonly others: readonly Product[];
}

type Draft = Partial<ProductDraft> & { readonly name: string; readonly form: ProductDraft['form'] };

export function demoShelf(dice: SeasonDice): DemoShelf {
  return {
    heronsgill: onShelf(HERONSGILL, dice),
    wrackline: onShelf(WRACKLINE, dice),
    comfrey: onShelf(COMFREY, dice),
    others: OTHERS.map(draft => onShelf(draft, dice)),
  };
}

function onShelf(draft: Draft, dice: SeasonDice): Product {
  const read = readProduct({ ...BLANK_PRODUCT, ...draft }, 'uk', dice.newId(), {
    batches: [],
    stepUp: null,
    looseMeasures: [],
    isKnownHere: draft.form === 'spray-concentrate',
  });
  if (!read.ok)
    throw new RangeError(`${draft.name} must be readable, got ${JSON.stringify(read.trouble)}`);
  return read.value;
}

const HERONSGILL: Draft = {
  name: 'Heronsgill feed',
  form: 'liquid',
  grade: '4-3-8',
  per: 'w/v',
  others: 'Mg 0.6, Fe 0.02',
  density: '1.18',
  packSize: '1 l',
  packPrice: '6.40',
  rates: '20 ml in 4.5 l\n10-15 ml per litre',
  hazards: ['concentrate'],
  keepsMonths: '24',
};

const WRACKLINE: Draft = {
  name: 'Wrackline feed',
  form: 'liquid',
  grade: '1.2-0.2-2.4',
  per: 'w/v',
  density: '1.1',
  packSize: '1 l',
  packPrice: '9.20',
  rates: '15-25 ml in 4.5 l\n50 ml per square metre',
  hazards: ['concentrate'],
  keepsMonths: '24',
};

const COMFREY: Draft = {
  name: 'Comfrey tea',
  form: 'home-made',
  rates: '1 part to 10',
  hazards: ['home-brew'],
  note: 'Bucket of leaves, three weeks under a lid. Nobody has measured what is in it.',
};

const OTHERS: readonly Draft[] = [
  {
    name: 'Slatehill granules',
    form: 'slow-release',
    grade: '15-9-11',
    density: '0.95',
    packSize: '2 kg',
    packPrice: '14',
    rates: '4-6 g per litre of mix\n30 g per plant',
    releaseMonths: '5',
    hazards: ['concentrate'],
  },
  {
    name: 'Kilnash meal',
    form: 'meal',
    grade: '4-20-0',
    packSize: '2.5 kg',
    packPrice: '8.75',
    rates: '70-100 g per square metre',
    hazards: ['animal-meal', 'dust'],
  },
  {
    name: 'Pewter Lane suds',
    form: 'spray-concentrate',
    activePercent: '40',
    packSize: '500 ml',
    packPrice: '7.30',
    rates: '10-20 ml in 1 l',
    waitingDays: '1',
    reentryHours: '4',
    mostApplications: '6',
    hazards: ['soap', 'insect-spray'],
  },
  {
    name: 'Row End bark',
    form: 'bulk',
    packSize: '60 l',
    packPrice: '9',
    hazards: ['compost', 'dust'],
  },
];
