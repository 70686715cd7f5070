import Box from '@mui/material/Box';
import { Loaded } from '../../identity/Page';
import { ink } from '../../identity/tokens';
import { Answer } from './Answer';
import { useDrill } from './usePractice';

/** Fresh readings, and one line to be worked out. */
export function CalculationDrill({ slug }: { slug: string }) {
  const drill = useDrill('calculations', slug);
  return (
    <Loaded of={drill.task}>
      {(task) => (
        <Box sx={{ display: 'grid', gap: 2, maxWidth: 680 }}>
          <GivenLines title="Simulated readings" lines={task.given} />
          {task.known.length > 0 && <GivenLines title="Taken as known" lines={task.known} />}
          <Box sx={{ fontSize: 19, fontWeight: 700 }}>{task.wanted}?</Box>
          <Answer
            drill={drill}
            label={task.unit ? `In ${task.unit}, or with its unit` : 'A plain number'}
            button="Look at it"
          />
        </Box>
      )}
    </Loaded>
  );
}

/** What is there to work with. */
export function GivenLines({ title, lines }: { title: string; lines: string[] }) {
  return (
    <Box>
      <Box component="h3" sx={{ m: 0, fontSize: 13.5, color: ink.inkSoft }}>
        {title}
      </Box>
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {lines.map((line, place) => (
          <li key={place}>{line}</li>
        ))}
      </Box>
    </Box>
  );
}
