/** A value, or the trouble that stood in its way. Plain data: it crosses a server action and a worker whole. */
export type Result<Value, Trouble> =
  | { readonly ok: true; readonly value: Value }
  | { readonly ok: false; readonly trouble: Trouble };

/** The good case of a `Result`. */
export function success<Value>(value: Value): { readonly ok: true; readonly value: Value } {
  return { ok: true, value };
}

/** The bad case of a `Result`. */
export function failure<Trouble>(trouble: Trouble): {
  readonly ok: false;
  readonly trouble: Trouble;
} {
  return { ok: false, trouble };
}
