import { addDays } from '@/core/time/garden-day';
import { trialFixture } from '@/core/trial/fixtures/trial-fixture';
import { TrialId } from '@/core/trial/model/ids';
import type { TrialData } from '@/core/trial/model/trial-data';
import { DEMO_DAY } from '@/demo/demo-season';
import type { BenchUnit } from './garden-server';

export interface Radishes {
  readonly question: string;
  /** Pots of each of the two treatments. */
  readonly each: number;
  readonly isBlind?: boolean;
}

const NAMES: Readonly<Record<string, string>> = { 'feed 1': 'Heronsgill feed' };
const nameOf = (name: string): string => NAMES[name] ?? name;

/** Plain water against a feed, over the whole bench, locked today: what the form would have made of it. */
export function lockedRadishes({ question, each, isBlind = false }: Radishes): {
  readonly data: TrialData;
  readonly units: readonly BenchUnit[];
} {
  const today = DEMO_DAY;
  const now = `${today}T00:00:00.000Z`;
  const made = trialFixture({ treatments: 2, unitsEach: each, isBlind });
  const treatments = made.treatments.map(treatment => ({
    ...treatment,
    name: nameOf(treatment.name),
    levels: { treatment: nameOf(treatment.name) },
  }));
  const data: TrialData = {
    ...made,
    trial: {
      ...made.trial,
      question,
      crop: 'radishes',
      startsOn: today,
      endsOn: addDays(today, 90),
      lockedAt: now,
    },
    treatments,
    factors: [{ name: 'treatment', levels: treatments.map(each => each.name), dealtAt: 'pot' }],
    measures: made.measures.map(measure => ({
      ...measure,
      response: measure.response.replace('beans', 'radishes'),
    })),
  };
  const units = data.units.map(({ code, treatmentId }) => ({
    code,
    treatment: treatments.find(each => each.id === treatmentId)?.name ?? '',
  }));
  return { data, units };
}

/** The same, asked and neither dealt nor locked. */
export function plannedRadishes(question: string): TrialData {
  const { data } = lockedRadishes({ question, each: 2 });
  return {
    ...data,
    trial: { ...data.trial, id: TrialId.parse(data.trial.id), state: 'planned', lockedAt: null },
    layout: null,
    places: [],
    blocks: [],
    units: [],
  };
}
