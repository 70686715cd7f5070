/** Keys of the places that every method knows, as the record writes them; the server reads them in parts. */
export const timerKey = (step: string) => `timer.${step}`;
export const ownKey = (quantity: string) => `own.${quantity}`;
export const answerKey = (number: number) => `answer.${number}`;
