import fc from 'fast-check';
import { readMoney } from './written-money';

test.each([
  ['0.60', 0.6],
  [' 1,5 ', 1.5],
  ['0', 0],
  ['+12', 12],
])('%p is a sum', (written, value) => {
  expect(readMoney(written)).toEqual({ base: value, trouble: undefined });
});

test.each(['priceless', '1e5', '0x10', 'Infinity', '1.2.3', '£2', '-2', '−2'])(
  '%p is none, and is told',
  written => {
    expect(readMoney(written)).toEqual({ base: undefined, trouble: 'A figure, such as 0.60.' });
  },
);

test('what costs less than the control is a sum below nothing, with either dash', () => {
  const less = Number.NEGATIVE_INFINITY;
  expect(readMoney('-2', less).base).toBe(-2);
  expect(readMoney('−0,5', less).base).toBe(-0.5);
});

test('nothing written is neither a sum nor wrong', () => {
  expect(readMoney('  ')).toEqual({ base: undefined, trouble: undefined });
});

test('whatever is written is a sum or is told', () => {
  fc.assert(
    fc.property(fc.string({ minLength: 1 }), written => {
      const { base, trouble } = readMoney(written);
      expect(written.trim() === '' || (base === undefined) !== (trouble === undefined)).toBe(true);
    }),
  );
});
