import { failure, type Result, success } from '@/core/result';
import { TrialData } from '@/core/trial/model/trial-data';

/** Why a file holds no trial that could be taken in. */
export type WholeTrialTrouble =
  | { readonly kind: 'no-trial'; readonly where: string; readonly finding: string }
  | { readonly kind: 'does-not-hang-together'; readonly finding: string };

/** Reads a whole trial from a file: its shape by the schema, then whether everything it points at is in it. */
export function readWholeTrial(input: unknown): Result<TrialData, WholeTrialTrouble> {
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

/** A sentence for whoever brought the file. */
export function wholeTrialSentence(trouble: WholeTrialTrouble): string {
  if (trouble.kind === 'does-not-hang-together')
    return `The file does not hang together: ${trouble.finding}.`;
  return trouble.where === ''
    ? `That is no file of a trial: ${trouble.finding}.`
    : `That is no file of a trial: at ${trouble.where}, ${trouble.finding}.`;
}

function looseEnd(data: TrialData): string | undefined {
  const { trial, treatments, measures, layout, places, blocks, units } = data;
  const [placeIds, blockIds, unitIds, treatmentIds, measureIds] = [
    places,
    blocks,
    units,
    treatments,
    measures,
  ].map(list => new Set<string>(list.map(each => each.id)));
  const lists = {
    treatments,
    measures,
    places,
    blocks,
    units,
    picks: data.picks,
    readings: data.readings,
    incidents: data.incidents,
    predictions: data.predictions,
    amendments: data.amendments,
    regrets: data.regrets,
  };
  const twice = Object.entries(lists).find(
    ([, list]) => new Set<string>(list.map(each => each.id)).size < list.length,
  );
  const entries = [...data.picks, ...data.readings, ...data.incidents];
  const checks: readonly (readonly [boolean, string])[] = [
    [twice !== undefined, `two of its ${twice?.[0] ?? ''} have the same id`],
    [treatments.length < 2, 'it compares fewer than two treatments'],
    [
      treatments.filter(treatment => treatment.role === 'control').length !== 1,
      'it must have one control',
    ],
    [measures.filter(measure => measure.isMain).length !== 1, 'it must have one main measure'],
    [
      layout === null && (units.length > 0 || trial.state !== 'planned'),
      'it has units or was locked, but no layout',
    ],
    [layout !== null && units.length < 2, 'it has a layout, but no units'],
    [trial.state === 'closed' && trial.closedAt === null, 'it is closed, but not said when'],
    [
      trial.state === 'planned' && entries.length > 0,
      'it has entries, but its plan was never locked',
    ],
    [
      new Set(units.map(unit => unit.code)).size < units.length,
      'two of its units have the same code',
    ],
    [
      units.some(unit => !treatmentIds?.has(unit.treatmentId)),
      'a unit got a treatment that is not in it',
    ],
    [
      units.some(
        unit =>
          !placeIds?.has(unit.placeId) || (unit.blockId !== null && !blockIds?.has(unit.blockId)),
      ),
      'a unit stands at a place or in a block that is not in it',
    ],
    [
      places.some(
        (place, i) =>
          place.parentId !== null && !places.slice(0, i).some(each => each.id === place.parentId),
      ),
      'a place stands on one that does not come before it',
    ],
    [
      blocks.some(block => block.placeId !== null && !placeIds?.has(block.placeId)),
      'a block lies at a place that is not in it',
    ],
    [entries.some(entry => !unitIds?.has(entry.unitId)), 'an entry is of a unit that is not in it'],
    [
      data.readings.some(reading => !measureIds?.has(reading.measureId)),
      'a reading is of a measure that is not in it',
    ],
    [
      data.readings.some(
        reading => measures.find(measure => measure.id === reading.measureId)?.scale === null,
      ),
      'a reading is of a measure that is made from picks',
    ],
  ];
  return checks.find(([isWrong]) => isWrong)?.[1];
}
