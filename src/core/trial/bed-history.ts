import { familyOf } from './crop-families';
import { isKeyOpen } from './key';
import { MISHAP_WORDS, type MishapCause } from './model/incident';
import type { TrialData } from './model/trial-data';
import type { ExperimentalUnit } from './model/unit';

/** What stood in the same ground in an earlier trial: in a bed, or in the same batch of a mix. */
export interface StoodBefore {
  /** The bed, or the mix, as it is called now. */
  readonly place: string;
  readonly isMedium: boolean;
  /** The units that stand in it now. */
  readonly codes: readonly string[];
  readonly trialId: string;
  readonly crop: string;
  /** When it ended. */
  readonly endedOn: string;
  /** What was given there, by the names of treatments; empty while that trial’s key is shut. */
  readonly treatments: readonly string[];
  /** What befell plants there and may have stayed: diseases, pests of the soil, standing water. */
  readonly mishaps: readonly string[];
  /** Both crops are of this family; null where they are not, or it is not known. */
  readonly family: string | null;
}

/** Names that every bench has: `shelf 2`, `bench`, `3`. They say nothing of where it is. */
const COMMON = /^(?:(?:the )?(?:bench|ground|garden|all)|(?:\p{L}+ )?\d+)$/iu;
/** What says in which mix a unit stands. */
const OF_THE_MIX =
  /^(?:batch|medium|mix|growing mix|compost|soil|substrate|bag|batch of the mix)$/i;
const STAYS: ReadonlySet<MishapCause | null> = new Set(['blight', 'slugs', 'flood']);

const key = (name: string): string => name.trim().toLowerCase();

/** A bed with a name of its own, or a mix, and the units of a trial in it. */
interface Ground {
  readonly name: string;
  readonly isMedium: boolean;
  readonly units: readonly ExperimentalUnit[];
}

function groundsOf({ blocks, units }: TrialData): readonly Ground[] {
  const beds = blocks
    .filter(({ name }) => !COMMON.test(name.trim()))
    .map(({ id, name }) => ({
      name,
      isMedium: false,
      units: units.filter(unit => unit.blockId === id),
    }));
  const mixes = [...new Set(units.map(mixOf).filter(mix => mix !== ''))].map(name => ({
    name,
    isMedium: true,
    units: units.filter(unit => key(mixOf(unit)) === key(name)),
  }));
  return [...beds, ...mixes];
}

/** The mix that a unit stands in, as somebody called it; empty where nobody did. */
function mixOf({ built, traits }: ExperimentalUnit): string {
  const named = Object.entries(traits).find(([name]) => OF_THE_MIX.test(name.trim()));
  return (built?.medium || named?.[1] || '').trim();
}

/** The named beds and mixes of a trial that earlier trials stood in, the latest first. */
export function bedHistory(own: TrialData, earlier: readonly TrialData[]): readonly StoodBefore[] {
  const over = earlier.filter(
    ({ trial }) => trial.id !== own.trial.id && trial.endsOn <= own.trial.startsOn,
  );
  return groundsOf(own)
    .flatMap(ground => over.flatMap(data => inGround(ground, own, data)))
    .sort((a, b) => b.endedOn.localeCompare(a.endedOn));
}

function inGround(ground: Ground, own: TrialData, data: TrialData): readonly StoodBefore[] {
  const before = groundsOf(data).find(
    each => each.isMedium === ground.isMedium && key(each.name) === key(ground.name),
  );
  if (!before) return [];
  const given = new Set(before.units.map(unit => unit.treatmentId));
  const stood = new Set<string>(before.units.map(unit => unit.id));
  const causes = data.incidents
    .filter(({ unitId, cause }) => stood.has(unitId) && STAYS.has(cause))
    .flatMap(({ cause }) => cause ?? []);
  const family = familyOf(data.trial.crop);
  return [
    {
      place: ground.name,
      isMedium: ground.isMedium,
      codes: ground.units.map(unit => unit.code),
      trialId: data.trial.id,
      crop: data.trial.crop,
      endedOn: data.trial.endsOn,
      treatments: isKeyOpen(data.trial)
        ? data.treatments.filter(({ id }) => given.has(id)).map(each => each.name)
        : [],
      mishaps: [...new Set(causes)].map(cause => MISHAP_WORDS[cause]),
      family: family !== undefined && family === familyOf(own.trial.crop) ? family : null,
    },
  ];
}

/** The last crop of each place as a trait is written: `beans: south bed`. Empty where no place has a history. */
export function historyLines(history: readonly StoodBefore[]): string {
  // A unit stands in one line only: where its bed is known, its mix says no more.
  const hasBeds = history.some(each => !each.isMedium);
  const last = new Map<string, StoodBefore>();
  for (const stood of history)
    if (stood.isMedium !== hasBeds && !last.has(stood.place)) last.set(stood.place, stood);
  return [...last.values()]
    .map(({ crop, place, isMedium, codes }) => `${crop}: ${isMedium ? codes.join(' ') : place}`)
    .join('\n');
}
