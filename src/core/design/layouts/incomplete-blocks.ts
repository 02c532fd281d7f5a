import { counted } from '@/core/words/plural';
import {
  IN_BLOCKS,
  type LayoutDefinition,
  type LayoutMisfit,
  type LayoutRequest,
} from './layout-definition';

const perBlockOf = ({ perBlock }: LayoutRequest): number => perBlock ?? 2;

/** Blocks too small to hold every treatment, as balanced as may be. */
export const INCOMPLETE_BLOCKS: LayoutDefinition = {
  ...IN_BLOCKS,
  label: 'blocks too small to hold every treatment',
  hint: 'Each holds some of the treatments, as balanced as may be.',
  fits: treatments => treatments >= 3,
  fields: [
    { key: 'blockCount', label: 'Blocks' },
    { key: 'blockWord', label: 'A block is a' },
    { key: 'perBlock', label: 'It holds' },
  ],
  misfit: (request, treatments) => misfitOf(request, treatments.length),
  dealPlan: (request, treatments) => ({
    kind: 'incomplete-blocks',
    treatments: treatments.length,
    blocks: request.blockCount,
    perBlock: perBlockOf(request),
  }),
  dealtWords: layout =>
    `within ${counted(layout.blockCount, layout.blockWord)} of ${layout.perBlock}`,
};

function misfitOf(request: LayoutRequest, treatments: number): LayoutMisfit | undefined {
  const places = request.blockCount * perBlockOf(request);
  if (perBlockOf(request) >= treatments) return { kind: 'block-holds-all', treatments };
  return places < treatments ? { kind: 'too-few-places', places, treatments } : undefined;
}
