import type { Shapes } from '../../api/client';

/**
 * The plan's choices after one of them was changed. What only followed from it is forgotten, so that it follows from the
 * new one: a plan made from one that was held has all its numbers, and another acid has another number of H⁺.
 */
export function chosenAnew(
  options: Record<string, string>,
  { key, choices }: Pick<Shapes['OptionOut'], 'key' | 'choices'>,
  texts: Record<string, string>,
): Record<string, string> {
  const follows = key in texts ? choices.flatMap((choice) => Object.keys(choice.sets)) : [];
  const kept = Object.entries(options).filter(([option]) => !follows.includes(option));
  return { ...Object.fromEntries(kept), ...texts };
}
