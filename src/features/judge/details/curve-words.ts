/** How curves of dose and response are called. */
export const CURVE_WORDS = {
  linear: 'a straight line',
  quadratic: 'a curve with a peak',
  plateau: 'a curve that rises, then is flat',
  mitscherlich: 'a curve that levels off',
  logistic: 'an S',
  gompertz: 'a lopsided S',
} as const;
