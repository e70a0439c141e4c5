/** A memory for answers by key: the `most` asked for last are kept. Unlike `memoizeLast`, for many small questions of one kind. */
export const boundedCache = <Answer>(most: number): ((key: string, compute: () => Answer) => Answer) => {
  const known = new Map<string, Answer>();
  return (key, compute) => {
    // No answer is an answer too.
    const answer = known.has(key) ? known.get(key)! : compute();
    // The latest stand last, so that the first is the one least asked for.
    known.delete(key);
    known.set(key, answer);
    if (known.size > most) known.delete(known.keys().next().value!);
    return answer;
  };
};
