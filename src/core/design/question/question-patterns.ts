import type { BenchDraft } from '@/core/design/layouts/bench-form';
import { CONTROL_NEEDS } from './control-advice';
import { type Act, type QuestionForm, USUAL_RULES } from './question-shape';

/** A kind of question that gardeners ask, with all that it sets up. Everything can be changed afterwards. */
export interface QuestionPattern {
  readonly id: string;
  /** As a gardener would say it. */
  readonly asks: string;
  /** What kind of trial it makes. */
  readonly makes: string;
  readonly days: number;
  readonly form: Partial<QuestionForm>;
  readonly bench: Partial<BenchDraft>;
}

/** Named one by one, the first of them the control that this act wants. */
const listed = (
  act: Act,
  ...names: readonly string[]
): Pick<QuestionForm, 'act' | 'made' | 'control' | 'treatments'> => ({
  act,
  made: 'listed',
  control: 0,
  treatments: names.map((name, i) => ({
    name,
    detail: '',
    controlKind: i === 0 ? (CONTROL_NEEDS[act][0]?.kind ?? '') : '',
  })),
});

/** In the order in which they are offered. Names in them are examples of a kind, not products. */
export const QUESTION_PATTERNS: readonly QuestionPattern[] = [
  {
    id: 'does-it-help',
    asks: 'Does it help at all?',
    makes: 'One thing beside nothing: the simplest trial, and the best first one.',
    days: 80,
    form: {
      ...listed('feed', 'plain water', 'the feed'),
      question: 'Does the feed bring more?',
    },
    bench: { kind: 'pairs', blockCount: '8', blockWord: 'pair' },
  },
  {
    id: 'which-feed',
    asks: 'Which feed?',
    makes: 'Feeds beside plain water, in blocks.',
    days: 90,
    form: {
      ...listed('feed', 'plain water', 'seaweed feed', 'tomato feed'),
      question: 'Which feed brings more?',
    },
    bench: { kind: 'complete-blocks', blockCount: '6', blockWord: 'shelf' },
  },
  {
    id: 'how-much',
    asks: 'How much of it?',
    makes: 'A series of doses, to see where it levels off.',
    days: 100,
    form: {
      act: 'feed',
      made: 'series',
      series: { name: 'feed a week', unit: 'ml', doses: '0 5 10 20 40' },
      question: 'How much feed is enough?',
    },
    bench: { kind: 'complete-blocks', blockCount: '5', blockWord: 'shelf' },
  },
  {
    id: 'compost-depth',
    asks: 'How deep a compost layer?',
    makes: 'A series of depths on beds.',
    days: 120,
    form: {
      act: 'amendment',
      made: 'series',
      series: { name: 'depth of compost', unit: 'cm', doses: '0 2.5 5 10' },
      unitWord: 'plot',
      question: 'How deep a layer of compost pays?',
    },
    bench: {
      kind: 'complete-blocks',
      blockCount: '4',
      blockWord: 'bed',
      unitShape: 'square',
      unitWidth: '1 m',
    },
  },
  {
    id: 'which-mix',
    asks: 'Which potting mix?',
    makes: 'Mixes beside the usual one, all in the same pots.',
    days: 80,
    form: {
      ...listed('mix', 'the usual mix', 'with a fifth of bark', 'with a fifth of loam'),
      question: 'Which mix grows more?',
    },
    bench: { kind: 'complete-blocks', blockCount: '6', blockWord: 'shelf' },
  },
  {
    id: 'soil-and-feed',
    asks: 'Soil and feed together?',
    makes: 'Two things crossed: does the feed’s help depend on the soil?',
    days: 100,
    form: {
      act: 'mix',
      made: 'crossed',
      factors: [
        { name: 'soil', levels: ['garden soil', 'bought mix'] },
        { name: 'feed', levels: ['plain water', 'liquid feed'] },
      ],
      question: 'Does feed help in either soil?',
    },
    bench: { kind: 'complete-blocks', blockCount: '5', blockWord: 'shelf' },
  },
  {
    id: 'pinching',
    asks: 'Does it help to pinch or prune?',
    makes: 'Pairs of plants alike; a coin says which one is cut.',
    days: 90,
    form: {
      ...listed('pruning', 'left alone', 'pinched'),
      unitWord: 'plant',
      summary: 'sound-count',
      question: 'Do pinched plants give more?',
    },
    bench: { kind: 'pairs', blockCount: '8', blockWord: 'pair' },
  },
  {
    id: 'which-container',
    asks: 'Which container?',
    makes: 'Containers of one volume beside each other.',
    days: 110,
    form: {
      ...listed('container', 'plastic tub', 'felt sack', 'clay pot'),
      unitWord: 'container',
      question: 'Which container gives more?',
    },
    bench: { kind: 'complete-blocks', blockCount: '5', blockWord: 'row' },
  },
  {
    id: 'which-method',
    asks: 'Which way of growing?',
    makes: 'Two methods on halves of the same ground.',
    days: 120,
    form: {
      ...listed('method', 'as usual', 'the new way'),
      unitWord: 'half',
      question: 'Does the new way give more?',
    },
    bench: {
      kind: 'pairs',
      blockCount: '6',
      blockWord: 'bed',
      unitShape: 'square',
      unitWidth: '1 m',
    },
  },
  {
    id: 'which-remedy',
    asks: 'Which remedy against pest or blight?',
    makes: 'Remedies beside a plain-water spray, in blocks.',
    days: 45,
    form: {
      ...listed('remedy', 'plain-water spray', 'soap spray', 'oil spray'),
      unitWord: 'plant',
      question: 'Does a spray keep more of the crop sound?',
      rules: {
        ...USUAL_RULES,
        end: 'date',
        endStage: '',
        leaveOut:
          'Only for what the spray can’t have caused. A plant that the spray harmed stays in.',
        replace: 'Never: a dead plant is a result.',
        cull: 'Pieces with any damage: weighed apart.',
        key: 'Whoever sprays. Who weighs does not look.',
        rescue: 'None is saved: a dead plant is a result.',
        seasons: 1,
        looks: 1,
      },
    },
    bench: { kind: 'complete-blocks', blockCount: '6', blockWord: 'row' },
  },
  {
    id: 'slugs',
    asks: 'What keeps slugs off?',
    makes: 'Barriers and baits beside nothing, in blocks of neighbours.',
    days: 40,
    form: {
      ...listed('barrier', 'nothing', 'grit ring', 'wool pellets', 'bait'),
      unitWord: 'patch',
      summary: 'sound-count',
      question: 'What keeps slugs off?',
    },
    bench: {
      kind: 'complete-blocks',
      blockCount: '5',
      blockWord: 'strip',
      unitShape: 'square',
      unitWidth: '60 cm',
    },
  },
  {
    id: 'mulch-and-feed',
    asks: 'Does mulch hold water, and does feed still help?',
    makes: 'A split plot: whole beds mulched or bare, feeds within them.',
    days: 100,
    form: {
      act: 'mulch',
      made: 'crossed',
      factors: [
        { name: 'cover', levels: ['bare', 'mulched'] },
        { name: 'feed', levels: ['plain water', 'liquid feed'] },
      ],
      unitWord: 'plot',
      question: 'Do mulched beds give more in a dry summer?',
    },
    bench: {
      kind: 'split-plot',
      wholeFactor: 'cover',
      wholeWord: 'bed',
      blockCount: '5',
      blockWord: 'strip',
      unitShape: 'square',
      unitWidth: '80 cm',
    },
  },
  {
    id: 'lawn',
    asks: 'Clippings left or taken off?',
    makes: 'Pairs of strips across the lawn.',
    days: 120,
    form: {
      ...listed('method', 'taken off', 'left lying'),
      unitWord: 'strip',
      crop: 'lawn grass',
      picked: 'clippings',
      question: 'Does the lawn grow more with its clippings left?',
    },
    bench: {
      kind: 'pairs',
      blockCount: '6',
      blockWord: 'place',
      unitShape: 'square',
      unitWidth: '1 m',
    },
  },
  {
    id: 'weeds',
    asks: 'What keeps the path clear?',
    makes: 'Weed remedies beside nothing, in blocks along the path.',
    days: 60,
    form: {
      ...listed('weeds', 'nothing', 'hoed', 'hot water', 'flame'),
      unitWord: 'square',
      crop: 'path weeds',
      picked: 'weeds',
      summary: 'total-weight',
      better: 'lower',
      question: 'What keeps the path clear for two months?',
    },
    bench: {
      kind: 'complete-blocks',
      blockCount: '5',
      blockWord: 'stretch',
      unitShape: 'square',
      unitWidth: '50 cm',
    },
  },
  {
    id: 'two-gradients',
    asks: 'Light from one side, draught from the other?',
    makes: 'A Latin square: every treatment once in each row and column.',
    days: 80,
    form: {
      ...listed('feed', 'plain water', 'half strength', 'full strength', 'comfrey tea'),
      question: 'Which feed brings more on an uneven bench?',
    },
    bench: { kind: 'latin-square', blockWord: 'row', columnWord: 'column' },
  },
  {
    id: 'small-shelves',
    asks: 'Many kinds, small shelves?',
    makes: 'Incomplete blocks: each shelf holds some, as balanced as may be.',
    days: 90,
    form: {
      ...listed('feed', 'plain water', 'feed 1', 'feed 2', 'feed 3', 'feed 4', 'feed 5', 'feed 6'),
      question: 'Which of six feeds brings more?',
    },
    bench: { kind: 'incomplete-blocks', blockCount: '7', perBlock: '3', blockWord: 'shelf' },
  },
  {
    id: 'other-gardens',
    asks: 'Does it hold in other gardens?',
    makes: 'One protocol in several gardens, each a block.',
    days: 100,
    form: {
      ...listed('feed', 'as usual', 'the new feed'),
      question: 'Does the new feed help in other gardens, too?',
    },
    bench: { kind: 'several-gardens', blockCount: '5', blockWord: 'garden', unitsEach: '2' },
  },
  {
    id: 'programme',
    asks: 'Does a whole programme beat what I do?',
    makes: 'A staged programme as one treatment: it is judged whole.',
    days: 110,
    form: {
      act: 'feed',
      made: 'listed',
      control: 0,
      question: 'Does the feeding programme beat what I do?',
      treatments: [
        { name: 'as usual', detail: '', controlKind: 'usual' },
        {
          name: 'the programme',
          detail:
            'Half strength weekly from planting. From first flower full strength weekly. Last feed two weeks before the end.',
          controlKind: '',
        },
      ],
    },
    bench: { kind: 'complete-blocks', blockCount: '7', blockWord: 'shelf' },
  },
];

/** The pattern with this id; undefined where there is none (any more). */
export function questionPattern(id: string | null | undefined): QuestionPattern | undefined {
  return QUESTION_PATTERNS.find(pattern => pattern.id === id);
}
