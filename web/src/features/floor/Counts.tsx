import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { Shapes } from '../../api/client';
import { ink } from '../../identity/tokens';
import { CallTag, StateTag } from '../../identity/Verdict';

const COUNTED = [
  ['stop', 'stop'],
  ['repeat', 'repeat'],
  ['look', 'look again'],
  ['keep', 'going well'],
] as const;

interface Props {
  benches: Shapes['FloorBench'][];
  onArrange: (() => void) | undefined;
}

/** How many benches stand how, above the room. */
export function Counts({ benches, onArrange }: Props) {
  const calls = benches.filter((bench) => bench.call).length;
  return (
    <Box
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        mb: 1.5,
        color: ink.inkSoft,
        fontSize: 14,
        flexWrap: 'wrap',
      }}
    >
      Front of the room
      {onArrange && (
        <Button size="small" onClick={onArrange}>
          Arrange
        </Button>
      )}
      <Box aria-hidden sx={{ flex: 1, height: '1px', bgcolor: ink.rule, minWidth: 20 }} />
      {calls > 0 && <CallTag word={`${calls} call${calls > 1 ? 's' : ''}`} />}
      {COUNTED.map(([level, word]) => {
        const count = benches.filter((bench) => bench.level === level && !bench.call).length;
        return count > 0 && <StateTag key={level} level={level} word={`${count} ${word}`} />;
      })}
    </Box>
  );
}
