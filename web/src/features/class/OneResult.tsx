import Box from '@mui/material/Box';
import type { Shapes } from '../../api/client';
import { ClassPlot } from '../../charts/ClassPlot';
import { Sheet } from '../../identity/Sheet';
import { FIGURES, ink } from '../../identity/tokens';
import { Causes } from './Causes';

interface Props {
  result: Shapes['ClassResult'];
  colour: string;
  projector: boolean;
  onChoose: ((bench: number) => void) | undefined;
}

/** One result of the class: what it says, every bench on one axis, and what would explain those that miss. */
export function OneResult({ result, colour, projector, onChoose }: Props) {
  const { comparison, faults } = result;
  const { label, unit, products, sentence } = comparison;
  const counted = products.reduce((sum, product) => sum + product.n, 0);
  return (
    <Sheet
      title={`${label}${result.trial_name ? `, ${result.trial_name.toLowerCase()}` : ''}${unit ? `, ${unit}` : ''}`}
      note={robust(products)}
    >
      <Box sx={{ mb: 1 }}>{sentence}</Box>
      <ClassPlot plot={result.plot} {...{ colour, sentence, onChoose }} numbered={!projector} />
      <Key products={products} />
      {faults.length > 0 && <Causes causes={faults} of={counted} colour={colour} numbered={!projector} />}
      {[result.without, result.own, result.sections].filter(Boolean).map((line) => (
        <Box key={line} sx={{ mt: 1 }}>
          {line}
        </Box>
      ))}
    </Sheet>
  );
}

const robust = (products: Shapes['Product'][]) =>
  products.length === 1 && products[0]?.robust != null ? (
    <>
      robust mean <span style={{ fontFamily: FIGURES }}>{Number(products[0].robust.toPrecision(4))}</span>
    </>
  ) : (
    ''
  );

/** What the signs of the picture mean, those that are in it. */
function Key({ products }: { products: Shapes['Product'][] }) {
  const signs = [
    'Dots are benches with their 95 % intervals',
    'the triangle is their mean',
    products.some((product) => product.accepted !== null) && 'the dashed line the accepted value',
    products.some((product) => product.suspects.length > 0) &&
      'a ring stands apart from the others and counts',
    products.some((product) => product.results.some((result) => result.left_out)) &&
      'a dashed ring does not count',
  ].filter(Boolean);
  return <Box sx={{ color: ink.inkSoft, fontSize: 13 }}>{signs.join(', ')}.</Box>;
}
