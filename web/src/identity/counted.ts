/** “1 bench”, “8 benches”: how many there are, with the word that fits. */
export const counted = (count: number, thing: string, things = `${thing}s`): string =>
  `${count} ${count === 1 ? thing : things}`;
