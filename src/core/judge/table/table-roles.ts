import type {
  AgreedComparison,
  BetterWay,
  Margin,
  Outcome,
} from '@/core/judge/question/judge-input';

/** A table as a spreadsheet gives it: cells by column name, every cell a text. */
export interface Table {
  readonly columns: readonly string[];
  readonly rows: readonly Readonly<Record<string, string>>[];
  /** Where each row stands in the spreadsheet, whose header is row 1; without it they follow on each other. */
  readonly rowNumbers?: readonly number[];
}

/** Which column is what, and what was planned. */
export interface TableRoles {
  readonly response: string;
  /** Absent where factors make up the treatment. */
  readonly treatment?: string | undefined;
  readonly control?: string | undefined;
  readonly blocks: readonly string[];
  /** A block column whose blocks are pairs. */
  readonly pair?: string | undefined;
  /** Names the whole plots of a split plot within each block; it may be the factor that was dealt to them. */
  readonly whole?: string | undefined;
  /** Rows that share it are subsamples of one experimental unit. */
  readonly unit?: string | undefined;
  readonly factors: readonly string[];
  readonly covariate?: string | undefined;
  /** What the response is. */
  readonly kind: Outcome;
  /** Of k of n: n. Without it each row is one item, 1 or 0. */
  readonly outOf?: string | undefined;
  /** Of days: 1 where it came, 0 where it is still waited for. Without it all have come. */
  readonly event?: string | undefined;
  /** What was agreed on as what the question is about. */
  readonly agreed?: AgreedComparison | undefined;
  readonly better: BetterWay;
  readonly margin: Margin | null;
  readonly confidence: number;
  readonly shuffles: number;
  readonly seed: number;
}

/** Why a table can't be judged. `row` counts as a spreadsheet does: the header is row 1. */
export type TableTrouble =
  | { readonly kind: 'no-column'; readonly column: string; readonly columns: readonly string[] }
  | { readonly kind: 'no-rows' }
  | { readonly kind: 'no-treatment-named' }
  | {
      readonly kind: 'bad-cell';
      readonly row: number;
      readonly column: string;
      readonly read: string;
      readonly expected: string;
    }
  | {
      readonly kind: 'no-control';
      readonly control: string | undefined;
      readonly treatments: readonly string[];
    }
  | { readonly kind: 'one-treatment'; readonly treatments: readonly string[] }
  | {
      readonly kind: 'too-many';
      readonly what: 'treatments' | 'factors' | 'blocks';
      readonly column: string;
      readonly count: number;
      readonly most: number;
    }
  | {
      readonly kind: 'unit-disagrees';
      readonly row: number;
      readonly column: string;
      readonly unit: string;
      readonly first: string;
      readonly read: string;
    };
