import { saidIn } from './said-in';

test.each([
  ['<p>All {units} are done.</p>', ['All {units} are done.']],
  [
    '<p>Read it <b>twice</b>, says {nameOf(who)}{isLate ? ", too late" : ""}.</p>',
    ['Read it twice, says {nameOf}[, too late].'],
  ],
  ['<Field label="Weight" name="gross" hint="with its unit" />', ['Weight', 'with its unit']],
  ['<Link href="/all things">On</Link>', ['On']],
  [
    '<p>\n  Long lines\n  are one.{" "}\n  <a>And so on.</a>\n</p>',
    ['Long lines are one. And so on.'],
  ],
  // biome-ignore lint/suspicious/noTemplateCurlyInString: it is what is read
  ['<A title={`${count} beans of ${all.length}`} />', ['{count} beans of {length}']],
  [
    '<List of="every pick"><Row>{a && <p>Nothing yet.</p>}</Row></List>',
    ['every pick', 'Nothing yet.'],
  ],
])('an element says its words: %s', (element, said) => {
  expect(saidIn(`const seen = ${element};`)).toEqual(said);
});

test.each([
  ["const a = isLate ? 'too late now' : 'in good time';", ['too late now', 'in good time']],
  ["const words = { good: 'It went well', kind: 'a' };", ['It went well']],
  ["const each = [{ label: 'Day' }, { key: 'Two words' }];", ['Day']],
  ["say('one thing', count);", ['one thing']],
])('so does what is made of words: %s', (source, said) => {
  expect(saidIn(source, false)).toEqual(said);
});

test.each([
  "throw new TypeError('that was not to be');",
  "import { a } from 'some file';",
  'const Box = styled.p`color: var(--ink); margin: 0 auto;`;',
  "type Way = 'one way' | 'another way';",
  "const at = 'sound-weight';",
])('what is for the program alone says nothing: %s', source => {
  expect(saidIn(source, false)).toEqual([]);
});

test('each is said once, in the order of the file', () => {
  const source = "a('first of all'); b('then another'); c('first of all');";
  expect(saidIn(source, false)).toEqual(['first of all', 'then another']);
});
