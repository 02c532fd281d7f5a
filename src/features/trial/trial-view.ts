import { seenDue } from '@/core/blinding/bottle-steps';
import { seenActName } from '@/core/blinding/seen-acts';
import { mainMeasure } from '@/core/judge/units/trial-analysis';
import { unitsRead } from '@/core/measure/unit-value/unit-values';
import { dueToday } from '@/core/schedule/tasks/due-today';
import { caredTrialOf } from '@/core/schedule/tasks/open-steps';
import { daysBetween } from '@/core/time/garden-day';
import type { TrialData } from '@/core/trial/model/trial-data';
import { alertOf, type WeatherAlert, type WeatherDay } from '@/core/weather/weather-day';
import { counted } from '@/core/words/plural';

export const STEPS = [
  { key: 'ask', label: 'Ask' },
  { key: 'lay-out', label: 'Lay out' },
  { key: 'tend', label: 'Tend' },
  { key: 'weigh', label: 'Weigh' },
  { key: 'judge', label: 'Judge' },
] as const;
export type StepKey = (typeof STEPS)[number]['key'];

/** The frame of a trial, as plain data: what is over and under every step. */
export interface TrialFrameView {
  readonly id: string;
  readonly question: string;
  readonly stateWords: string;
  readonly facts: Readonly<Record<StepKey, string>>;
  readonly season: SeasonView;
}

/** The season line: days counted from the start. */
export interface SeasonView {
  readonly startsOn: string;
  readonly endsOn: string;
  readonly lengthDays: number;
  readonly todayAt: number;
  readonly picks: readonly { readonly at: number; readonly on: string; readonly units: number }[];
  /** Days on which something was given or done. */
  readonly care: readonly { readonly at: number; readonly on: string; readonly words: string }[];
  readonly weather: readonly {
    readonly at: number;
    readonly on: string;
    readonly rainMm: number;
    readonly alert: WeatherAlert | null;
  }[];
  readonly mishaps: readonly { readonly at: number; readonly on: string; readonly words: string }[];
}

/** @param judged the one fact under Judge, which only a judgement or a frozen verdict can tell */
export function trialFrameOf(
  data: TrialData,
  today: string,
  judged: string | null,
  weather: readonly WeatherDay[] = [],
): TrialFrameView {
  const { trial, treatments, layout, units } = data;
  const words = trial.unitWord;
  const unitCount = counted(units.length, words);
  return {
    id: trial.id,
    question: trial.question,
    stateWords: stateWordsOf(data, today),
    facts: {
      ask: `${treatments.length} treatments`,
      'lay-out': layout
        ? `${unitCount}${layout.blockCount > 0 ? `, ${counted(layout.blockCount, layout.blockWord)}` : ''}`
        : 'not dealt yet',
      tend: tendWords(data, today),
      weigh:
        trial.state === 'planned'
          ? 'after the lock'
          : `${unitsRead(data, mainMeasure(data))} of ${unitCount} read`,
      judge: judged ?? (trial.state === 'planned' ? 'after the harvest' : 'so far'),
    },
    season: seasonOf(data, today, weather),
  };
}

function tendWords(data: TrialData, today: string): string {
  if (data.care.rules.length === 0) return 'nothing planned';
  const due = seenDue(dueToday([caredTrialOf(data)], [], today)).steps.length;
  return data.trial.state === 'closed'
    ? `${counted(data.care.acts.length, 'task')} done`
    : due === 0
      ? 'nothing due'
      : `${due} due`;
}

function stateWordsOf({ trial }: TrialData, today: string): string {
  if (trial.state === 'planned') return 'plan not locked';
  if (trial.closedAt) return 'closed, verdict frozen';
  const length = daysBetween(trial.startsOn, trial.endsOn);
  const day = daysBetween(trial.startsOn, today);
  const count =
    day < 0
      ? `begins in ${-day} days`
      : day > length
        ? 'the season is over'
        : `day ${day} of ${length}`;
  return `locked · ${trial.isBlind && !trial.keyOpenedAt ? 'blind · ' : ''}${count}`;
}

function seasonOf(data: TrialData, today: string, weather: readonly WeatherDay[]): SeasonView {
  const { trial, picks, incidents, units, care } = data;
  const acts = care.acts.filter(act => !act.isSkipped);
  const days = [...new Set(picks.map(pick => pick.pickedOn))].sort();
  return {
    startsOn: trial.startsOn,
    endsOn: trial.endsOn,
    lengthDays: Math.max(1, daysBetween(trial.startsOn, trial.endsOn)),
    todayAt: daysBetween(trial.startsOn, today),
    picks: days.map(on => ({
      on,
      at: daysBetween(trial.startsOn, on),
      units: new Set(picks.filter(pick => pick.pickedOn === on).map(pick => pick.unitId)).size,
    })),
    care: [...new Set(acts.map(act => act.doneOn))].sort().map(on => ({
      on,
      at: daysBetween(trial.startsOn, on),
      words: [
        ...new Set(acts.filter(act => act.doneOn === on).map(act => seenActName(act, data))),
      ].join(', '),
    })),
    weather: weather
      .filter(day => day.rainMm >= 1 || alertOf(day) !== undefined)
      .map(day => ({
        on: day.day,
        at: daysBetween(trial.startsOn, day.day),
        rainMm: day.rainMm,
        alert: alertOf(day) ?? null,
      })),
    mishaps: incidents.map(incident => ({
      on: incident.happenedOn,
      at: daysBetween(trial.startsOn, incident.happenedOn),
      words: `${units.find(unit => unit.id === incident.unitId)?.code ?? ''}: ${incident.why}`,
    })),
  };
}
