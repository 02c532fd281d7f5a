import { z } from 'zod';
import { CalendarDay } from '@/core/time/garden-day';
import { CarePlan, NO_CARE } from './care-plan';
import {
  BlockId,
  GardenId,
  IncidentId,
  MeasureId,
  PickId,
  PlaceId,
  ReadingId,
  TreatmentId,
  TrialId,
  UnitId,
} from './ids';
import { Product } from './product';
import { Scale } from './scale';

// The whole trial as one plain object: what core takes, what the worker gets, and the open file format.

const Name = z.string().trim().min(1).max(120);
const Note = z.string().max(2000);
const Seed = z
  .int()
  .min(0)
  .max(2 ** 32 - 1);

/** What a treatment is to the question. */
export const TreatmentRole = z.enum(['control', 'test', 'reference']);
export type TreatmentRole = z.infer<typeof TreatmentRole>;

/** What a treatment without the active part still gets, or what it stands for. */
export const ControlKind = z.enum(['nothing', 'carrier', 'usual', 'pooled']);
export type ControlKind = z.infer<typeof ControlKind>;

/** One combination of levels: what a unit gets. Its letter and order are those of its plant label. */
export const Treatment = z
  .object({
    id: TreatmentId,
    name: Name,
    letter: z.string().length(1),
    role: TreatmentRole,
    position: z.int().min(0),
    /** The level of each factor, by the factor's name. */
    levels: z.record(z.string(), z.string()),
    controlKind: ControlKind.nullable().default(null),
    /** Of a dose series: its number, in the series' own unit. */
    dose: z.number().min(0).nullable().default(null),
    /** What is done, step by step, where a name does not say it: a staged programme. */
    detail: z.string().max(600).default(''),
  })
  .readonly();
export type Treatment = z.infer<typeof Treatment>;

/** Something that differs between treatments, with its levels. */
export const Factor = z
  .object({ name: Name, levels: z.array(Name).min(2).readonly(), dealtAt: z.string() })
  .readonly();
export type Factor = z.infer<typeof Factor>;

/** The smallest difference that matters. */
export const MarginSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('percent'), percent: z.number().positive().max(1000) }),
  z.object({ kind: z.literal('absolute'), amount: z.number().positive() }),
]);

/** How picks or readings become one value a unit. */
export const Summary = z.enum([
  'sound-weight',
  'total-weight',
  'sound-count',
  'mean-piece-weight',
  'reading-mean',
  'reading-last',
  'reading-total',
  'reading-highest',
  'reading-area',
  'reading-change',
  'reading-rate',
]);
export type Summary = z.infer<typeof Summary>;

/** What is read, how, in what, and which way is better. */
export const Measure = z
  .object({
    id: MeasureId,
    name: Name,
    definition: z.string().max(400),
    response: Name,
    /** Of a harvest: `g` or `count`. Of readings: what is written behind the number. */
    unit: z.string().max(12),
    summary: Summary,
    better: z.enum(['higher', 'lower']),
    margin: MarginSchema.nullable(),
    isMain: z.boolean(),
    /** Of the library's readings: its key there; null for harvests and the gardener's own. */
    kindKey: z.string().max(40).nullable().default(null),
    /** How it is read; null for what is made from picks. */
    scale: Scale.nullable().default(null),
    /** Readings of parts of a unit, each time. */
    parts: z.int().min(1).max(60).default(1),
    /** Of a laboratory's value: what it calls enough and not too much, in the measure's unit. */
    optimum: z.object({ low: z.number(), high: z.number() }).readonly().nullable().default(null),
  })
  .readonly();
export type Measure = z.infer<typeof Measure>;

export const PlaceKind = z.enum([
  'garden',
  'bench',
  'shelf',
  'bed',
  'pot',
  'plot',
  'plant',
  'guard',
]);
export type PlaceKind = z.infer<typeof PlaceKind>;

/** Where something stands: a node of the tree ground > bench > shelf > bed > pot. Sizes in mm, offsets from the parent. A guard is a plant that nobody reads. */
export const Place = z
  .object({
    id: PlaceId,
    parentId: PlaceId.nullable(),
    kind: PlaceKind,
    name: Name,
    shape: z.enum(['round', 'square']),
    xMm: z.number(),
    yMm: z.number(),
    widthMm: z.number().positive(),
    depthMm: z.number().positive(),
  })
  .readonly();
export type Place = z.infer<typeof Place>;

/** Units alike but for the treatment. */
export const Block = z
  .object({ id: BlockId, name: Name, position: z.int().min(0), placeId: PlaceId.nullable() })
  .readonly();
export type Block = z.infer<typeof Block>;

/** An experimental unit: what a treatment was dealt to. */
export const ExperimentalUnit = z
  .object({
    id: UnitId,
    code: z.string().regex(/^[A-Z]{2}\d$/),
    placeId: PlaceId,
    blockId: BlockId.nullable(),
    treatmentId: TreatmentId,
    position: z.int().min(0),
    /** Of a Latin square: its column, from 0. */
    column: z.int().min(0).nullable().default(null),
    /** Of a split plot: the name of the bed it lies in. */
    wholePlot: z.string().max(120).nullable().default(null),
    /** Its size before the deal, in the gardener's own unit. */
    startSize: z.number().nullable().default(null),
    /** Its number among all plants that were raised and measured. */
    plant: z.int().min(1).nullable().default(null),
    /** What else is known to differ between units, by its name: variety, container, batch of the mix, who planted it. */
    traits: z.record(z.string().min(1).max(40), z.string().min(1).max(60)).default({}),
  })
  .readonly();
export type ExperimentalUnit = z.infer<typeof ExperimentalUnit>;

export const LayoutKind = z.enum([
  'complete-randomisation',
  'complete-blocks',
  'latin-square',
  'pairs',
  'split-plot',
  'several-gardens',
  'incomplete-blocks',
]);
export type LayoutKind = z.infer<typeof LayoutKind>;

/** Something about the place that makes one end of the bench better than the other. */
export const SiteFeature = z
  .object({
    kind: z.enum(['slope', 'light', 'wall', 'fence', 'tap', 'traffic']),
    /** Where it is strongest, the bench seen from above. */
    side: z.enum(['left', 'right', 'far', 'near']),
    /** What a plant where it is strongest would give more or less than one where it is not felt, in %. */
    percent: z.number().positive().max(100),
    /** Where it runs, in mm from the far left corner: the two ends of a wall, fence or path, twice the one point of a tap. null: along its side. */
    line: z
      .object({ x1Mm: z.number(), y1Mm: z.number(), x2Mm: z.number(), y2Mm: z.number() })
      .readonly()
      .nullable()
      .default(null),
    /** How far it is felt: here its effect has fallen to 37%. null: 30% of the bench. */
    reachMm: z.number().positive().max(50_000).nullable().default(null),
  })
  .readonly();
export type SiteFeature = z.infer<typeof SiteFeature>;

/** How the units were dealt: plan, seed and method version reproduce it exactly. */
export const Layout = z
  .object({
    kind: LayoutKind,
    unitsEach: z.int().min(1),
    blockWord: Name,
    blockCount: z.int().min(0),
    seed: Seed,
    methodVersion: z.int(),
    deals: z.int().min(1),
    /** Of a Latin square: what a column is. */
    columnWord: Name.nullable().default(null),
    /** Of a split plot: what a whole plot is, and the factor that was dealt to those. */
    wholeWord: Name.nullable().default(null),
    wholeFactor: Name.nullable().default(null),
    /** Of incomplete blocks: units in each. */
    perBlock: z.int().min(2).nullable().default(null),
    /** Units of the control in each block (or in all), where it gets more than the others. */
    controlEach: z.int().min(1).nullable().default(null),
    /** The largest imbalance of start sizes that the deal was allowed. */
    mostImbalance: z.number().min(0).nullable().default(null),
    /** Sizes of all plants that were raised, as they were listed; those set aside among them. */
    raisedSizes: z.array(z.number()).max(1000).readonly().default([]),
    /** How many benches or beds the blocks are shared out to. */
    benches: z.int().min(1).max(12).default(1),
    /** Blocks stand beside each other as columns, not below each other as rows. */
    isTurned: z.boolean().default(false),
    /** Places were moved by hand since the deal, with the treatments in sight. */
    isArrangedInSight: z.boolean().default(false),
    /** Plants that nobody reads stand round the bench. */
    hasGuards: z.boolean().default(false),
    site: z.array(SiteFeature).max(12).readonly().default([]),
  })
  .readonly();
export type Layout = z.infer<typeof Layout>;

/** What a look at one unit gave. Zero, not looked and dead are three different things. */
export const Outcome = z.enum(['picked', 'nothing-there', 'not-looked', 'dead']);
export type Outcome = z.infer<typeof Outcome>;

export const CullReason = z.enum([
  'rot',
  'split',
  'eaten',
  'infected',
  'green',
  'misshapen',
  'sunscald',
  'other',
]);
export type CullReason = z.infer<typeof CullReason>;

/** A harvest entry. `netG` = gross less tare; a revision names what it supersedes, and may be a removal. */
export const Pick = z
  .object({
    id: PickId,
    unitId: UnitId,
    pickedOn: CalendarDay,
    takenAt: z.iso.datetime(),
    outcome: Outcome,
    pieces: z.int().min(0).nullable(),
    grossG: z.number().min(0).nullable(),
    tareG: z.number().min(0),
    netG: z.number().min(0).nullable(),
    grade: z.enum(['sound', 'cull']),
    cullReason: CullReason.nullable(),
    note: Note,
    asWritten: z.string().max(80),
    supersedes: PickId.nullable(),
    isRemoval: z.boolean(),
  })
  .readonly();
export type Pick = z.infer<typeof Pick>;

/** One value of one measure on one unit, or a subsample of it, on one day. */
export const Reading = z
  .object({
    id: ReadingId,
    unitId: UnitId,
    measureId: MeasureId,
    subsample: z.string().max(40),
    takenOn: CalendarDay,
    takenAt: z.iso.datetime(),
    /** A number in the measure's unit; k of n: k; a step or class: its number; yes 1, no 0; a day: days after the start. */
    value: z.number().nullable(),
    outOf: z.int().min(1).nullable().default(null),
    outcome: Outcome,
    note: Note,
    /** The same unit read a second time, to know the reader's own error: it stays out of the values. */
    isRepeat: z.boolean().default(false),
    asWritten: z.string().max(80).default(''),
    /** What it was read with or typed on, as it calls itself. */
    device: z.string().max(60).default(''),
    supersedes: ReadingId.nullable(),
    isRemoval: z.boolean(),
  })
  .readonly();
export type Reading = z.infer<typeof Reading>;

export const MishapCause = z.enum([
  'death',
  'blight',
  'slugs',
  'frost',
  'heat',
  'flood',
  'animal',
  'mix-up',
  'label-lost',
  'missed-feed',
  'tipped',
  'other',
]);
export type MishapCause = z.infer<typeof MishapCause>;

export const MISHAP_WORDS: Readonly<Record<MishapCause, string>> = {
  death: 'died',
  blight: 'blight or another disease',
  slugs: 'slugs or snails',
  frost: 'frost',
  heat: 'heat or drought',
  flood: 'stood in water',
  animal: 'a cat, a bird, a vole',
  'mix-up': 'mixed up with another',
  'label-lost': 'lost its label',
  'missed-feed': 'missed a step',
  tipped: 'tipped or broken',
  other: 'something else',
};

/** Whether the treatment did it: then it is a result, and no mishap to be left out for. */
export const ByTreatment = z.enum(['yes', 'no', 'unknown']);
export type ByTreatment = z.infer<typeof ByTreatment>;

/** What follows: it stays; it counts no more at all; no more from that day on; a spare stands in from that day; all was cut back, and the line begins anew. */
export const Decision = z.enum(['keep', 'leave-out', 'leave-out-from', 'replace', 'start-anew']);
export type Decision = z.infer<typeof Decision>;

/** Something that happened to units, and what was decided. */
export const Incident = z
  .object({
    id: IncidentId,
    unitId: UnitId,
    happenedOn: CalendarDay,
    recordedAt: z.iso.datetime(),
    what: Name,
    why: Note,
    by: z.string().max(80),
    decision: Decision,
    cause: MishapCause.nullable().default(null),
    byTreatment: ByTreatment.default('unknown'),
    afterKeyOpened: z.boolean(),
    supersedes: IncidentId.nullable(),
    isRemoval: z.boolean(),
  })
  .readonly();
export type Incident = z.infer<typeof Incident>;

export const TrialState = z.enum(['planned', 'locked', 'closed']);
export type TrialState = z.infer<typeof TrialState>;

/** What was agreed before the start, so that nobody decides it after a look at the results. */
export const TrialRules = z
  .object({
    end: z.enum(['date', 'stage']).default('date'),
    endStage: z.string().max(200).default(''),
    leaveOut: z.string().max(400).default(''),
    replace: z.string().max(400).default(''),
    cull: z.string().max(400).default(''),
    /** When a piece is ripe: what is picked before counts as green. */
    ripe: z.string().max(400).default(''),
    /** The last day on which a spare may stand in for a unit; empty: none was set. */
    replaceUntil: z.union([z.literal(''), CalendarDay]).default(''),
    /** Who may see which unit got what before the end. */
    key: z.string().max(400).default(''),
    /** When an untreated unit is saved, and that its measuring ends there. */
    rescue: z.string().max(400).default(''),
    /** The two treatments the question is about, by name, where it is not about the control; both empty otherwise. */
    askedOne: z.string().max(120).default(''),
    askedOther: z.string().max(120).default(''),
    /** Over how many seasons it is meant to run. */
    seasons: z.int().min(1).max(20).default(1),
  })
  .readonly();
export type TrialRules = z.infer<typeof TrialRules>;

/** What a treatment costs a unit and what the crop is worth, as the margin was worked out from. */
export const MarginMoney = z
  .object({
    costEach: z.number().positive(),
    worthPerKg: z.number().positive(),
    presentKg: z.number().positive(),
  })
  .readonly();
export type MarginMoney = z.infer<typeof MarginMoney>;

/** What somebody expects, sealed until the verdict. */
export const Prediction = z
  .object({
    id: z.uuidv7(),
    by: Name,
    /** A treatment's name, or null for “no difference that matters”. */ expects: Name.nullable(),
    why: z.string().trim().min(1).max(600),
    sealedAt: z.iso.datetime(),
    /** Of the end inspection: what is foretold to be found. Empty: which treatment does best. */
    about: z.string().max(120).default(''),
  })
  .readonly();
export type Prediction = z.infer<typeof Prediction>;

/** A change of the plan after it was locked. It shows on the verdict. */
export const Amendment = z
  .object({
    id: z.uuidv7(),
    at: z.iso.datetime(),
    what: z.enum(['margin', 'end', 'rules', 'other']),
    from: z.string().max(400),
    to: z.string().max(400),
    why: z.string().trim().min(3).max(600),
    by: z.string().max(80),
    afterKeyOpened: z.boolean(),
  })
  .readonly();
export type Amendment = z.infer<typeof Amendment>;

/** What somebody would do otherwise next time. It goes with the next trial that begins from this one. */
export const Regret = z
  .object({
    id: z.uuidv7(),
    at: z.iso.datetime(),
    text: z.string().trim().min(3).max(600),
    by: z.string().max(80),
  })
  .readonly();
export type Regret = z.infer<typeof Regret>;

/** A trial's own facts. */
export const Trial = z
  .object({
    id: TrialId,
    gardenId: GardenId,
    question: z.string().trim().min(1).max(300),
    crop: Name,
    unitWord: Name,
    state: TrialState,
    isBlind: z.boolean(),
    startsOn: CalendarDay,
    endsOn: CalendarDay,
    lockedAt: z.iso.datetime().nullable(),
    closedAt: z.iso.datetime().nullable(),
    keyOpenedAt: z.iso.datetime().nullable(),
    /** The question pattern it began from. */
    pattern: z.string().max(60).nullable().default(null),
    /** A gift, an own recipe, a sale: what might make somebody wish for a result. */
    interest: z.string().max(400).default(''),
    rules: TrialRules.default(() => TrialRules.parse({})),
    money: MarginMoney.nullable().default(null),
  })
  .readonly();
export type Trial = z.infer<typeof Trial>;

/** One trial, whole, with the products its care uses. Picks, readings, incidents and acts are the standing ones: no superseded revision, no removal. */
export const TrialData = z
  .object({
    format: z.literal('turnspit-trial'),
    version: z.literal(1),
    trial: Trial,
    factors: z.array(Factor).readonly(),
    treatments: z.array(Treatment).readonly(),
    measures: z.array(Measure).readonly(),
    layout: Layout.nullable(),
    places: z.array(Place).readonly(),
    blocks: z.array(Block).readonly(),
    units: z.array(ExperimentalUnit).readonly(),
    picks: z.array(Pick).readonly(),
    readings: z.array(Reading).readonly(),
    incidents: z.array(Incident).readonly(),
    care: CarePlan.default(NO_CARE),
    products: z.array(Product).readonly().default([]),
    predictions: z.array(Prediction).readonly().default([]),
    amendments: z.array(Amendment).readonly().default([]),
    regrets: z.array(Regret).readonly().default([]),
  })
  .readonly();
export type TrialData = z.infer<typeof TrialData>;
