/** Where a histogram falls into two: the bin at which the upper class begins, and how far apart the two means lie, in bins. */
export interface TwoClasses {
  readonly threshold: number;
  readonly lowMean: number;
  readonly highMean: number;
}

/** Otsu (1979), IEEE Transactions on Systems, Man, and Cybernetics 9, 62-66: the cut that maximises the variance between classes. */
export function otsu(histogram: ArrayLike<number>): TwoClasses {
  let [total, sum] = [0, 0];
  for (let bin = 0; bin < histogram.length; bin++) {
    total += histogram[bin] ?? 0;
    sum += bin * (histogram[bin] ?? 0);
  }
  let [below, sumBelow] = [0, 0];
  let best: TwoClasses & { readonly between: number } = {
    threshold: 0,
    lowMean: 0,
    highMean: sum / Math.max(1, total),
    between: -1,
  };
  for (let bin = 0; bin < histogram.length - 1; bin++) {
    below += histogram[bin] ?? 0;
    sumBelow += bin * (histogram[bin] ?? 0);
    const above = total - below;
    if (below === 0 || above === 0) continue;
    const [lowMean, highMean] = [sumBelow / below, (sum - sumBelow) / above];
    const between = (below / total) * (above / total) * (highMean - lowMean) ** 2;
    if (between > best.between) best = { threshold: bin + 1, lowMean, highMean, between };
  }
  return { threshold: best.threshold, lowMean: best.lowMean, highMean: best.highMean };
}
