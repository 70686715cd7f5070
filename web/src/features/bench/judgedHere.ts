import type { Shapes } from '../../api/client';
import { toolOf, type Bench } from './hand';

type Verdict = Shapes['Verdict'];

/** What can be said of a typed number without the server: whether its instrument shows such a number at all. The server judges it again when it is sent. */
export function judgedHere(bench: Bench, key: string, text: string): Verdict | null {
  const tool = toolOf(bench, key);
  const plain = text.trim().replace(',', '.').replace('−', '-');
  if (!tool || !/^[+-]?\d+(\.\d*)?$/.test(plain)) return null; // with a unit or a word: only the server can read it
  const value = Number(plain);
  if (value < Number(tool.low) || value > Number(tool.high))
    return look(`${tool.short} goes from ${tool.low} to ${tool.high} ${tool.unit}.`.replace(' .', '.'));
  const decimals = plain.split('.')[1]?.length ?? 0;
  if (decimals < tool.decimals)
    return look(`It is read to ${places(tool.decimals)}; a zero at the end counts: write it.`);
  if (decimals > tool.decimals) return look(`It shows ${places(tool.decimals)}, not ${decimals}.`);
  return {
    level: 'keep',
    lead: 'Keep.',
    text: 'Judged in full once the network is back.',
    suggest: '',
    refused: false,
  };
}

const look = (text: string): Verdict => ({
  level: 'look',
  lead: 'Look again.',
  text,
  suggest: '',
  refused: false,
});

const places = (count: number) => (count === 1 ? '1 decimal' : `${count} decimals`);
