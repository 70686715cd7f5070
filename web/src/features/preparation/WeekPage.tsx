import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { Link, useSearchParams } from 'react-router';
import { type Shapes } from '../../api/client';
import { counted } from '../../identity/counted';
import { dotted } from '../../identity/dotted';
import { Heading } from '../../identity/Heading';
import { NotDone } from '../../identity/NotDone';
import { Loaded, Page } from '../../identity/Page';
import { Sheet } from '../../identity/Sheet';
import { day } from '../../time/time';
import { accent, ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { ListLine } from './ListLine';
import { useTick, useWeek } from './usePreparation';

/** The prep room's week: its sessions side by side, one list of what must be ready by when. */
export function WeekPage() {
  const [search, setSearch] = useSearchParams();
  const week = useWeek(search.get('day') ?? '');
  const go = (from: string, days: number) => setSearch({ day: later(from, days) });
  return (
    <Page wide>
      <Loaded of={week}>
        {(week) => (
          <>
            <Heading
              colour={accent('solutions')}
              title={`Week of ${dayOnly(week.begins)}`}
              below={
                <>
                  {dotted(`to ${dayOnly(week.ends)}`, counted(week.sessions.length, 'session'))}
                  {' · '}
                  <a href={`/api/week/shopping.xlsx?day=${week.begins}`}>shopping list of the week</a>
                </>
              }
              actions={
                <>
                  <Button onClick={() => go(week.begins, -7)}>The week before</Button>
                  <Button onClick={() => go(week.begins, 7)}>The week after</Button>
                </>
              }
            />
            <Lists week={week} />
          </>
        )}
      </Loaded>
    </Page>
  );
}

function Lists({ week }: { week: Shapes['Week'] }) {
  if (week.sessions.length === 0)
    return <Box sx={{ color: ink.inkSoft, mt: 2 }}>Nothing is planned in this week.</Box>;
  return (
    <Box sx={{ display: 'grid', gap: 2, mt: 2 }}>
      {week.together.map((shared) => (
        <VerdictLine key={shared.title} level="keep" lead={`${shared.title}:`}>
          make it once: {shared.amounts.join(', ')}.
        </VerdictLine>
      ))}
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          alignItems: 'start',
          gridTemplateColumns: 'repeat(auto-fill, minmax(min(100%, 340px), 1fr))',
        }}
      >
        {week.sessions.map((session) => (
          <Session key={session.card.id} session={session} />
        ))}
      </Box>
    </Box>
  );
}

function Session({ session }: { session: Shapes['WeekSession'] }) {
  const { card, lines } = session;
  const tick = useTick(card.id);
  const left = lines.filter((line) => !line.ready).length;
  return (
    <Box sx={{ borderTop: `5px solid ${accent(card.family)}`, borderRadius: 2.5 }}>
      <Sheet
        title={card.title}
        note={lines.length > 0 ? (left > 0 ? `${left} to do` : 'all ready') : card.state}
      >
        <Box sx={{ color: ink.inkSoft, fontSize: 14, mb: 0.5 }}>
          {dotted(
            `by ${day(card.starts_at)}`,
            card.room,
            card.section,
            counted(session.benches, 'bench', 'benches'),
          )}
          {' · '}
          <Link to={`/sessions/${card.id}`}>its preparation</Link>
        </Box>
        <NotDone lead="Not ticked." error={tick.error} />
        {lines.map((line) => (
          <ListLine
            key={line.key}
            title={line.title}
            amount={line.amount}
            ready={line.ready}
            onTick={line.made ? undefined : (ready) => tick.mutateAsync({ key: line.key, ready })}
          >
            {line.made ? 'made' : line.lead}
            {line.earliest && !line.made && <Box>not before {dayOnly(line.earliest)}</Box>}
            {line.lacks.map((lack) => (
              <VerdictLine key={lack} level="look" lead="">
                {lack}
              </VerdictLine>
            ))}
          </ListLine>
        ))}
      </Sheet>
    </Box>
  );
}

/** “Mon 7 Dec”, of a day without a time. */
const dayOnly = (text: string) =>
  new Date(`${text}T12:00:00Z`).toLocaleDateString('en-GB', {
    weekday: 'short',
    day: 'numeric',
    month: 'short',
    timeZone: 'UTC',
  });

const later = (text: string, days: number) =>
  new Date(Date.parse(`${text}T12:00:00Z`) + days * 86_400_000).toISOString().slice(0, 10);
