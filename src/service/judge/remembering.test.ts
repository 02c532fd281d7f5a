import { remembering } from './remembering';

test('works out once what is asked again, also where the answer is nothing, and forgets what was asked longest ago', () => {
  const asked: number[] = [];
  const half = remembering((of: { readonly n: number }) => {
    asked.push(of.n);
    return of.n % 2 === 0 ? of.n / 2 : null;
  }, 2);
  expect([4, 3, 4, 3].map(n => half({ n }))).toEqual([2, null, 2, null]);
  expect(asked).toEqual([4, 3]);
  half({ n: 4 });
  half({ n: 8 });
  expect([half({ n: 4 }), half({ n: 3 })]).toEqual([2, null]);
  expect(asked).toEqual([4, 3, 8, 3]);
});
