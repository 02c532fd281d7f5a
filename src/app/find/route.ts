import type { Findable } from '@/features/frame/findable';
import { listProducts } from '@/service/garden/shelf';
import { listTrials } from '@/service/trial/trials';

export const dynamic = 'force-dynamic';

/** What a garden holds that can be gone to by its words: its trials and products. */
export async function GET(): Promise<Response> {
  const [trials, products] = [await listTrials(), await listProducts()];
  const all: readonly Findable[] = [
    ...trials.map(({ trial }) => ({
      label: trial.question,
      what: `trial, ${trial.crop}, ${trial.state === 'closed' ? 'closed' : trial.state === 'locked' ? 'running' : 'being planned'}`,
      href: `/trials/${trial.id}/${STEP[trial.state]}`,
    })),
    ...products.map(({ id, name }) => ({ label: name, what: 'product', href: `/shelf/${id}` })),
  ];
  return Response.json(all, { headers: { 'cache-control': 'no-store' } });
}

const STEP = { planned: 'lay-out', locked: 'weigh', closed: 'judge' } as const;
