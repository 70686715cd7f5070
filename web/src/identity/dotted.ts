/** What there is of `parts`, with a point between. */
export const dotted = (...parts: (string | undefined)[]) => parts.filter(Boolean).join(' · ');
