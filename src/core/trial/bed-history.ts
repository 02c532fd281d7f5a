import { familyOf } from './crop-families';
import { isKeyOpen } from './key';
import type { TrialData } from './model/trial-data';

/** What stood at a place in an earlier trial. */
export interface StoodBefore {
  /** The place, as it is called now. */
  readonly place: string;
  readonly trialId: string;
  readonly crop: string;
  /** When it ended. */
  readonly endedOn: string;
  /** What was given there, by the names of treatments; empty while that trial’s key is shut. */
  readonly treatments: readonly string[];
  /** Both crops are of this family; null where they are not, or it is not known. */
  readonly family: string | null;
}

/** Names that every bench has: `shelf 2`, `bench`, `3`. They say nothing of where it is. */
const COMMON = /^(?:(?:the )?(?:bench|ground|garden|all)|(?:\p{L}+ )?\d+)$/iu;

const key = (name: string): string => name.trim().toLowerCase();

/** The named beds, shelves and gardens of a trial that earlier trials stood in, the latest first. */
export function bedHistory(own: TrialData, earlier: readonly TrialData[]): readonly StoodBefore[] {
  const places = own.blocks.filter(({ name }) => !COMMON.test(name.trim()));
  const found = places.flatMap(({ name }) =>
    earlier
      .filter(({ trial }) => trial.id !== own.trial.id && trial.endsOn <= own.trial.startsOn)
      .flatMap((data): StoodBefore[] => {
        const block = data.blocks.find(each => key(each.name) === key(name));
        if (!block) return [];
        const ids = new Set(
          data.units.filter(unit => unit.blockId === block.id).map(unit => unit.treatmentId),
        );
        const treatments = isKeyOpen(data.trial)
          ? data.treatments.filter(({ id }) => ids.has(id)).map(each => each.name)
          : [];
        const family = familyOf(data.trial.crop);
        return [
          {
            place: name,
            trialId: data.trial.id,
            crop: data.trial.crop,
            endedOn: data.trial.endsOn,
            treatments,
            family: family !== undefined && family === familyOf(own.trial.crop) ? family : null,
          },
        ];
      }),
  );
  return found.sort((a, b) => b.endedOn.localeCompare(a.endedOn));
}

/** The last crop of each place as a trait is written: `beans: south bed`. Empty where no place has a history. */
export function historyLines(history: readonly StoodBefore[]): string {
  const last = new Map<string, string>();
  for (const { place, crop } of history) if (!last.has(place)) last.set(place, crop);
  return [...last].map(([place, crop]) => `${crop}: ${place}`).join('\n');
}
