import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { type ReactElement, useState } from 'react';
import { renderToString } from 'react-dom/server';
import { BareInput } from './BareInput';
import { Choice } from './Choice';
import { Select } from './Select';
import { TextField } from './TextField';
import { Tick } from './Tick';
import { Ticks } from './Ticks';
import { useDraft } from './use-draft';

interface Sheet {
  readonly gross: string;
  readonly pieces: string;
  readonly medium: string;
  readonly grade: string;
  readonly isDead: boolean;
  readonly shown: readonly string[];
  readonly code: string;
}

const SHEET: Sheet = {
  gross: '',
  pieces: '3',
  medium: 'loam',
  grade: 'sound',
  isDead: false,
  shown: ['b'],
  code: '',
};

const MEDIA = ['loam', 'bark'].map(value => ({ value, label: value }));
const GRADES = ['sound', 'cull'].map(value => ({ value, label: value }));
const TREATMENTS = ['a', 'b', 'c'].map(value => ({ value, label: `treatment ${value}` }));
const readSheet = (stored: unknown): Sheet | undefined =>
  stored === null ? undefined : { ...SHEET, ...(stored as Partial<Sheet>) };

function Held() {
  const [sheet, keep] = useDraft<Sheet>('test-sheet', SHEET, readSheet);
  const change = (changes: Partial<Sheet>): void => keep(now => ({ ...now, ...changes }));
  return (
    <>
      <TextField
        label="On the scale"
        name="gross"
        value={sheet.gross}
        onChange={gross => change({ gross })}
      />
      <TextField
        label="Pieces"
        name="pieces"
        value={sheet.pieces}
        onChange={pieces => change({ pieces })}
      />
      <Select
        label="Medium"
        name="medium"
        value={sheet.medium}
        onChange={medium => change({ medium })}
        options={MEDIA}
      />
      <Choice
        label="Grade"
        name="grade"
        value={sheet.grade}
        onChange={grade => change({ grade })}
        options={GRADES}
      />
      <Tick isOn={sheet.isDead} onChange={isDead => change({ isDead })}>
        dead
      </Tick>
      <Ticks
        legend="Shown"
        options={TREATMENTS}
        chosen={sheet.shown}
        onChange={shown => change({ shown })}
      />
      <BareInput aria-label="Code" value={sheet.code} onChange={code => change({ code })} />
      <output>{JSON.stringify(sheet)}</output>
    </>
  );
}

/** The page as the server sent it, with what was done to it before its scripts came. */
function sentPage(page: ReactElement, doBefore: (sent: HTMLElement) => void): HTMLElement {
  const sent = document.createElement('div');
  sent.innerHTML = renderToString(page);
  document.body.append(sent);
  doBefore(sent);
  return sent;
}

function write(sent: HTMLElement, name: string, text: string): void {
  const field = sent.querySelector<HTMLInputElement | HTMLSelectElement>(name);
  if (!field) throw new Error(`nothing is ${name}`);
  field.value = text;
}

function tick(sent: HTMLElement, selector: string): void {
  const box = sent.querySelector<HTMLInputElement>(selector);
  if (!box) throw new Error(`nothing is ${selector}`);
  box.checked = !box.checked;
}

const held = (): unknown => JSON.parse(screen.getByRole('status').textContent ?? '');

beforeEach(() => window.localStorage.clear());

test.each([
  ['typed', (sent: HTMLElement) => write(sent, '[name=gross]', '412 g'), { gross: '412 g' }],
  ['emptied', (sent: HTMLElement) => write(sent, '[name=pieces]', ''), { pieces: '' }],
  ['chosen of a list', (sent: HTMLElement) => write(sent, 'select', 'bark'), { medium: 'bark' }],
  ['chosen of a few', (sent: HTMLElement) => tick(sent, '[value=cull]'), { grade: 'cull' }],
  ['ticked', (sent: HTMLElement) => tick(sent, 'label > [type=checkbox]'), { isDead: true }],
  [
    'ticked and unticked of several',
    (sent: HTMLElement) => {
      tick(sent, '[data-at="1"]');
      tick(sent, '[data-at="2"]');
      tick(sent, '[data-at="0"]');
    },
    { shown: ['a', 'c'] },
  ],
  [
    'typed in a cell',
    (sent: HTMLElement) => write(sent, '[aria-label=Code]', 'K7'),
    { code: 'K7' },
  ],
])('what was %s before the page’s scripts were there is taken over', (_, doBefore, changes) => {
  const container = sentPage(<Held />, doBefore);
  render(<Held />, { container, hydrate: true });
  expect(held()).toEqual({ ...SHEET, ...changes });
});

test('two fields of one form are taken over, and what was kept of the others before stays', () => {
  window.localStorage.setItem('test-sheet', JSON.stringify({ code: 'QX', gross: '1 g' }));
  const container = sentPage(<Held />, sent => {
    write(sent, '[name=gross]', '412 g');
    write(sent, '[name=pieces]', '31');
  });
  render(<Held />, { container, hydrate: true });
  const all = { ...SHEET, gross: '412 g', pieces: '31', code: 'QX' };
  expect(held()).toEqual(all);
  expect(JSON.parse(window.localStorage.getItem('test-sheet') ?? '')).toEqual(all);
});

test('a page that nobody touched keeps its draft as it is, and writes none', () => {
  render(<Held />, { container: sentPage(<Held />, () => {}), hydrate: true });
  expect(held()).toEqual(SHEET);
  expect(window.localStorage.getItem('test-sheet')).toBeNull();
});

function Alone({ first }: { readonly first: string }) {
  const [value, setValue] = useState(first);
  return (
    <>
      <TextField label="On the scale" name="gross" value={value} onChange={setValue} />
      <output>{value}</output>
    </>
  );
}

test('what nobody chose or wrote is not taken for that: a list that lacks what is held, lines ended otherwise', () => {
  const changed = jest.fn();
  render(
    <>
      <Select label="Medium" name="medium" value="" onChange={changed} options={MEDIA} />
      <TextField label="Note" name="note" value={'a\r\nb'} onChange={changed} isLong />
      <TextField label="Name" name="name" value={'a\r\nb'} onChange={changed} />
    </>,
  );
  expect(changed).not.toHaveBeenCalled();
});

test('what stands in a field at first is left alone, and can be changed', async () => {
  render(<Alone first="3 g" />);
  expect(screen.getByRole('status')).toHaveTextContent('3 g');
  await userEvent.type(screen.getByRole('textbox'), '0');
  expect(screen.getByRole('status')).toHaveTextContent('3 g0');
});
