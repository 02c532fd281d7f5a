import { dealPlanOf } from '@/core/design/layouts/deal-plan';
import { feedingAsked } from '@/core/design/question/compared-act';
import { judgedAfter, windowTrouble } from '@/core/materials/label/mode-of-action';
import {
  heldByMix,
  type LedgerFlag,
  ledgerFlags,
  nutrientLedger,
} from '@/core/materials/ledger/nutrient-ledger';
import { adherenceOf, isUneven } from '@/core/schedule/adherence/adherence';
import { unevenActs } from '@/core/schedule/adherence/uneven-acts';
import { careTasks } from '@/core/schedule/tasks/due-today';
import { ownMeasures, unitMeasuresOf } from '@/core/schedule/tasks/unit-measures';
import { daysBetween } from '@/core/time/garden-day';
import { isKeyOpen } from '@/core/trial/key';
import type { TrialData } from '@/core/trial/model/trial-data';
import { counted } from '@/core/words/plural';
import { type Check, note, weakens } from './audit-view';
import { dosesOffLevel } from './dose-levels';
import { lastKnownDay } from './last-known-day';

/** What happened since, and what it does to the answer. */
export const SEASON_CHECKS: Readonly<Record<string, Check>> = {
  scope: ({ data }) =>
    data.layout !== null &&
    data.layout.kind !== 'several-gardens' &&
    note(
      'One garden, one season.',
      'What holds here need not hold elsewhere.',
      'Say “here, this year”; try it in other gardens.',
    ),
  'key-early': ({ data }) => {
    const opened = data.trial.keyOpenedAt;
    return (
      data.trial.isBlind &&
      opened !== null &&
      opened.slice(0, 10) < data.trial.endsOn &&
      data.picks.some(pick => pick.takenAt > opened) &&
      weakens(
        `The key was opened on ${opened.slice(0, 10)}, before the end.`,
        'What was weighed afterwards was not weighed blind.',
        '',
      )
    );
  },
  'left-out-late': ({ data }) =>
    data.incidents.some(incident => incident.decision === 'leave-out' && incident.afterKeyOpened) &&
    weakens(
      'Something was left out after the key was open.',
      'Then it is known whom it helps.',
      'Look at the verdict with all in.',
    ),
  'left-out-one-sided': ({ data, words }) => {
    const out = data.incidents
      .filter(incident => incident.decision === 'leave-out')
      .map(incident => data.units.find(unit => unit.id === incident.unitId)?.treatmentId);
    return (
      out.length >= 2 &&
      new Set(out).size === 1 &&
      weakens(
        `All ${words} left out had the same treatment.`,
        'Perhaps it was the treatment that did it.',
        'Judge with all in, and count the losses.',
      )
    );
  },
  'unread-unevenly': ({ data, words }) => {
    if (data.picks.length === 0) return false;
    const shares = data.treatments.map(treatment => {
      const own = data.units.filter(unit => unit.treatmentId === treatment.id);
      return (
        own.filter(unit => data.picks.some(pick => pick.unitId === unit.id)).length /
        Math.max(1, own.length)
      );
    });
    return (
      Math.max(...shares) - Math.min(...shares) > 0.25 &&
      weakens(
        `Some treatments have more ${words} without a value.`,
        'What is missing may be what was worst.',
        'Go round again.',
      )
    );
  },
  'kept-unevenly': ({ data }) => {
    const kept = adherenceOf(
      data.care.rules,
      careTasks(data, lastKnownDay(data)),
      data.treatments.map(treatment => treatment.id),
      data.units,
    );
    // By whom the bottles were forgotten would tell which they are.
    if (!isKeyOpen(data.trial) || !isUneven(kept)) return false;
    const worst = [...kept].filter(each => each.planned > 0).sort((a, b) => a.share - b.share)[0];
    const name = data.treatments.find(treatment => treatment.id === worst?.treatmentId)?.name ?? '';
    return weakens(
      `${name} got ${Number((worst?.done ?? 0).toFixed(1))} of ${counted(worst?.planned ?? 0, 'planned task')}, others more of theirs.`,
      'What is compared is partly how well each was kept.',
      data.trial.state === 'closed' ? '' : 'Make up for it if the plan allows, for all alike.',
    );
  },
  'acts-on-some': ({ data, words }) => {
    const acts = unevenActs(data);
    const [first] = acts;
    return (
      first !== undefined &&
      note(
        `${counted(acts.length, 'act')} went to some ${words} only: ${first.name} on ${first.on} to ${first.codes.join(', ')}.`,
        'What one gets for its health and another does not is a second difference.',
        '',
      )
    );
  },
  'window-too-short': ({ data }) => {
    const late = tooLateToShow(data);
    return (
      late.length > 0 &&
      weakens(
        late.map(each => `${each.product}: ${each.trouble}`).join(' '),
        'What has had no time to work is judged as if it did nothing.',
        data.trial.state === 'planned'
          ? 'End later, or give it sooner.'
          : 'Say “so far”, and look again.',
      )
    );
  },
  'barriers-bridged': ({ data, words }) => {
    const bridged = data.care.acts.filter(
      act =>
        act.outcome === 'not-as-it-should-be' &&
        data.care.rules.some(rule => rule.id === act.ruleId && rule.kind === 'barrier'),
    );
    return (
      bridged.length > 0 &&
      weakens(
        `Barriers were found bridged ${counted(bridged.length, 'time')}.`,
        `What crosses a leaf reaches all ${words} behind it.`,
        data.trial.state === 'closed' ? '' : 'Mend them for all alike, and note the day.',
      )
    );
  },
  'several-seasons': ({ data }) =>
    data.trial.rules.seasons > 1 &&
    note(
      `One of ${data.trial.rules.seasons} seasons that were planned.`,
      'The answer was meant to come from all of them.',
      '',
    ),
  'no-rescue-rule': ({ data }) =>
    data.trial.rules.rescue === '' &&
    data.treatments.some(treatment => treatment.controlKind === 'nothing') &&
    note(
      'Nothing says what happens when the untreated ones fail.',
      'A control that is fed or sprayed at last is no control from that day on.',
      data.trial.state === 'planned' ? 'Write it under Ask before the lock.' : '',
    ),
  'unequal-amounts': ({ data }) => {
    const flag = feedFlags(data).find(each => each.code === 'differs-in-amount');
    return (
      flag !== undefined &&
      weakens(
        flag.says,
        'What is asked about and how much was fed can’t be told apart then.',
        data.trial.state === 'planned'
          ? 'Make it fair under Tend, or ask which product as sold does better.'
          : 'Say “as sold”, not “this kind”.',
      )
    );
  },
  'base-hides': ({ data }) => {
    const flag = feedFlags(data).find(each => each.code === 'base-hides');
    return (
      flag !== undefined &&
      weakens(
        flag.says,
        'Where there is plenty already, more shows little.',
        data.trial.state === 'planned' ? 'Take a leaner mix.' : 'It holds for a rich mix.',
      )
    );
  },
  amended: ({ data }) =>
    data.amendments.length > 0 &&
    note(
      `The plan was changed ${counted(data.amendments.length, 'time')} after the lock.`,
      data.amendments.map(amendment => amendment.why).join(' · '),
      '',
    ),
  'dose-off-level': ({ data }) => {
    const off = dosesOffLevel(data);
    return (
      off !== undefined &&
      weakens(
        off,
        'The curve is drawn over the names of the levels: where another amount was laid, it tells of another dose.',
        data.trial.state === 'closed'
          ? ''
          : 'Change the care plan under Tend, or name the level by what is really given.',
      )
    );
  },
  'units-changed': ({ data, words, isPlanned }) => {
    if (isPlanned || !data.layout) return false;
    const dealt = dealPlanOf({ ...data.layout, each: 1 }, data.treatments);
    return (
      dealt.kind === 'latin-square' &&
      data.units.length < data.treatments.length ** 2 &&
      note(`The square has lost ${words}.`, 'Rows and columns no longer hold every treatment.', '')
    );
  },
};

/** What is given too near the end for its way of acting, every product of it. */
function tooLateToShow(
  data: TrialData,
): readonly { readonly product: string; readonly trouble: string }[] {
  const late: { readonly product: string; readonly trouble: string }[] = [];
  const tasks = careTasks(data, data.trial.startsOn);
  for (const product of data.products) {
    const rules = new Set(
      data.care.rules.filter(rule => rule.material?.productId === product.id).map(rule => rule.id),
    );
    if (product.acts === null) continue;
    const counted = tasks
      .filter(task => rules.has(task.ruleId) && task.dueOn !== null)
      .at(judgedAfter(product.acts).since === 'first' ? 0 : -1)?.dueOn;
    const trouble = counted
      ? windowTrouble(product.acts, daysBetween(counted, data.trial.endsOn))
      : undefined;
    if (trouble !== undefined) late.push({ product: product.name, trouble });
  }
  return late;
}

function feedFlags(data: TrialData): readonly LedgerFlag[] {
  const { care, treatments, products, places, units } = data;
  const unit = unitMeasuresOf(
    places.find(place => place.id === units[0]?.placeId),
    care.settings.mixMl,
    units,
  );
  const accounts = nutrientLedger(
    {
      treatments,
      rules: care.rules,
      products,
      given: [],
      units,
      unit,
      unitOf: ownMeasures(unit, units),
      by: data.trial.endsOn,
      tasks: careTasks(data, lastKnownDay(data)),
    },
    'planned',
  );
  const base =
    care.settings.mixMl !== null && care.settings.mixNMgPerL !== null
      ? heldByMix({ n: care.settings.mixNMgPerL }, care.settings.mixMl)
      : {};
  return ledgerFlags(accounts, base, feedingAsked(data));
}
