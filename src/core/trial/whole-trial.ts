import { failure, type Result, success } from '@/core/result';
import { daysBetween } from '@/core/time/garden-day';
import '@/core/trial/forms/plain-errors';
import { LONGEST_DAYS } from '@/core/trial/model/limits';
import { isTaken } from '@/core/trial/model/scale';
import { TrialData } from '@/core/trial/model/trial-data';
import { beyondLimits } from '@/core/trial/plain-limits';

/** Why a file holds no trial that could be taken in. */
export type WholeTrialTrouble =
  | { readonly kind: 'no-trial'; readonly where: string; readonly finding: string }
  | { readonly kind: 'too-large'; readonly finding: string }
  | { readonly kind: 'does-not-hang-together'; readonly finding: string };

/** Reads a whole trial from a file: its size, its shape by the schema, then whether everything it points at is in it. */
export function readWholeTrial(input: unknown): Result<TrialData, WholeTrialTrouble> {
  const large = tooMany(input) ?? beyondLimits(input);
  if (large !== undefined) return failure({ kind: 'too-large', finding: large });
  const parsed = TrialData.safeParse(input);
  if (!parsed.success) {
    const issue = parsed.error.issues[0];
    return failure({
      kind: 'no-trial',
      where: issue?.path.join('.') ?? '',
      finding: issue?.message ?? 'it has another shape',
    });
  }
  const finding = looseEnd(parsed.data);
  return finding === undefined
    ? success(parsed.data)
    : failure({ kind: 'does-not-hang-together', finding });
}

/** The most of each list. A season of a hundred pots read daily by parts stays well below. */
const MOST: Readonly<Record<string, number>> = {
  factors: 8,
  treatments: 100,
  measures: 200,
  places: 5000,
  blocks: 1000,
  units: 2000,
  picks: 100_000,
  readings: 200_000,
  incidents: 10_000,
  products: 500,
  predictions: 1000,
  amendments: 5000,
  regrets: 1000,
};
const MOST_ACTS = 50_000;
const DEEPEST_PLACE = 10;

function tooMany(input: unknown): string | undefined {
  if (typeof input !== 'object' || input === null) return undefined;
  const lists: Readonly<Record<string, unknown>> = { ...input };
  const many = Object.entries(MOST).find(([name, most]) => lengthOf(lists[name]) > most);
  if (many) return `it has ${lengthOf(lists[many[0]])} ${many[0]}, at most ${many[1]} are taken`;
  const acts = lengthOf(Object(lists.care).acts);
  return acts > MOST_ACTS
    ? `it has ${acts} tasks done or left out, at most ${MOST_ACTS} are taken`
    : undefined;
}

function lengthOf(list: unknown): number {
  return Array.isArray(list) ? list.length : 0;
}

/** A sentence for whoever brought the file. */
export function wholeTrialSentence(trouble: WholeTrialTrouble): string {
  if (trouble.kind === 'too-large') return `The file is not taken: ${trouble.finding}.`;
  if (trouble.kind === 'does-not-hang-together')
    return `The file does not hang together: ${trouble.finding}.`;
  return trouble.where === ''
    ? `That is no file of a trial: ${trouble.finding}.`
    : `That is no file of a trial: at ${trouble.where}, ${trouble.finding}.`;
}

function looseEnd(data: TrialData): string | undefined {
  const twice = listWithDoubles(data);
  if (twice !== undefined) return `two of its ${twice} have the same id`;
  return LOOSE_ENDS.find(({ isSo }) => isSo(data))?.finding;
}

function listWithDoubles(data: TrialData): string | undefined {
  const { treatments, measures, places, blocks, units } = data;
  const { picks, readings, incidents, predictions, amendments, regrets } = data;
  const plan = { treatments, measures, places, blocks, units };
  const entries = { picks, readings, incidents, predictions, amendments, regrets };
  const found = Object.entries({ ...plan, ...entries }).find(
    ([, list]) => idsOf(list).size < list.length,
  );
  return found?.[0];
}

function idsOf(list: readonly { readonly id: string }[]): ReadonlySet<string> {
  return new Set(list.map(each => each.id));
}

/** All that was read, picked or happened. */
function entriesOf({ picks, readings, incidents }: TrialData) {
  return [...picks, ...readings, ...incidents];
}

interface LooseEnd {
  readonly finding: string;
  readonly isSo: (data: TrialData) => boolean;
}

const LOOSE_ENDS: readonly LooseEnd[] = [
  {
    finding: 'it compares fewer than two treatments',
    isSo: ({ treatments }) => treatments.length < 2,
  },
  {
    finding: 'it must have one control',
    isSo: ({ treatments }) =>
      treatments.filter(treatment => treatment.role === 'control').length !== 1,
  },
  {
    finding: 'it must have one main measure',
    isSo: ({ measures }) => measures.filter(measure => measure.isMain).length !== 1,
  },
  {
    finding: 'it was dealt or locked, but has no layout',
    isSo: ({ layout, units, trial }) =>
      layout === null && (units.length > 0 || trial.state !== 'planned'),
  },
  {
    finding: 'it has a layout, but no codes',
    isSo: ({ layout, units }) => layout !== null && units.length < 2,
  },
  {
    finding: 'it is closed, but not said when',
    isSo: ({ trial }) => trial.state === 'closed' && trial.closedAt === null,
  },
  {
    finding: 'it has picks or readings, but its plan was never locked',
    isSo: data => data.trial.state === 'planned' && entriesOf(data).length > 0,
  },
  {
    finding: 'two of its pots or beds have the same code',
    isSo: ({ units }) => new Set(units.map(unit => unit.code)).size < units.length,
  },
  {
    finding: 'a pot or bed got a treatment that is not in it',
    isSo: ({ units, treatments }) => {
      const known = idsOf(treatments);
      return units.some(unit => !known.has(unit.treatmentId));
    },
  },
  {
    finding: 'a pot or bed stands at a place or in a block that is not in it',
    isSo: ({ units, places, blocks }) => {
      const [placeIds, blockIds] = [idsOf(places), idsOf(blocks)];
      return units.some(
        ({ placeId, blockId }) =>
          !placeIds.has(placeId) || (blockId !== null && !blockIds.has(blockId)),
      );
    },
  },
  {
    finding: 'a place stands on one that does not come before it',
    isSo: ({ places }) => {
      const before = new Set<string>();
      return places.some(({ id, parentId }) => {
        const isLoose = parentId !== null && !before.has(parentId);
        before.add(id);
        return isLoose;
      });
    },
  },
  {
    finding: `a place stands on more than ${DEEPEST_PLACE} others`,
    isSo: ({ places }) => {
      const depths = new Map<string, number>();
      return places.some(({ id, parentId }) => {
        const depth = 1 + (parentId === null ? 0 : (depths.get(parentId) ?? 0));
        depths.set(id, depth);
        return depth > DEEPEST_PLACE;
      });
    },
  },
  {
    finding: 'it ends before it begins, or lasts more than three years',
    isSo: ({ trial }) => {
      const days = daysBetween(trial.startsOn, trial.endsOn);
      return days < 0 || days > LONGEST_DAYS;
    },
  },
  {
    finding: 'a block lies at a place that is not in it',
    isSo: ({ blocks, places }) => {
      const known = idsOf(places);
      return blocks.some(block => block.placeId !== null && !known.has(block.placeId));
    },
  },
  {
    finding: 'a pick or reading is of a pot or bed that is not in it',
    isSo: data => {
      const known = idsOf(data.units);
      return entriesOf(data).some(entry => !known.has(entry.unitId));
    },
  },
  {
    finding: 'a reading is of a measure that is not in it',
    isSo: ({ readings, measures }) => {
      const known = idsOf(measures);
      return readings.some(reading => !known.has(reading.measureId));
    },
  },
  {
    finding: 'a reading is of a measure that is made from picks',
    isSo: ({ readings, measures }) => {
      const picked = idsOf(measures.filter(measure => !isTaken(measure.scale)));
      return readings.some(reading => picked.has(reading.measureId));
    },
  },
];
