/** What there is of `parts`, with a point between. */
export const dotted = (...parts: (string | false | undefined)[]) => parts.filter(Boolean).join(' · ');
