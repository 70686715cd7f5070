import { styled } from '@mui/material/styles';

const Line = styled('math')({ fontSize: '1.12em' });

/** Mathematics from the core (MathML it made and escaped itself). */
export function Mathml({ of }: { of: string }) {
  return <Line dangerouslySetInnerHTML={{ __html: of }} />;
}
