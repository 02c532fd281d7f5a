import { aliasingOf } from './aliasing';
import { aliasingWords } from './aliasing-words';
import { type Check, note, spoils, weakens } from './audit-view';

/** How many there are of each, and whether what is asked can be told apart. */
export const REPLICATION_CHECKS: Readonly<Record<string, Check>> = {
  'one-each': ({ fewest, word, words }) =>
    fewest === 1 &&
    spoils(
      `One ${word} of a treatment decides nothing.`,
      `Two ${words} treated alike differ, too, and nothing here says by how much.`,
      `At least two of each; four to eight tell something.`,
    ),
  'few-each': ({ fewest, words }) =>
    fewest > 1 &&
    fewest < 4 &&
    weakens(
      `Only ${fewest} ${words} of a treatment.`,
      'What so few show is a large gap or nothing.',
      'Fewer treatments leave more for each.',
    ),
  'many-treatments': ({ data, words }) =>
    data.treatments.length > 5 &&
    data.factors.length < 2 &&
    note(
      `${data.treatments.length} treatments share the ${words}.`,
      'Every one more takes from all others, and one of many shines by luck.',
      'Drop the ones you would not use anyway.',
    ),
  'control-too-thin': ({ data, fewest }) => {
    const control = data.units.filter(
      unit =>
        data.treatments.find(treatment => treatment.id === unit.treatmentId)?.role === 'control',
    ).length;
    return (
      data.factors.length < 2 &&
      data.treatments.length >= 4 &&
      fewest >= 2 &&
      control === fewest &&
      data.layout?.kind === 'complete-randomisation' &&
      note(
        'The control gets no more than the others.',
        `It stands in every comparison: about ${Math.sqrt(data.treatments.length - 1).toFixed(1)} times as many serve all.`,
        'Give it more under Lay out.',
      )
    );
  },
  'no-zero-dose': ({ data }) =>
    data.treatments.some(treatment => treatment.dose !== null) &&
    !data.treatments.some(treatment => treatment.dose === 0) &&
    weakens(
      'The series has no zero.',
      'It can’t show whether any dose helps, only whether more does.',
      'Add 0 under Ask.',
    ),
  'few-doses': ({ data }) =>
    data.treatments.filter(treatment => treatment.dose !== null).length === 3 &&
    note(
      'Three doses.',
      'Where it levels off lies somewhere between two of them.',
      'Four or five show the bend.',
    ),
  'crossed-gaps': ({ data }) => {
    if (data.factors.length < 2) return false;
    const told = aliasingOf(
      data.factors,
      data.treatments.map(treatment => treatment.levels),
    );
    const blurred = told.mainEffects
      .filter(effect => effect.share === 'none')
      .map(effect => effect.factor);
    return (
      blurred.length > 0 &&
      spoils(
        `${blurred.join(' and ')} can’t be told apart from the rest.`,
        'Their levels only come together.',
        'Grow the missing combinations.',
      )
    );
  },
  'crossed-unseen': ({ data }) => {
    if (data.factors.length < 2) return false;
    const told = aliasingOf(
      data.factors,
      data.treatments.map(treatment => treatment.levels),
    );
    const isShort = [...told.mainEffects, ...told.interactions].some(
      each => each.share !== 'whole',
    );
    return (
      isShort &&
      note(
        'Combinations are missing.',
        aliasingWords(told).told,
        'Grow all of them, if you want to know.',
      )
    );
  },
  'containers-differ': ({ act }) =>
    act === 'container' &&
    note(
      'Containers differ in more than their name.',
      'Volume, colour and how fast they dry go with it.',
      'Fill all to one volume, and water to need, written down.',
    ),
};
