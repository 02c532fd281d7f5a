import type { SeenDue, SeenStep } from '@/core/blinding/bottle-steps';
import type { ComingStep } from '@/core/blinding/coming-steps';
import type { EqualiseBy, equaliseRates } from '@/core/materials/dose/equalise-rates';
import type { LedgerAccount, LedgerFlag } from '@/core/materials/ledger/nutrient-ledger';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import type { Adherence } from '@/core/schedule/adherence/adherence';
import type { CoverLine } from '@/core/schedule/adherence/covers';
import type { UnevenAct } from '@/core/schedule/adherence/uneven-acts';
import type { FrostDays } from '@/core/schedule/rules/season-limits';
import type { ToBuy } from '@/core/schedule/supplies/shopping-list';
import type { ReEntry } from '@/core/schedule/tasks/re-entry-interval';
import type { Reminder } from '@/core/schedule/tasks/reminders';
import type { HorticulturalFact } from '@/core/trial/horticultural-facts';
import type { CarePlan } from '@/core/trial/model/care-plan';
import type { NutrientAmounts } from '@/core/trial/model/nutrient';
import type { Hazard, Product } from '@/core/trial/model/product';
import type { Trial } from '@/core/trial/model/trial';
import type { StationPlace } from '@/core/weather/reference-et';
import type { WeatherDay } from '@/core/weather/weather-day';

/** A trial's care as its page shows it. Names treatments, never which unit has which while the key is shut. */
export interface TendView {
  readonly trial: Pick<Trial, 'id' | 'unitWord' | 'state' | 'startsOn' | 'endsOn'>;
  readonly today: string;
  readonly system: MeasureSystem;
  readonly treatments: readonly {
    readonly id: string;
    readonly name: string;
    readonly letter: string;
  }[];
  readonly shelf: readonly Product[];
  /** What is planned, without what was done: that tells which units are whose. */
  readonly care: Pick<CarePlan, 'settings' | 'rules'>;
  readonly due: SeenDue;
  /** Blind, and its key is shut: what was done is told by bottles. */
  readonly isKeyShut: boolean;
  /** Not ticked while it could be made up for, the oldest first, as a paper log has them. */
  readonly missed: readonly SeenStep[];
  /** Of the next weeks; those that wait for a stage last. */
  readonly coming: readonly ComingStep[];
  /** Sprays that rain has washed off: they are due again. */
  readonly washedOff: readonly {
    readonly name: string;
    readonly on: string;
    readonly rainMm: number;
  }[];
  /** Rain that ran through the pots, and how much of it out of each. */
  readonly leached: readonly {
    readonly on: string;
    readonly rainMm: number;
    readonly ml: number;
  }[];
  /** What the weather of the last days takes from each unit in a week; null where it is not known. */
  readonly thirst: {
    readonly etoMm: number;
    readonly weeklyMl: number;
    readonly isCropKnown: boolean;
  } | null;
  /** The product is null where it would tell what was in a bottle. */
  readonly reEntries: readonly (Pick<ReEntry, 'until'> & { readonly product: string | null })[];
  /** Whose clock they are told by. */
  readonly timeZone: string;
  readonly unevenActs: readonly UnevenAct[];
  /** Covers, nets and bands: who has which, and from when to when. */
  readonly covers: readonly CoverLine[];
  readonly limits: readonly string[];
  readonly reminders: readonly Reminder[];
  readonly facts: readonly HorticulturalFact[];
  /** What a paper log calls the steps: in a blind trial what goes to some only by its bottles. */
  readonly logNames: readonly string[];
  /** Of all units, in walking order. */
  readonly codes: readonly string[];
  /** The ground of one unit, where it is known. */
  readonly areaM2: number | null;
  readonly recent: readonly {
    readonly by: string;
    readonly actId: string;
    readonly name: string;
    readonly on: string;
    readonly isSkipped: boolean;
    readonly note: string;
  }[];
  /** Stages that rules wait for, or that were dated. */
  readonly stages: readonly { readonly name: string; readonly day: string }[];
  readonly ledger: {
    readonly planned: readonly LedgerAccount[];
    /** null while the key is shut: it grows with each bottle that is given. */
    readonly done: readonly LedgerAccount[] | null;
    readonly base: NutrientAmounts;
    readonly flags: readonly LedgerFlag[];
  };
  readonly equalised: Readonly<
    Record<EqualiseBy & ('n' | 'p' | 'k' | 'money' | 'dry-mass'), ReturnType<typeof equaliseRates>>
  >;
  readonly adherence: readonly (Adherence & { readonly name: string })[];
  readonly isUneven: boolean;
  /** Plain water that was put down, each unit's over the season so far, in ml. */
  readonly water: readonly { readonly name: string; readonly ml: number }[];
  readonly shopping: readonly ToBuy[];
  readonly hazards: readonly Hazard[];
  /** Products planned oftener for one treatment than their labels allow. */
  readonly tooOften: readonly {
    readonly product: string;
    readonly planned: number;
    readonly most: number;
  }[];
}

/** What a trial's care is seen against. */
export interface TendScene {
  /** What stands there now; the trial brings the products that its rules were made with. */
  readonly shelf: readonly Product[];
  readonly today: string;
  /** An instant. */
  readonly now: string;
  readonly garden: StationPlace & FrostDays & { readonly system: MeasureSystem };
  /** The garden's. */
  readonly timeZone: string;
  /** Of the last ten days. */
  readonly weather: readonly WeatherDay[];
}
