import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { ChangeEvent } from 'react';
import { useNavigate } from 'react-router';
import { type Shapes } from '../../api/client';
import { counted } from '../../identity/counted';
import { Loaded } from '../../identity/Page';
import { accent, ink } from '../../identity/tokens';
import { useBegin, useExperiments } from './useDraft';
import { NotDone } from '../../identity/NotDone';
import { SheetLink } from '../../identity/SheetLink';

type Card = Shapes['ExperimentCard'];

/** The instructor's own experiments, with what can be begun. */
export function MyExperiments() {
  const mine = useExperiments(true);
  const begin = useBegin();
  const go = useNavigate();
  const start = (body: Partial<Shapes['BeginRequest']>) =>
    begin.mutate(
      { copy_of: '', title: '', file: '', ...body },
      { onSuccess: (page) => void go(`/experiments/${page.card.slug}`) },
    );
  const fromFile = ({ target }: ChangeEvent<HTMLInputElement>) => {
    const file = target.files?.[0];
    target.value = '';
    if (file) void file.text().then((text) => start({ file: text }));
  };
  return (
    <Box component="section" aria-label="Own experiments">
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', mb: 1 }}>
        <Box component="h2" sx={{ m: 0, fontSize: 18, mr: 'auto' }}>
          Your own
        </Box>
        <Button variant="outlined" onClick={() => start({})} disabled={begin.isPending}>
          Write a new one
        </Button>
        <Button component="label" disabled={begin.isPending}>
          Take one over from a file
          <input type="file" accept=".json,application/json" hidden onChange={fromFile} />
        </Button>
      </Box>
      <NotDone lead="Not begun." error={begin.error} />
      <Loaded of={mine}>
        {(all) => (
          <Box sx={{ display: 'grid', gap: 1 }}>
            {all.length === 0 && (
              <Box sx={{ color: ink.inkSoft }}>
                None yet. Open any experiment below and choose “Copy and change”, or write a new one.
              </Box>
            )}
            {all.map((own) => (
              <Line key={own.slug} card={own} />
            ))}
          </Box>
        )}
      </Loaded>
    </Box>
  );
}

function Line({ card }: { card: Card }) {
  return (
    <SheetLink
      to={`/experiments/${card.slug}`}
      sx={{
        display: 'flex',
        gap: 2,
        justifyContent: 'space-between',
        alignItems: 'baseline',
        flexWrap: 'wrap',
        borderLeft: `5px solid ${accent(card.family)}`,
      }}
    >
      <strong>{card.title || 'Without a title'}</strong>
      <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>{standing(card)}</Box>
    </SheetLink>
  );
}

function standing(card: Card): string {
  const state = {
    draft: 'Draft, not ready yet',
    ready: `Version ${card.version} is ready`,
    withdrawn: 'Taken out of the method book',
  }[card.state];
  const used = card.sessions > 0 ? `, ${counted(card.sessions, 'session')}` : '';
  return `${state}${used}${card.changed ? '; a newer draft is begun' : ''}`;
}
