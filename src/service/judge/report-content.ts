import { expectedWords, guessSubject } from '@/core/judge/after/guess-words';
import type { Judgement } from '@/core/judge/outcomes/judgement';
import { STARTING_GUESS_CV } from '@/core/judge/question/judge-input';
import { agreedLooksWords } from '@/core/judge/question/planned-looks';
import { type AnalysisSet, setWords } from '@/core/judge/units/analysis-sets';
import {
  type AnalysisSpec,
  judgementOfSound,
  judgementWithAllIn,
  mainMeasure,
  plannedSpec,
} from '@/core/judge/units/trial-analysis';
import { plannedVerdict } from '@/core/judge/verdict/planned-verdict';
import { cautionsFor, LABEL_DECIDES } from '@/core/materials/safety/cautions';
import { roundUnit, valuePrinter } from '@/core/measure/library/print-measure';
import { givenPart } from '@/core/print/given-part';
import { CARE_TITLE, type ProtocolPart, protocolOf } from '@/core/print/protocol';
import { MASS_STYLE_FOR } from '@/core/quantity/print-quantity';
import type { MeasureSystem } from '@/core/quantity/unit-of-measure';
import { fullDay } from '@/core/time/days';
import { benchPlaces } from '@/core/trial/bench-places';
import { DECISION_WORDS } from '@/core/trial/decision-words';
import type { Incident } from '@/core/trial/model/incident';
import type { TrialData } from '@/core/trial/model/trial-data';
import { cornersOn } from '@/core/trial/place-corner';
import { CODE_VERSION } from '@/core/version';
import { counted, pluralOf } from '@/core/words/plural';
import { sentenceCase } from '@/core/words/sentence-case';
import type { Report, ReportTable } from '@/print/report/report';
import { today } from '@/service/garden/clock';
import { currentGarden } from '@/service/garden/garden';
import { valueTables } from './report-values';
import { verdictOfReport } from './report-verdict';

export async function reportOf(data: TrialData): Promise<Report> {
  const { trial, treatments, layout } = data;
  const main = mainMeasure(data);
  const { system } = await currentGarden();
  const style = MASS_STYLE_FOR[system];
  const spec = { ...plannedSpec(data, STARTING_GUESS_CV), system };
  const { warnings, judged, ...verdict } = verdictOfReport(
    plannedVerdict(data, spec),
    valuePrinter(main, style),
  );
  const isLate = (at: string): boolean => trial.closedAt !== null && at > trial.closedAt;
  return {
    question: trial.question,
    measure: main.name,
    ...verdict,
    roundUnit: most => roundUnit(main, style, most),
    stateWords: `${trial.crop}, ${fullDay(trial.startsOn)} to ${trial.state === 'closed' ? fullDay(trial.endsOn) : `${fullDay(today())}, not ended yet`}. ${counted(data.units.length, trial.unitWord)}, ${trial.isBlind ? 'weighed blind' : 'not blind'}.`,
    letters: Object.fromEntries(treatments.map(treatment => [treatment.name, treatment.letter])),
    map: mapOf(data),
    facts: factsOf(data),
    limits: [...warnings, ...otherSets(data, spec), ...limitsOf(data)],
    cautions: cautionsOf(data),
    corrections: data.amendments
      .filter(amendment => isLate(amendment.at))
      .map(amendment => `${fullDay(amendment.at)}: ${amendment.to} ${amendment.why}`),
    tables: tablesOf(data, judged, system),
    protocol: plannedAndGiven(data, system),
    made: `Made with Turnspit ${CODE_VERSION} on ${fullDay(today())}. Deal: seed ${layout?.seed ?? '—'}, method ${layout?.methodVersion ?? '—'}; shuffles: seed ${spec.seed}. The data are in this page.`,
  };
}

/** The protocol, with the care plan and what is on record of it apart. */
function plannedAndGiven(data: TrialData, system: MeasureSystem): readonly ProtocolPart[] {
  const until = data.trial.state === 'closed' ? data.trial.endsOn : today();
  const given = givenPart(data, until, system);
  return protocolOf(data, system).flatMap(part =>
    part.title === CARE_TITLE
      ? [{ ...part, title: 'What was planned' }, ...(given ? [given] : [])]
      : [part],
  );
}

/** What it would say of other units, where others could be counted. */
function otherSets(data: TrialData, spec: AnalysisSpec): readonly string[] {
  const said = (set: AnalysisSet, judgement: Judgement | undefined): readonly string[] =>
    judgement
      ? [
          `Counting ${setWords(set, data.trial)}: ${judgement.verdict.headline} ${judgement.verdict.detail}`,
        ]
      : [];
  return [
    ...said('all', judgementWithAllIn(data, spec)),
    ...said('sound', judgementOfSound(data, spec)),
  ];
}

function gardensOf({ layout }: TrialData): string {
  if (layout?.kind !== 'several-gardens') return 'One garden';
  return sentenceCase(counted(layout.blockCount, 'garden'));
}

/** What was compared, of how many, where and how blind. */
function factsOf(data: TrialData): Report['facts'] {
  const { trial, treatments, units, layout } = data;
  const each = [
    ...new Set(treatments.map(({ id }) => units.filter(u => u.treatmentId === id).length)),
  ];
  const blocks =
    layout && layout.blockCount > 1 ? `, in ${counted(layout.blockCount, layout.blockWord)}` : '';
  return [
    ['Compared', treatments.map(({ letter, name }) => `${letter} ${name}`).join(' · ')],
    [
      'How many',
      `${each.length === 1 ? `${counted(each[0] ?? 0, trial.unitWord)} of each` : counted(units.length, trial.unitWord)}${blocks}`,
    ],
    ['Grown', trial.crop],
    [
      'Judged by',
      `${mainMeasure(data).name}: ${mainMeasure(data).definition.replace(/\bunit\b/g, trial.unitWord)}`,
    ],
    [
      'Who knew',
      trial.isBlind
        ? 'Weighed by codes: what each got was not seen until the key was opened.'
        : 'It was seen what each got.',
    ],
  ];
}

function limitsOf(data: TrialData): readonly string[] {
  const { trial, layout, incidents, amendments } = data;
  const before = amendments.filter(
    amendment => trial.closedAt === null || amendment.at <= trial.closedAt,
  );
  return [
    `${gardensOf(data)}, one season: what held here need not hold elsewhere.`,
    ...(layout?.keptFrom
      ? ['Nothing was given this season: it is what an earlier trial left in the ground.']
      : []),
    ...(layout?.isGiven
      ? ['Its layout was brought in as a table: how it was dealt is not known.']
      : []),
    ...[agreedLooksWords(trial)].filter(says => says !== null),
    ...(trial.interest === '' ? [] : [`Interest declared: ${trial.interest}`]),
    ...(trial.isBlind && trial.keyOpenedAt !== null && trial.keyOpenedAt.slice(0, 10) < trial.endsOn
      ? [`The key was opened on ${fullDay(trial.keyOpenedAt)}, before the end.`]
      : []),
    ...incidents.map(
      incident =>
        `${data.units.find(unit => unit.id === incident.unitId)?.code ?? ''}, ${fullDay(incident.happenedOn)}: ${mishapWords(incident)} ${incident.why}${incident.afterKeyOpened ? ` (Decided after ${trial.isBlind ? 'the key was open' : 'the first reading'}: it counts in the verdict all the same.)` : ''}`,
    ),
    ...before.map(
      amendment =>
        `Changed after the lock on ${fullDay(amendment.at)}: ${amendment.from ? `${amendment.from} to ` : ''}${amendment.to}. ${amendment.why}`,
    ),
  ];
}

/** What happened and what was decided, unless that says it already. */
function mishapWords({ what, decision }: Incident): string {
  const decided = DECISION_WORDS[decision];
  const isSaid = decision === 'leave-out' && /^left out/i.test(what);
  return isSaid ? `${sentenceCase(what)}.` : `${sentenceCase(what)}. ${decided}.`;
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

function tablesOf(
  data: TrialData,
  judged: ReportTable,
  system: MeasureSystem,
): readonly ReportTable[] {
  return [
    ...valueTables(data, system),
    judged,
    {
      title: 'What was expected',
      heads: ['who', 'of what', 'expects', 'why', 'sealed'],
      rows: data.predictions.map(prediction => [
        prediction.by,
        guessSubject(prediction, data.measures) || 'which does best',
        expectedWords(prediction),
        prediction.why,
        fullDay(prediction.sealedAt),
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
