import { missingControls } from '@/core/design/question/control-advice';
import type { Act } from '@/core/design/question/question-shape';
import { type Check, note, weakens } from './audit-view';

const HALF = 0.5;

/** Days below which an act has hardly begun to show. Common practice, no source. */
const SHORTEST_DAYS: Readonly<Record<Act, number>> = {
  feed: 42,
  amendment: 60,
  mix: 42,
  pruning: 42,
  container: 42,
  remedy: 14,
  barrier: 21,
  weeds: 28,
  mulch: 42,
  water: 28,
  method: 42,
};

/** What is asked, what is compared, and what was agreed before the start. */
export const QUESTION_CHECKS: Readonly<Record<string, Check>> = {
  'two-questions': ({ data }) =>
    /\?.*\?|\band (whether|which|does|do|is|how)\b/i.test(data.trial.question) &&
    weakens(
      'The question holds two.',
      'The same pots can’t answer both, and the one that turns out well gets told.',
      'Ask one; make the other its own trial.',
    ),
  'no-margin': ({ data }) =>
    data.measures.find(measure => measure.isMain)?.margin === null &&
    weakens(
      'Any difference counts as worth having.',
      'With enough pots every difference is sure, however small.',
      'Say under Ask what gain would pay for the trouble.',
    ),
  'margin-out-of-reach': ({ data, fewest, words, seen }) => {
    const margin = data.measures.find(measure => measure.isMain)?.margin;
    if (!margin || fewest < 2 || seen === null || seen >= HALF) return false;
    const what = margin.kind === 'percent' ? `The ${margin.percent}%` : 'What is';
    return weakens(
      `${what} worth having would be seen ${Math.round(100 * seen)} times of 100.`,
      `As ${words} treated alike usually differ, so few can’t show it.`,
      `More ${words} of each, or fewer treatments.`,
    );
  },
  'missing-control': ({ data, act }) => {
    if (data.factors.length > 1 || data.treatments.some(treatment => treatment.dose === 0))
      return false; // the first levels, or none of it, are the control
    const [need] = missingControls(
      act,
      data.treatments
        .filter(treatment => treatment.role !== 'test')
        .map(treatment => treatment.controlKind),
    );
    return (
      need !== undefined &&
      weakens(
        'A control is missing.',
        `${need.words} Without it ${need.without}.`,
        'Add it under Ask, or say there what the control is.',
      )
    );
  },
  'piece-weight': ({ data }) =>
    data.measures.some(measure => measure.isMain && measure.summary === 'mean-piece-weight') &&
    note(
      'The weight of a piece is the main measure.',
      'A plant that sets fewer pieces makes bigger ones: a loss can look like a gain.',
      'Look at the weight of the whole harvest, too.',
    ),
  'culls-count': ({ data }) =>
    data.measures.some(measure => measure.isMain && measure.summary === 'total-weight') &&
    note(
      'Culls count in the main measure.',
      'A treatment that swells rotten fruit wins by it.',
      'Take the sound harvest, unless this is meant.',
    ),
  'no-leave-out-rule': ({ data }) =>
    data.trial.rules.leaveOut === '' &&
    weakens(
      'Nothing says when one is left out.',
      'After a look at the results there is always a reason for the one that spoils them.',
      'Write it under Ask before the lock.',
    ),
  'no-replace-rule': ({ data }) =>
    data.trial.rules.replace === '' &&
    note(
      'Nothing says when one may be replaced.',
      'A late replacement is another plant of another age.',
      'Write it under Ask before the lock.',
    ),
  'no-cull-rule': ({ data }) =>
    data.trial.rules.cull === '' &&
    note(
      'Nothing says what a cull is.',
      'What is thrown out decides what is weighed.',
      'Write it under Ask before the lock.',
    ),
  'ends-by-stage': ({ data }) =>
    data.trial.rules.end === 'stage' &&
    note(
      'The trial ends by stage.',
      'A treatment that makes late plants gets more days.',
      'Say so with the result, or end by a date.',
    ),
  'too-short': ({ days, act }) =>
    days < SHORTEST_DAYS[act] &&
    weakens(
      `${days} days are short for this.`,
      `What is done takes its time: less than ${SHORTEST_DAYS[act]} days hardly show it.`,
      'Plan a longer season.',
    ),
  'fed-mix': ({ act, days }) =>
    act === 'feed' &&
    days < 70 &&
    note(
      'A bought mix feeds plants itself for some five weeks.',
      'Until then the unfed control is fed, too.',
      'Start with a lean mix, or go on longer.',
    ),
  programme: ({ data }) =>
    data.treatments.some(treatment => treatment.detail !== '') &&
    note(
      'A programme is one treatment.',
      'Whether it wins by its first step or its last can’t be told.',
      'Say “the programme”, not what is in it.',
    ),
  'interest-unblinded': ({ data }) =>
    data.trial.interest !== '' &&
    !data.trial.isBlind &&
    weakens(
      'Somebody has an interest, and everyone sees what each got.',
      'Nobody scores their own recipe fairly.',
      'Lay it out blind, or let somebody else weigh.',
    ),
  interest: ({ data }) =>
    data.trial.interest !== '' && note('An interest is declared.', data.trial.interest, ''),
  'no-predictions': ({ data }) =>
    data.predictions.every(each => each.about !== '') &&
    note(
      'Nobody has said what they expect.',
      'A surprise is one only if it was written down before.',
      data.trial.state === 'closed' ? '' : 'Seal a guess under Ask.',
    ),
};
