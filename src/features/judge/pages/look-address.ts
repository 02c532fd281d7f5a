import * as z from 'zod/mini'; // the verdict’s page has nothing else to read by a schema
import type { AnalysisSpec } from '@/core/judge/units/trial-analysis';

const ANY = 'any';
const Codes = z.string().check(z.regex(/^[A-Z0-9]{2,8}(,[A-Z0-9]{2,8}){0,199}$/));
const Margin = z.union([z.literal(ANY), z.coerce.number().check(z.positive(), z.maximum(1000))]);
const Look = z.object({
  look: z.catch(z.optional(z.uuid()), undefined),
  margin: z.catch(z.optional(Margin), undefined),
  out: z.catch(z.optional(Codes), undefined),
  back: z.catch(z.optional(Codes), undefined),
  place: z.catch(z.optional(z.literal('1')), undefined),
});
const KEYS = Object.keys(Look.shape);

/** What an address asks to be looked at otherwise than planned. What it says wrong is as planned. */
export function lookFrom(address: URLSearchParams, planned: AnalysisSpec): AnalysisSpec {
  const { look, margin, out, back, place } = Look.parse(
    Object.fromEntries(KEYS.flatMap(key => (address.has(key) ? [[key, address.get(key)]] : []))),
  );
  const backIn = listed(back);
  return {
    ...planned,
    ...(look === undefined ? {} : { measureId: look }),
    ...(margin === undefined
      ? {}
      : { margin: margin === ANY ? null : { kind: 'percent' as const, percent: margin } }),
    ...(place === undefined ? {} : { isByPlace: true }),
    ...(out === undefined && back === undefined
      ? {}
      : {
          leftOut: [
            ...planned.leftOut.filter(code => !backIn.includes(code)),
            ...listed(out).filter(code => !planned.leftOut.includes(code)),
          ],
        }),
  };
}

/** The same address with this look in it, so that a reload, the way back and a link that is shared show the same. */
export function withLook(
  address: URLSearchParams,
  spec: AnalysisSpec,
  planned: AnalysisSpec,
): URLSearchParams {
  const next = new URLSearchParams(address);
  for (const key of KEYS) next.delete(key);
  if (spec.measureId !== planned.measureId) next.set('look', spec.measureId);
  if (JSON.stringify(spec.margin) !== JSON.stringify(planned.margin))
    next.set('margin', spec.margin?.kind === 'percent' ? String(spec.margin.percent) : ANY);
  if (spec.isByPlace) next.set('place', '1');
  const out = spec.leftOut.filter(code => !planned.leftOut.includes(code));
  const back = planned.leftOut.filter(code => !spec.leftOut.includes(code));
  if (out.length > 0) next.set('out', out.join(','));
  if (back.length > 0) next.set('back', back.join(','));
  return next;
}

function listed(codes: string | undefined): readonly string[] {
  return codes === undefined ? [] : codes.split(',');
}
