import type { Shapes } from '../api/client';
import { Dial } from './Dial';
import { Display } from './Display';
import { OneMark } from './OneMark';
import { Stem } from './Stem';
import { Tube } from './Tube';

const STEMS = ['glass thermometer', 'barometer', 'ruler'];

interface Props {
  tool: Shapes['Instrument'];
  text: string;
  colour: string;
  /** Little room: the scale alone. */
  narrow?: boolean;
  /** It is to be read: nothing in the drawing says where it stands. */
  silent?: boolean;
  /** Divisions higher up against which the level is seen: the eye is not at its height. */
  eye?: number;
}

/** The instrument in hand, drawn at what was typed. */
export function Drawn({ tool, text, colour, narrow = false, silent = false, eye }: Props) {
  const plain = text.trim().replace(',', '.');
  const value = /^[+-]?(\d+\.?\d*|\.\d+)$/.test(plain) ? Number(plain) : null;
  if (tool.scales.length > 0)
    return <Dial tool={tool} value={value} text={silent ? '' : plain} colour={colour} />;
  if (tool.digital) return <Display tool={tool} text={plain} />;
  if (tool.low === tool.high) return <OneMark tool={tool} colour={colour} />;
  if (STEMS.includes(tool.kind))
    return <Stem tool={tool} value={value} text={silent ? '' : plain} colour={colour} />;
  return (
    <Tube tool={tool} value={value} text={silent ? '' : plain} colour={colour} narrow={narrow} eye={eye} />
  );
}
