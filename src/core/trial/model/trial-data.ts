import { z } from 'zod';
import { CarePlan, NO_CARE } from './care-plan';
import { Incident } from './incident';
import { Layout } from './layout';
import { Measure } from './measure';
import { Pick } from './pick';
import { Place } from './place';
import { Amendment, Prediction, Regret } from './plan-record';
import { Product } from './product';
import { Reading } from './reading';
import { Factor, Treatment } from './treatment';
import { Trial } from './trial';
import { Block, ExperimentalUnit } from './unit';

// The whole trial as one plain object: what core takes, what the worker gets, and the open file format.
/** One trial, whole, with the products its care uses. Picks, readings, incidents and acts are the standing ones: no superseded revision, no removal. */
export const TrialData = z
  .object({
    format: z.literal('turnspit-trial'),
    version: z.literal(1),
    trial: Trial,
    factors: z.array(Factor).readonly(),
    treatments: z.array(Treatment).readonly(),
    measures: z.array(Measure).readonly(),
    layout: Layout.nullable(),
    places: z.array(Place).readonly(),
    blocks: z.array(Block).readonly(),
    units: z.array(ExperimentalUnit).readonly(),
    picks: z.array(Pick).readonly(),
    readings: z.array(Reading).readonly(),
    incidents: z.array(Incident).readonly(),
    care: CarePlan.default(NO_CARE),
    products: z.array(Product).readonly().default([]),
    predictions: z.array(Prediction).readonly().default([]),
    amendments: z.array(Amendment).readonly().default([]),
    regrets: z.array(Regret).readonly().default([]),
  })
  .readonly();
export type TrialData = z.infer<typeof TrialData>;
