import type { Counted } from '@/workers/cover.worker';

/** How a picture is taken for each thing that is counted in it, and what is said of what was found. */
export const WORDS: Readonly<
  Record<
    Counted,
    {
      readonly how: string;
      readonly all: readonly [string, string];
      readonly notFound: string;
    }
  >
> = {
  green: {
    how: 'Straight from above, a frame laid round what counts, no green but leaves in it.',
    all: ['bare ground', 'leaves'],
    notFound: 'The four corners make no frame: go round it, from the far left.',
  },
  brown: {
    how: 'One leaf flat on white paper, in the shade, nothing else of colour in the frame.',
    all: ['green leaf', 'brown leaf'],
    notFound:
      'No leaf in it: lay one on white paper, and go round it with the corners, from the far left.',
  },
};
