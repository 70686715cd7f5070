import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Loaded } from '../../identity/Page';
import { FIGURES } from '../../identity/tokens';
import { GivenLines } from './CalculationDrill';
import { useDrill } from './usePractice';
import { Verdict } from './Verdict';

/** A bench at which one thing went wrong, or nothing: which was it? */
export function HuntDrill({ slug }: { slug: string }) {
  const { task, judge, next } = useDrill('hunts', slug);
  return (
    <Loaded of={task}>
      {(task) => (
        <Box sx={{ display: 'grid', gap: 2, maxWidth: 720 }}>
          <GivenLines title="Simulated readings" lines={task.readings} />
          <Box sx={{ fontFamily: FIGURES, fontSize: 19 }}>
            {task.result}
            <Box sx={{ fontSize: 16 }}>without a fault: {task.accepted}</Box>
          </Box>
          <Box sx={{ fontSize: 19, fontWeight: 700 }}>What went wrong?</Box>
          <Box sx={{ display: 'grid', gap: 1 }}>
            {task.suspects.map((suspect) => (
              <Button
                key={suspect.key}
                variant="outlined"
                disabled={judge.isPending || judge.data?.right === true}
                onClick={() => judge.mutate(suspect.key)}
                sx={{ justifyContent: 'flex-start', textAlign: 'left' }}
              >
                {suspect.label}
              </Button>
            ))}
          </Box>
          <Verdict verdict={judge.data} error={judge.error} onNext={next} />
        </Box>
      )}
    </Loaded>
  );
}
