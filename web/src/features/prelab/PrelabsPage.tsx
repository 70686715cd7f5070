import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import type { Shapes } from '../../api/client';
import { useMyPrelabs } from '../../api/hooks';
import { dotted } from '../../identity/dotted';
import { Heading } from '../../identity/Heading';
import { Loaded, Page } from '../../identity/Page';
import { day } from '../../time/time';
import { accent, ink } from '../../identity/tokens';
import { Progress } from './Progress';

/** The sessions ahead of a student, and how ready they are for each. */
export function PrelabsPage() {
  const mine = useMyPrelabs();
  return (
    <Page>
      <Heading colour={ink.deep} title="Before class" />
      <Loaded of={mine}>
        {(lines) =>
          lines.length === 0 ? (
            <p>Nothing is asked of you before your next session.</p>
          ) : (
            <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0, display: 'grid', gap: 2 }}>
              {lines.map((line) => (
                <One key={line.session.id} line={line} />
              ))}
            </Box>
          )
        }
      </Loaded>
    </Page>
  );
}

function One({ line: { session, done, of } }: { line: Shapes['PrelabLine'] }) {
  const colour = accent(session.family);
  return (
    <Box
      component="li"
      sx={{
        bgcolor: ink.sheet,
        border: `1px solid ${ink.rule}`,
        borderLeft: `6px solid ${colour}`,
        borderRadius: 2.5,
        p: 2,
        display: 'flex',
        gap: 2,
        alignItems: 'center',
        flexWrap: 'wrap',
      }}
    >
      <Box sx={{ flex: 1, minWidth: 220 }}>
        <Box sx={{ fontWeight: 700, fontSize: 18 }}>{session.title}</Box>
        <Box sx={{ color: ink.inkSoft }}>{dotted(session.room, day(session.starts_at))}</Box>
      </Box>
      <Progress done={done} of={of} colour={colour} />
      <Button
        component={Link}
        to={`/sessions/${session.id}/before`}
        variant={done < of ? 'contained' : 'outlined'}
      >
        {done < of ? 'Get ready' : 'Look at it'}
      </Button>
    </Box>
  );
}
