/** One experimental unit with its one value. */
export interface JudgedUnit {
  readonly id: string;
  readonly treatment: string;
  /** Its level in each of the input's block columns. */
  readonly blocks: readonly string[];
  /** A mean or sum; a count; k of n; a step; days waited. null where the unit gave none: it is missing, which is not zero. */
  readonly value: number | null;
  /** Of k of n: n, ≥ 1. */
  readonly outOf?: number | undefined;
  /** Of a count: the parts that were read, over those of a unit read whole. 1 where it is not said. */
  readonly effort?: number | undefined;
  /** Of days: whether it came, or is still waited for. */
  readonly hasCome?: boolean | undefined;
  /** Of classes: which of them it was; then `value` says whether it is the one that is counted. */
  readonly className?: string | null | undefined;
  /** The variance of its value is so many times smaller; 1 where it is not said. */
  readonly weight?: number | undefined;
  readonly covariate?: number | undefined;
  /** Where it stands, across and along the bench in mm, where that is to be allowed for. */
  readonly place?: readonly [number, number] | undefined;
  /** The larger unit it lies in, where a factor was dealt to those; told apart within each block. */
  readonly wholePlot?: string | undefined;
  /** Its size before the deal, where the deal was balanced by it. */
  readonly startSize?: number | undefined;
  /** Taken out by a person: it has no value, and is spoken of elsewhere. */
  readonly isLeftOut?: boolean | undefined;
}

/** How treatments are made of crossed factors, where they are. */
export interface FactorStructure {
  readonly names: readonly string[];
  /** The level of each factor, by treatment. */
  readonly levelsOf: Readonly<Record<string, readonly string[]>>;
}

/** A trial as its linear model takes it: one value a unit, and how the treatments were dealt. */
export interface DesignInput {
  /** The name of the treatment column or factor: `feed`. */
  readonly treatmentName: string;
  /** In their order; at least two. */
  readonly treatments: readonly string[];
  readonly control: string;
  readonly blockNames: readonly string[];
  readonly factors?: FactorStructure | undefined;
  readonly units: readonly JudgedUnit[];
}
