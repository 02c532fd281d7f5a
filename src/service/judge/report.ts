import { type JudgeInput, STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { leftOutOf } from '@/core/judge/units/analysis-sets';
import { mainMeasure, plannedSpec } from '@/core/judge/units/trial-analysis';
import type { FrozenFile } from '@/core/judge/verdict/frozen-file';
import { plannedVerdict } from '@/core/judge/verdict/planned-verdict';
import { cautionsFor, LABEL_DECIDES } from '@/core/materials/safety/cautions';
import { valuePrinter } from '@/core/measure/library/print-measure';
import { unitValues } from '@/core/measure/unit-value/unit-values';
import { protocolOf } from '@/core/print/protocol';
import { MASS_STYLE_FOR } from '@/core/quantity/print-quantity';
import { failure, type Result, success } from '@/core/result';
import { benchPlaces } from '@/core/trial/bench-places';
import type { TrialData } from '@/core/trial/model/trial-data';
import { cornersOn } from '@/core/trial/place-corner';
import type { TrialTrouble } from '@/core/trial/trial-trouble';
import { CODE_VERSION } from '@/core/version';
import { counted, pluralOf } from '@/core/words/plural';
import { type Report, type ReportTable, reportHtml } from '@/print/report-html';
import { today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { database } from '@/store/connection/database';
import { findTrialData } from '@/store/trials';
import { findFrozenVerdict } from '@/store/verdicts';
import { isKeyOpen } from './close-trial';
import { verdictOfReport } from './report-verdict';

/** What a report can be had as. */
export type ReportForm = 'html' | 'csv' | 'entries' | 'json' | 'frozen';

export interface ReportFile {
  readonly name: string;
  readonly type: string;
  readonly body: string;
}

/**
 * A trial's report, or the data behind it. Names of people are left out unless they are asked for. Not before the key is open:
 * it tells which unit got what.
 */
export async function reportFile(
  trialId: string,
  form: ReportForm,
  hasNames: boolean,
): Promise<Result<ReportFile, TrialTrouble>> {
  const found = await findTrialData(database(), trialId);
  if (!found) return failure({ kind: 'no-such-trial' });
  if (found.trial.state === 'planned') return failure({ kind: 'not-locked' });
  if (!isKeyOpen(found.trial)) return failure({ kind: 'key-shut' });
  const data = hasNames ? found : withoutNames(found);
  const csv = (name: string, rows: readonly (readonly string[])[]): ReportFile => ({
    name,
    type: 'text/csv; charset=utf-8',
    body: `${rows.map(row => row.map(csvCell).join(',')).join('\n')}\n`,
  });
  switch (form) {
    case 'html':
      return success({
        name: 'report.html',
        type: 'text/html; charset=utf-8',
        body: reportHtml(await reportOf(data)),
      });
    case 'csv':
      return success(csv('units.csv', unitRows(data)));
    case 'entries':
      return success(csv('entries.csv', entryRows(data)));
    case 'json':
      return success({
        name: 'trial.json',
        type: 'application/json',
        body: JSON.stringify(data, null, 1),
      });
    case 'frozen': {
      const frozen = await findFrozenVerdict(database(), trialId);
      if (!frozen) return failure({ kind: 'not-closed' });
      const input: Partial<Pick<JudgeInput, 'shuffles' | 'seed' | 'priorCv'>> = JSON.parse(
        frozen.input,
      ); // judged by its kind, it knows no shuffles
      const planned = plannedSpec(data, STARTING_GUESS_CV);
      const spec = {
        ...planned,
        shuffles: input.shuffles ?? planned.shuffles,
        seed: input.seed ?? planned.seed,
        priorCv: input.priorCv ?? planned.priorCv,
      };
      const file: FrozenFile = {
        format: 'turnspit-frozen',
        version: 1,
        code: CODE_VERSION,
        closedAt: frozen.closedAt,
        data,
        look: spec,
        input,
        judgement: JSON.parse(frozen.judgement),
      };
      return success({
        name: 'frozen-verdict.json',
        type: 'application/json',
        body: JSON.stringify(file),
      });
    }
  }
}

function withoutNames(data: TrialData): TrialData {
  return {
    ...data,
    incidents: data.incidents.map(incident => ({ ...incident, by: '' })),
    amendments: data.amendments.map(amendment => ({ ...amendment, by: '' })),
    predictions: data.predictions.map((prediction, i) => ({
      ...prediction,
      by: `person ${i + 1}`,
    })),
    regrets: data.regrets.map(regret => ({ ...regret, by: '' })),
    care: { ...data.care, acts: data.care.acts.map(act => ({ ...act, by: '' })) },
  };
}

/** A cell that a spreadsheet takes for what it is, not for a formula. */
function csvCell(written: string): string {
  const safe = /^[=+@\t\r]|^-(?!\d)/.test(written) ? `'${written}` : written;
  return /[",\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
}

const nameOf = (data: TrialData, treatmentId: string): string =>
  data.treatments.find(treatment => treatment.id === treatmentId)?.name ?? '';

/** One row a unit, one column a measure: what the judge compares. */
function unitRows(data: TrialData): readonly (readonly string[])[] {
  const values = data.measures.map(
    measure => new Map(unitValues(data, measure).map(each => [each.unit.id, each.value])),
  );
  const out = new Set(leftOutOf(data, 'planned'));
  return [
    [
      'code',
      'treatment',
      'block',
      'column',
      'start_size',
      'left_out',
      ...data.measures.map(
        measure =>
          `${measure.name}${measure.unit === '' || measure.unit === 'count' ? '' : ` (${measure.unit})`}`,
      ),
    ],
    ...data.units.map(unit => [
      unit.code,
      nameOf(data, unit.treatmentId),
      data.blocks.find(block => block.id === unit.blockId)?.name ?? '',
      unit.column === null ? '' : String(unit.column + 1),
      unit.startSize === null ? '' : String(unit.startSize),
      out.has(unit.code) ? 'yes' : '',
      ...values.map(each => {
        const value = each.get(unit.id);
        return value == null ? '' : String(value);
      }),
    ]),
  ];
}

/** Every stateWords pick and reading as it was entered. */
function entryRows(data: TrialData): readonly (readonly string[])[] {
  const codeOf = new Map(data.units.map(unit => [unit.id, unit.code]));
  const measureOf = new Map(data.measures.map(measure => [measure.id, measure]));
  const figure = (value: number | null): string => (value === null ? '' : String(value));
  return [
    [
      'kind',
      'day',
      'code',
      'measure',
      'part',
      'outcome',
      'value',
      'out_of',
      'unit',
      'pieces',
      'grade',
      'note',
    ],
    ...data.picks.map(pick => [
      'pick',
      pick.pickedOn,
      codeOf.get(pick.unitId) ?? '',
      '',
      '',
      pick.outcome,
      figure(pick.netG),
      '',
      'g',
      figure(pick.pieces),
      pick.grade,
      pick.note,
    ]),
    ...data.readings.map(reading => {
      const measure = measureOf.get(reading.measureId);
      return [
        'reading',
        reading.takenOn,
        codeOf.get(reading.unitId) ?? '',
        measure?.name ?? '',
        reading.subsample,
        reading.outcome,
        figure(reading.value),
        figure(reading.outOf),
        measure?.unit ?? '',
        '',
        '',
        reading.note,
      ];
    }),
  ];
}

async function reportOf(data: TrialData): Promise<Report> {
  const { trial, treatments, layout } = data;
  const main = mainMeasure(data);
  const spec = plannedSpec(data, STARTING_GUESS_CV);
  const { warnings, judged, ...verdict } = verdictOfReport(
    plannedVerdict(data, spec),
    valuePrinter(main, MASS_STYLE_FOR[(await currentGarden()).system]),
  );
  const isLate = (at: string): boolean => trial.closedAt !== null && at > trial.closedAt;
  return {
    question: trial.question,
    measure: main.name,
    ...verdict,
    stateWords: `${trial.crop}, ${trial.startsOn} to ${trial.state === 'closed' ? trial.endsOn : `${today()}, not ended yet`}. ${counted(data.units.length, trial.unitWord)}, ${trial.isBlind ? 'weighed blind' : 'not blind'}.`,
    letters: Object.fromEntries(treatments.map(treatment => [treatment.name, treatment.letter])),
    map: mapOf(data),
    limits: [...warnings, ...limitsOf(data)],
    cautions: cautionsOf(data),
    corrections: data.amendments
      .filter(amendment => isLate(amendment.at))
      .map(amendment => `${amendment.at.slice(0, 10)}: ${amendment.to} ${amendment.why}`),
    tables: tablesOf(data, judged),
    protocol: protocolOf(data),
    made: `Made with Turnspit ${CODE_VERSION} on ${today()}. Deal: seed ${layout?.seed ?? '—'}, method ${layout?.methodVersion ?? '—'}; shuffles: seed ${spec.seed}. The data go with this report as CSV and JSON.`,
  };
}

function limitsOf(data: TrialData): readonly string[] {
  const { trial, incidents, amendments } = data;
  const before = amendments.filter(
    amendment => trial.closedAt === null || amendment.at <= trial.closedAt,
  );
  return [
    `One garden, one season: what held here need not hold elsewhere.`,
    ...(trial.interest === '' ? [] : [`Interest declared: ${trial.interest}`]),
    ...(trial.isBlind && trial.keyOpenedAt !== null && trial.keyOpenedAt.slice(0, 10) < trial.endsOn
      ? [`The key was opened on ${trial.keyOpenedAt.slice(0, 10)}, before the end.`]
      : []),
    ...incidents.map(
      incident =>
        `${data.units.find(unit => unit.id === incident.unitId)?.code ?? ''}, ${incident.happenedOn}: ${incident.what}; ${incident.decision.replaceAll('-', ' ')}. ${incident.why}${incident.afterKeyOpened ? ' (Decided after the key was open.)' : ''}`,
    ),
    ...before.map(
      amendment =>
        `Changed after the lock on ${amendment.at.slice(0, 10)}: ${amendment.from ? `${amendment.from} to ` : ''}${amendment.to}. ${amendment.why}`,
    ),
  ];
}

function cautionsOf({ products }: TrialData): readonly string[] {
  const waits = products.flatMap(product =>
    product.waitingDays
      ? [
          `${product.name}: nothing is picked to eat until ${counted(product.waitingDays, 'day')} after it.`,
        ]
      : [],
  );
  const all = [
    ...waits,
    ...cautionsFor(products.flatMap(product => product.hazards)).map(caution => caution.says),
  ];
  return [...all, ...(all.length > 0 || products.length > 0 ? [LABEL_DECIDES] : [])];
}

function tablesOf(data: TrialData, judged: ReportTable): readonly ReportTable[] {
  const [heads = [], ...rows] = unitRows(data);
  return [
    { title: `Every ${data.trial.unitWord}`, heads, rows },
    judged,
    {
      title: 'What was expected',
      heads: ['who', 'what does best', 'why', 'sealed'],
      rows: data.predictions.map(prediction => [
        prediction.by,
        prediction.about === ''
          ? (prediction.expects ?? 'no difference that matters')
          : `${prediction.about}: ${prediction.expects ?? 'no difference'}`,
        prediction.why,
        prediction.sealedAt.slice(0, 10),
      ]),
    },
    {
      title: `What grew: ${pluralOf(data.trial.unitWord)} by treatment`,
      heads: ['letter', 'treatment', 'what is done'],
      rows: data.treatments.map(treatment => [treatment.letter, treatment.name, treatment.detail]),
    },
  ];
}

function mapOf(data: TrialData): Report['map'] {
  const { ground } = benchPlaces(data.places);
  const cornerOf = cornersOn(data.places);
  const byId = new Map(data.places.map(place => [place.id, place]));
  return {
    widthMm: ground?.widthMm ?? 1,
    depthMm: ground?.depthMm ?? 1,
    units: data.units.flatMap(unit => {
      const place = byId.get(unit.placeId);
      if (!place) return [];
      const { xMm, yMm } = cornerOf(place);
      return [
        {
          code: unit.code,
          letter:
            data.treatments.find(treatment => treatment.id === unit.treatmentId)?.letter ?? '',
          x: xMm,
          y: yMm,
          w: place.widthMm,
          h: place.depthMm,
        },
      ];
    }),
  };
}
