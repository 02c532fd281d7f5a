import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { WORDS_FOLDER, wordCatalogue } from './catalogue';

const catalogue = wordCatalogue('src');

test('what is kept together is what is said: “npm run words” writes it anew', () => {
  expect(readdirSync(WORDS_FOLDER).toSorted()).toEqual([...catalogue.keys()].toSorted());
  for (const [name, page] of catalogue)
    expect({ name, page: readFileSync(join(WORDS_FOLDER, name), 'utf8') }).toEqual({ name, page });
});

interface Misnomer {
  readonly instead: RegExp;
  readonly say: string;
  /** Files where a statistician’s or a program’s term may stand. */
  readonly except?: RegExp;
}

/** Names that a thing does not have, beside the one that it has. */
const MISNOMERS: readonly Misnomer[] = [
  { instead: /\b[a-z]+'(s|t|re|ll)\b/i, say: '’' },
  {
    instead: /\b(experimental units?|each unit|every unit|which units?|a unit (is|got|gets))\b/i,
    say: 'pot, bed, or the trial’s own word',
    except: /^cli|working|table-input|read-row|table-warnings/,
  },
  {
    instead: /\bworth having, at least|\b(no|the) margin\b/i,
    say: 'the smallest difference worth having',
    except: /^cli|working/,
  },
  { instead: /\bluck \d|by dealing again|dealt over\b/i, say: 'in … of 100 shuffles' },
  {
    instead:
      /\bt(ak|ook)\w* ((it|that|them|all) )*back\b(?! in)|\bput back in\b|\bsupersede|\brevis(ed|ion)/i,
    say: 'undo, change',
  },
  {
    instead:
      /\b(care|planned|open|missed) steps?\b|\bstep of (the )?care\b|\brule of care\b|\bplan of care\b/i,
    say: 'task, care plan',
  },
  {
    instead: /\b(history of every|an earlier|no|an) entry\b|\bentries\b/i,
    say: 'pick, reading',
    except: /^cli|package-tables|files/,
  },
  { instead: /\bhours off the bed\b|\bdays before harvest\b/i, say: 'keep out for, days to wait' },
  { instead: /\bforetel|\bforetold\b/i, say: 'what you expect' },
  {
    instead: /\bcovariate\b|\bconfounded\b/i,
    say: 'start size; can’t be told apart from',
    except: /^cli|linear/,
  },
  { instead: /\bso it is\b|\bkind eye\b|\bstraight through all\b/i, say: 'what a neighbour would' },
  {
    instead: /expected (number|string|object), received|invalid input/i,
    say: 'what would be right',
  },
];

test.each(MISNOMERS)('nothing is called $instead: say “$say”', ({ instead, except }) => {
  const found = [...catalogue.values()].flatMap(page =>
    page.split('## ').flatMap(part => {
      const [file = '', ...lines] = part.split('\n');
      if (except?.test(file)) return [];
      return lines
        .filter(line => instead.test(line.replace(/\{[^}]*\}/g, '{}')))
        .map(line => `${file}: ${line}`);
    }),
  );
  expect(found).toEqual([]);
});
