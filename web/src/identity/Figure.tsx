import { styled } from '@mui/material/styles';
import { FIGURES, ink } from './tokens';

const Mono = styled('span')({
  fontFamily: FIGURES,
  fontVariantNumeric: 'tabular-nums',
  whiteSpace: 'nowrap',
});
const Doubtful = styled('span')({
  color: ink.inkSoft,
  borderBottom: '0.09em dotted currentcolor',
  lineHeight: 1,
});

/** Where the doubtful end of a number begins: `count` digits from its end, points not counted. */
export function doubtfulFrom(text: string, count: number): number {
  let left = count;
  for (let place = text.length - 1; place >= 0; place--) {
    if (/\d/.test(text[place] ?? '') && --left === 0) return place;
  }
  return left <= 0 ? text.length : 0;
}

/** A number as an instrument or a computation knows it: the estimated digits are lighter and dotted underneath. */
export function Figure({
  text,
  doubtful = 1,
  unit = '',
}: {
  text: string;
  doubtful?: number;
  unit?: string;
}) {
  // A power of ten behind the digits is no digit of theirs.
  const end = text.includes(' ×') ? text.indexOf(' ×') : text.length;
  const digits = text.slice(0, end);
  const split = doubtful > 0 && /\d/.test(digits) ? doubtfulFrom(digits, doubtful) : end;
  return (
    <Mono>
      {digits.slice(0, split)}
      {split < end && <Doubtful>{digits.slice(split)}</Doubtful>}
      {text.slice(end)}
      {unit && <span style={{ fontSize: '0.72em', fontWeight: 400 }}>&nbsp;{unit}</span>}
    </Mono>
  );
}
