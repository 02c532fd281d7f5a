/** Where a change got no answer: it may have been made all the same. */
export const NO_ANSWER =
  'No answer came: the garden may not be running, or the connection is gone. What you typed is still here; press again.';
