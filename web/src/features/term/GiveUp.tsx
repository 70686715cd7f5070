import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useNavigate } from 'react-router';
import { type Shapes } from '../../api/client';
import { useDeletePlan, useSessionState } from '../../api/hooks';
import { useThrowAway } from './useRehearsal';
import { NotDone } from '../../identity/NotDone';
import { AskedTwice } from '../../identity/AskedTwice';

/** A session that will not be held: called off, or its plan deleted; a simulated one thrown away. */
export function GiveUp({ plan }: { plan: Shapes['SessionPlan'] }) {
  const { card } = plan;
  const change = useSessionState(card.id);
  const ofPlan = useDeletePlan(card.id);
  const simulated = useThrowAway(card.id);
  const remove = card.simulated ? simulated : ofPlan;
  const go = useNavigate();
  const gone = () => void go('/');
  return (
    <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
      {card.state === 'planned' && (
        <Button disabled={change.isPending} onClick={() => change.mutate('cancel')}>
          Cancel the session, keep the plan
        </Button>
      )}
      <AskedTwice
        color="error"
        disabled={remove.isPending}
        ask={card.simulated ? 'Throw it away' : 'Delete the plan'}
        sure="Yes, delete it for good"
        onSure={() => remove.mutate(undefined, { onSuccess: gone })}
      />
      <NotDone lead="Not done." error={change.error ?? remove.error} />
    </Box>
  );
}
