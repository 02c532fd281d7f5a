export const BEANS = 'Do three feeds help dwarf beans?';
const BEETROOT = 'How deep must leaf-mould lie under beetroot?';
const ONIONS = 'Do onions want a mulch of straw, in three gardens?';
const STRAWBERRIES = 'Bark or loam in the troughs, and does either want feeding?';

/** Every view, by the name a test gives it: where it lies, and of which trial of the demo. */
export const VIEWS = [
  { name: 'Today', path: '/', trial: undefined },
  { name: 'Trials', path: '/trials', trial: undefined },
  { name: 'Garden', path: '/garden', trial: undefined },
  { name: 'A new question', path: '/trials/new', trial: undefined },
  { name: 'a crossed question', path: '/trials/new?from=mulch-and-feed', trial: undefined },
  { name: 'a question of doses', path: '/trials/new?from=how-much', trial: undefined },
  { name: 'Print', path: 'print', trial: BEANS },
  { name: 'Ask', path: 'ask', trial: BEANS },
  { name: 'Lay out', path: 'lay-out', trial: BEANS },
  { name: 'Tend', path: 'tend', trial: STRAWBERRIES },
  { name: 'a care plan', path: 'tend?page=plan', trial: STRAWBERRIES },
  { name: 'what each is given', path: 'tend?page=given', trial: BEANS },
  { name: 'Shelf', path: '/shelf', trial: undefined },
  { name: 'a product', path: '/shelf/new', trial: undefined },
  { name: 'sums of the shed', path: '/shelf/sums', trial: undefined },
  { name: 'a sum', path: '/shelf/sums?sum=mix', trial: undefined },
  { name: 'Weather', path: '/weather', trial: undefined },
  { name: 'Weigh', path: 'weigh', trial: STRAWBERRIES },
  { name: 'Readings', path: 'readings', trial: STRAWBERRIES },
  { name: 'a close look', path: 'inspect', trial: STRAWBERRIES },
  { name: 'soil', path: 'inspect?page=soil', trial: STRAWBERRIES },
  { name: 'digging up', path: 'inspect?page=dug', trial: STRAWBERRIES },
  { name: 'taste', path: 'inspect?page=taste', trial: STRAWBERRIES },
  { name: 'a walk', path: 'walk', trial: STRAWBERRIES },
  { name: 'Judge', path: 'judge', trial: BEANS },
  { name: 'all measures', path: 'judge?page=measures', trial: BEANS },
  { name: 'how firm a verdict is', path: 'judge?page=firm', trial: BEANS },
  { name: 'what may have spoiled a trial', path: 'judge?page=spoiled', trial: BEANS },
  { name: 'money and time', path: 'judge?page=money', trial: BEANS },
  { name: 'what next', path: 'judge?page=next', trial: BEANS },
  { name: 'a dose series judged', path: 'judge', trial: BEETROOT },
  { name: 'the report', path: 'report', trial: BEANS },
  { name: 'other gardens', path: 'gardens', trial: ONIONS },
  { name: 'all gardens together', path: 'gardens/together', trial: ONIONS },
  { name: 'a plan as square codes', path: 'gardens/codes', trial: BEANS },
  { name: 'a shut key', path: 'judge', trial: STRAWBERRIES },
] as const;
