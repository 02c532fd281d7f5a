import { z } from 'zod';
import type { GardenSource } from '@/core/judge/together/gardens-together';
import { togetherMeasure } from '@/core/judge/together/together-measure';
import { toldIn } from '@/core/judge/together/told-in';
import { type Result, success } from '@/core/result';
import { fieldTroublesOf } from '@/core/trial/forms/field-troubles';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { today } from '@/service/garden/clock';
import { pressId } from '@/service/garden/press-id';
import { changeOneTrial, invalid } from '@/service/trial/change-trial';
import { database } from '@/store/connection/database';
import { firstGarden } from '@/store/gardens';
import {
  type AskedGarden,
  addHeardFinding,
  addTypedFinding,
  askedGardensOf,
  type HeardFinding,
  type HeldRow,
  heardFindingsOf,
  heldResultsOf,
  putAskedGarden,
  removeAskedGarden,
  removeFinding,
  removeGardenResults,
  type TypedFinding,
  typedFindingsOf,
} from '@/store/other-gardens';
import { sentSources } from './sent-sources';

/** A garden that was asked, or that sent results unasked. */
export interface RosterRow {
  readonly id: string;
  readonly name: string;
  readonly person: string;
  readonly givenOn: string | null;
  readonly dueOn: string | null;
  /** What came back, and how much of it is missing; null while nothing did. */
  readonly came: {
    readonly gardenId: string;
    readonly on: string;
    readonly units: number;
    readonly missing: number;
    readonly differs: readonly string[];
  } | null;
  /** Nothing came by the day that was agreed. */
  readonly isLate: boolean;
}

/** Every garden of a plan: those asked, in that order, then those that sent results unasked. */
export async function rosterOf(trialId: string): Promise<readonly RosterRow[]> {
  const db = database();
  const [asked, held] = [await askedGardensOf(db, trialId), await heldResultsOf(db, trialId)];
  const sources = await sentSources(trialId);
  const rows = asked.map(garden => rowOf(garden, held, sources));
  // Two gardens may go by one name: what is beside none of the list stands by itself.
  const shown = new Set(rows.map(row => row.came?.gardenId));
  const unasked = held.filter(({ gardenId }) => !shown.has(gardenId));
  return [
    ...rows,
    ...unasked.map(
      (row): RosterRow => ({
        id: row.gardenId,
        name: row.name,
        person: '',
        givenOn: null,
        dueOn: null,
        came: cameOf(row, sources),
        isLate: false,
      }),
    ),
  ];
}

const key = (name: string): string => name.trim().toLowerCase();

function rowOf(
  { id, name, person, givenOn, dueOn }: AskedGarden,
  held: readonly HeldRow[],
  sources: readonly GardenSource[],
): RosterRow {
  const found = held.find(each => key(each.name) === key(name));
  return {
    id,
    name,
    person,
    givenOn,
    dueOn: dueOn === '' ? null : dueOn,
    came: found ? cameOf(found, sources) : null,
    isLate: !found && dueOn !== '' && dueOn < today(),
  };
}

function cameOf(
  { gardenId, takenAt }: HeldRow,
  sources: readonly GardenSource[],
): NonNullable<RosterRow['came']> {
  const own = sources.filter(
    source => source.gardenId === gardenId || source.gardenId.startsWith(`${gardenId} `),
  );
  const sum = (of: (source: GardenSource) => number): number =>
    own.reduce((total, source) => total + of(source), 0);
  return {
    gardenId,
    on: takenAt.slice(0, 10),
    units: sum(({ answer }) => answer.units),
    missing: sum(({ answer }) => answer.missing),
    differs: own.flatMap(({ differs }) => differs),
  };
}

const Day = z.union([z.literal(''), z.iso.date('That is not a date.')]);
const AskedForm = z.object({
  name: z.string().trim().min(1, 'Say what the garden is called.').max(120),
  person: z.string().trim().max(120).default(''),
  dueOn: Day.default(''),
});

type Done = Promise<Result<true, TrialTrouble>>;

/** Puts a garden on the list of those that were given the plan. */
export function askGarden(trialId: string, input: unknown): Done {
  const what = 'garden asked';
  return changeOneTrial(trialId, async db => {
    const form = AskedForm.safeParse(input);
    if (!form.success) return invalid(what, fieldTroublesOf(form.error));
    const standing = await askedGardensOf(db, trialId);
    if (standing.some(each => key(each.name) === key(form.data.name)))
      return invalid(what, { name: 'That garden is on the list already.' });
    await putAskedGarden(db, { id: pressId(input), trialId, givenOn: today(), ...form.data });
    return { what, result: success(true as const), detail: form.data };
  });
}

/** Takes a garden off the list; what it sent stays. */
export function dropGarden(trialId: string, id: string): Done {
  return changeOneTrial(trialId, async db => {
    await removeAskedGarden(db, trialId, id);
    return { what: 'garden taken off the list', result: success(true as const) };
  });
}

/** Takes out what a garden sent; its file can be taken in again. */
export function dropResults(trialId: string, gardenId: string): Done {
  return changeOneTrial(trialId, async db => {
    await removeGardenResults(db, trialId, gardenId);
    return { what: 'results taken out', result: success(true as const), detail: { gardenId } };
  });
}

const Figure = z.string().trim().max(20);
const MOST = 1_000_000;

/** @param least of the difference: what can't be */
function typedForm(unit: string, least: number) {
  /** As one types it: with a minus sign, a comma, its unit behind. */
  const plainNumber = (written: string): number =>
    Number(written.replace('−', '-').replace(',', '.').replace(unit, ''));
  return z.object({
    from: z.string().trim().min(3, 'Say where the figures are from.').max(120),
    treatment: z.string().trim().min(1).max(120),
    control: z.string().trim().min(1).max(120),
    size: Figure.min(1, `The difference, in ${unit || 'what is measured'}.`)
      .transform(plainNumber)
      .pipe(z.number('A number, such as 12 or −5.').gt(least, 'More than −100%.').max(MOST)),
    se: Figure.min(1, 'Its standard error, in the same.')
      .transform(plainNumber)
      .pipe(z.number('A number, such as 5.').positive('Above 0.').max(MOST)),
    season: z.string().trim().max(20).default(''),
  });
}

/** Takes in what others found, as a difference with its standard error. It counts, and is marked as typed in. */
export function typeFinding(trialId: string, input: unknown): Done {
  const what = 'finding typed in';
  return changeOneTrial(trialId, async (db, data) => {
    const system = (await firstGarden(db))?.system;
    const { isPercent, unit, base } = toldIn(togetherMeasure(data.measures, system));
    const form = typedForm(unit, isPercent ? -100 : -MOST).safeParse(input);
    if (!form.success) return invalid(what, fieldTroublesOf(form.error));
    const { size, se, ...facts } = form.data;
    const told = {
      percent: isPercent ? size : null,
      difference: isPercent ? null : size * base,
      se: se * base,
    };
    await addTypedFinding(db, trialId, { id: pressId(input), ...facts, ...told });
    return { what, result: success(true as const), detail: form.data };
  });
}

const HeardForm = z.object({
  by: z.string().trim().max(120).default(''),
  text: z.string().trim().min(3, 'Say what they found.').max(2000, 'At most 2000 characters.'),
});

/** Keeps what somebody says they found, beside the trial. It never counts. */
export function keepHeard(trialId: string, input: unknown): Done {
  const what = 'reply kept';
  return changeOneTrial(trialId, async db => {
    const form = HeardForm.safeParse(input);
    if (!form.success) return invalid(what, fieldTroublesOf(form.error));
    await addHeardFinding(db, trialId, { id: pressId(input), saidOn: today(), ...form.data });
    return { what, result: success(true as const), detail: form.data };
  });
}

/** Takes out what was typed in or heard. */
export function dropFinding(trialId: string, id: string): Done {
  return changeOneTrial(trialId, async db => {
    await removeFinding(db, trialId, id);
    return { what: 'finding taken out', result: success(true as const) };
  });
}

/** What others told, with figures and without. */
export async function toldOf(trialId: string): Promise<{
  readonly typed: readonly TypedFinding[];
  readonly heard: readonly HeardFinding[];
}> {
  const db = database();
  return { typed: await typedFindingsOf(db, trialId), heard: await heardFindingsOf(db, trialId) };
}
