import Box from '@mui/material/Box';
import { type Shapes } from '../../api/client';
import { counted } from '../../identity/counted';
import { Loaded } from '../../identity/Page';
import { Sheet } from '../../identity/Sheet';
import { clock } from '../../time/time';
import { ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { ListLine } from './ListLine';
import { Solution } from './Solution';
import { usePreparation, useTick } from './usePreparation';
import { NotDone } from '../../identity/NotDone';

/** What is made and set out for a session, each line to be ticked off. */
export function PrepList({ session }: { session: number }) {
  return <Loaded of={usePreparation(session)}>{(data) => <Lists session={session} data={data} />}</Loaded>;
}

function Lists({ session, data }: { session: number; data: Shapes['Preparation'] }) {
  const tick = useTick(session);
  const onTick = (key: string) =>
    data.may_change ? (ready: boolean) => tick.mutateAsync({ key, ready }) : undefined;
  return (
    <>
      <NotDone lead="Not ticked." error={tick.error} />
      {(data.solutions.length > 0 || data.weighed.length > 0) && (
        <Sheet
          title="To make"
          note={`for ${counted(data.benches, 'bench', 'benches')}, ${data.spare_percent} % spare`}
        >
          {data.solutions.map((line) => (
            <Solution key={line.recipe.key} {...{ session, line }} onTick={onTick(line.recipe.key)} />
          ))}
          {data.weighed.map((line) => (
            <Weighed key={line.label} line={line} />
          ))}
          <Papers session={session} />
        </Sheet>
      )}
      {data.switched_on.length > 0 && (
        <Sheet title="To switch on">
          {data.switched_on.map((appliance) => (
            <ListLine
              key={appliance.key}
              title={appliance.text}
              amount={clock(appliance.at)}
              ready={appliance.ready}
              onTick={onTick(appliance.key)}
            />
          ))}
        </Sheet>
      )}
      <Sheet title="To set out">
        {data.pieces.map((piece) => (
          <ListLine
            key={piece.key}
            title={piece.name}
            amount={`× ${piece.needed}`}
            ready={piece.ready}
            onTick={onTick(piece.key)}
          >
            {[
              piece.shared && 'shared by all',
              piece.there !== null && !piece.short && `${piece.there} are there`,
            ]
              .filter(Boolean)
              .join(' · ')}
            {piece.short && (
              <VerdictLine level="look" lead="Too few.">
                {piece.short}
              </VerdictLine>
            )}
          </ListLine>
        ))}
        {data.waste && <Box sx={{ mt: 1, color: ink.inkSoft, fontSize: 14 }}>Waste: {data.waste}</Box>}
      </Sheet>
    </>
  );
}

/** What is weighed or counted out as it is: nothing is made of it. */
function Weighed({ line }: { line: Shapes['Preparation']['weighed'][number] }) {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: 'minmax(0, 1fr) auto',
        columnGap: 1,
        py: 1,
        pl: '42px',
        borderTop: `1px solid ${ink.ruleSoft}`,
      }}
    >
      <span>
        {line.label}
        <Box component="span" sx={{ display: 'block', color: ink.inkSoft, fontSize: 13 }}>
          {line.note}
        </Box>
      </span>
      <span>{line.whole_class}</span>
    </Box>
  );
}

const PAPERS = [
  ['prep-sheet.pdf', 'prep sheet'],
  ['labels.pdf', 'labels'],
  ['labels.pdf?each=1', 'labels for each bench'],
  ['bench-sheets.pdf', 'bench sheets'],
  ['crib.pdf', 'your crib'],
  ['shopping.xlsx', 'shopping list'],
  ['session.ics', 'calendar'],
] as const;

/** All of it on paper, and elsewhere. */
function Papers({ session }: { session: number }) {
  return (
    <Box sx={{ borderTop: `1px solid ${ink.ruleSoft}`, pt: 1.25, fontSize: 14, color: ink.inkSoft }}>
      Print:{' '}
      {PAPERS.map(([file, name], number) => (
        <span key={file}>
          {number > 0 && ' · '}
          <a href={`/api/sessions/${session}/${file}`} target="_blank" rel="noreferrer">
            {name}
          </a>
        </span>
      ))}
    </Box>
  );
}
