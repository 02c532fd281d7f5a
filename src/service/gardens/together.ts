import { asGardens } from '@/core/judge/together/as-gardens';
import { gardenAnswer } from '@/core/judge/together/garden-answer';
import {
  type ComparisonTogether,
  type GardenSource,
  gardensTogether,
} from '@/core/judge/together/gardens-together';
import { type TogetherMeasure, togetherMeasure } from '@/core/judge/together/together-measure';
import { typedSource } from '@/core/judge/together/typed-source';
import { mainMeasure } from '@/core/judge/units/trial-analysis';
import { isKeyOpen } from '@/core/trial/key';
import type { TrialData } from '@/core/trial/model/trial-data';
import { currentGarden } from '@/service/garden/garden';
import { database } from '@/store/connection/database';
import type { Garden } from '@/store/gardens';
import { typedFindingsOf } from '@/store/other-gardens';
import { findTrialData, trialsOf } from '@/store/trials';
import { sentSources } from './sent-sources';

/** All that may be taken together with a trial, and what of it is. */
export interface TakenTogether {
  readonly measure: TogetherMeasure;
  /** The trial’s own gardens first, then those that sent results, what was typed in, and this garden’s other seasons. */
  readonly sources: readonly GardenSource[];
  /** Ids of those that are not taken in for this look. */
  readonly out: ReadonlySet<string>;
  readonly comparisons: readonly ComparisonTogether[];
}

/**
 * A closed trial beside what other gardens sent and other seasons found. Other seasons of this garden come in where they are ticked.
 *
 * @param asked ids that are taken out, and seasons that are taken in, for a look
 */
export async function takenTogether(
  data: TrialData,
  asked: { readonly out: ReadonlySet<string>; readonly in: ReadonlySet<string> },
): Promise<TakenTogether> {
  const garden = await currentGarden();
  const measure = togetherMeasure(data.measures, garden.system);
  const seasons = await otherSeasons(data, garden);
  const sources = [
    ...ownSources(data, garden),
    ...(await sentSources(data.trial.id)),
    ...(await typedFindingsOf(database(), data.trial.id)).map(typedSource),
    ...seasons,
  ];
  const out = new Set([
    ...sources.map(source => source.id).filter(id => asked.out.has(id)),
    ...seasons.map(source => source.id).filter(id => !asked.in.has(id)),
  ]);
  const taken = sources.filter(source => !out.has(source.id));
  return { measure, sources, out, comparisons: gardensTogether(taken, measure) };
}

function ownSources(data: TrialData, garden: Garden): readonly GardenSource[] {
  const { id, endsOn, crop } = data.trial;
  return asGardens(data).map(({ block, about, data: part }) => ({
    id: block === '' ? id : `${id} ${block}`,
    gardenId: block === '' ? garden.id : `${garden.id} ${block}`,
    name: block === '' ? garden.name : block,
    season: endsOn.slice(0, 4),
    crop,
    site: { place: about.place, soil: about.soil, traits: traitsOfAll(part) },
    differs: [],
    typedFrom: null,
    isBlind: data.trial.isBlind,
    answer: gardenAnswer(part, mainMeasure(part)),
  }));
}

/** What is the same of all units of a garden is the garden’s. */
function traitsOfAll({ units }: TrialData): Readonly<Record<string, string>> {
  const [first] = units;
  return Object.fromEntries(
    Object.entries(first?.traits ?? {}).filter(([name, value]) =>
      units.every(unit => unit.traits[name] === value),
    ),
  );
}

/** This garden’s other closed trials of the same measure that hold the same two against each other. */
async function otherSeasons(own: TrialData, garden: Garden): Promise<readonly GardenSource[]> {
  const main = mainMeasure(own);
  const names = new Set(own.treatments.map(({ name }) => name.trim().toLowerCase()));
  const trials = await trialsOf(database(), garden.id);
  const found = await Promise.all(
    trials
      .filter(trial => trial.id !== own.trial.id && trial.state === 'closed' && isKeyOpen(trial))
      .map(({ id }) => findTrialData(database(), id)),
  );
  return found
    .flatMap(data => (data ? [data] : []))
    .filter(data => {
      const { summary, kindKey, better } = mainMeasure(data);
      const isSame = summary === main.summary && kindKey === main.kindKey && better === main.better;
      const shared = data.treatments.filter(({ name }) => names.has(name.trim().toLowerCase()));
      return isSame && shared.length > 1;
    })
    .flatMap(data => ownSources(data, garden));
}
