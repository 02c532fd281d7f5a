import { READING_KINDS } from '@/core/measure/library/reading-library';
import { factsFor } from '@/core/trial/horticultural-facts';
import { definitionWords, rulerWords } from './ruler-words';

test.each([
  ['Tubers over 2 cm in one pail.', 'Tubers over 0.79 in in one pail.'],
  ['At a mark 5 mm up.', 'At a mark 0.2 in up.'],
  ['Earth up when the tops are 15 to 20 cm.', 'Earth up when the tops are 5.9 to 7.9 in.'],
  ['After 3 days at 55 to 77 °C.', 'After 3 days at 131 °F to 171 °F.'],
  ['5 minutes, 3 members, 10 plants', '5 minutes, 3 members, 10 plants'],
])('“%s” reads “%s” in an American garden, and as it is in a metric one', (metric, american) => {
  expect(rulerWords(metric, 'us')).toBe(american);
  expect(rulerWords(metric, 'uk')).toBe(metric);
});

test('no definition of the library and nothing worth knowing says a metric length to an American garden', () => {
  const said = [
    ...READING_KINDS.map(kind => kind.definition),
    ...factsFor([], 'potatoes manure').map(fact => fact.says),
  ].map(sentence => rulerWords(sentence, 'us'));
  expect(said.filter(sentence => /\d (?:mm|cm|m|°C)\b|°C/.test(sentence))).toEqual([]);
});

test('what a gardener wrote stays as it was written', () => {
  const own = { definition: 'Leaves over 5 cm.', kindKey: null };
  expect(definitionWords(own, 'us')).toBe('Leaves over 5 cm.');
  expect(definitionWords({ ...own, kindKey: 'leaves' }, 'us')).toBe('Leaves over 2 in.');
});
