/**
 * What works something out, with the last answers kept: a page is looked at more often than its trial changes.
 *
 * @param workOut of what can be told apart as JSON
 */
export function remembering<Asked, Answer>(
  workOut: (asked: Asked) => Answer,
  most = 30,
): (asked: Asked) => Answer {
  const answers = new Map<string, { readonly answer: Answer }>();
  return asked => {
    const key = JSON.stringify(asked);
    const known = answers.get(key) ?? { answer: workOut(asked) };
    answers.delete(key);
    answers.set(key, known); // those asked for last stand last
    for (const oldest of answers.keys()) {
      if (answers.size <= most) break;
      answers.delete(oldest);
    }
    return known.answer;
  };
}
