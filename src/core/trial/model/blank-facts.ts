import { NO_CARE } from './care-plan';
import type { CareRule } from './care-rule';
import type { Layout, SiteFeature } from './layout';
import type { Measure } from './measure';
import type { Reading } from './reading';
import type { Treatment } from './treatment';
import type { Trial } from './trial';
import type { TrialData } from './trial-data';

/** What a treatment holds that nobody said anything of. */
export const BLANK_TREATMENT: Pick<Treatment, 'controlKind' | 'dose' | 'detail'> = {
  controlKind: null,
  dose: null,
  detail: '',
};

/** What a trial holds that nobody said anything of. */
export const BLANK_TRIAL: Pick<Trial, 'pattern' | 'interest' | 'rules' | 'money' | 'protocolId'> = {
  protocolId: null,
  pattern: null,
  interest: '',
  rules: {
    end: 'date',
    endStage: '',
    leaveOut: '',
    replace: '',
    cull: '',
    ripe: '',
    replaceUntil: '',
    key: '',
    rescue: '',
    askedOne: '',
    askedOther: '',
    askedOneWith: [],
    askedOtherWith: [],
    act: '',
    seasons: 1,
    looks: 1,
  },
  money: null,
};

/** What is not known yet of a layout's place, and a deal of its own. */
export const BLANK_SITE: Pick<
  Layout,
  'isArrangedInSight' | 'hasGuards' | 'site' | 'keptFrom' | 'isGiven'
> = {
  keptFrom: null,
  isGiven: false,
  isArrangedInSight: false,
  hasGuards: false,
  site: [],
};

/** What a layout holds that only some kinds need. */
export const BLANK_LAYOUT: Pick<
  Layout,
  'columnWord' | 'wholeWord' | 'wholeFactor' | 'perBlock' | 'controlEach' | 'isTurned' | 'benches'
> = {
  columnWord: null,
  wholeWord: null,
  wholeFactor: null,
  perBlock: null,
  controlEach: null,
  isTurned: false,
  benches: 1,
};

/** Where a feature of the site is, while nothing was said. */
export const BLANK_FEATURE: Pick<SiteFeature, 'line' | 'reachMm'> = { line: null, reachMm: null };

/** What only a measure that is read has. */
export const BLANK_MEASURE = {
  kindKey: null,
  scale: null,
  parts: 1,
  partsAre: 'averaged',
  onDay: null,
  optimum: null,
} as const satisfies Partial<Measure>;

/** What most rules of care don't have. */
export const BLANK_CARE_RULE = {
  material: null,
  washedOffByMm: null,
  minutesEach: null,
  runsByItself: false,
  isUnplanned: false,
} as const satisfies Partial<CareRule>;

/** What most readings don't have. */
export const BLANK_READING = {
  outOf: null,
  isRepeat: false,
  asWritten: '',
  device: '',
  by: '',
} as const satisfies Partial<Reading>;

/** A trial in which nothing was done, foretold or changed yet. */
export const NOTHING_ENTERED: Pick<
  TrialData,
  | 'picks'
  | 'readings'
  | 'incidents'
  | 'care'
  | 'products'
  | 'predictions'
  | 'amendments'
  | 'regrets'
> = {
  picks: [],
  readings: [],
  incidents: [],
  care: NO_CARE,
  products: [],
  predictions: [],
  amendments: [],
  regrets: [],
};

/** A trial in which nothing stands anywhere yet. */
export const NOTHING_DEALT: Pick<TrialData, 'layout' | 'places' | 'blocks' | 'units'> = {
  layout: null,
  places: [],
  blocks: [],
  units: [],
};
