import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { type Shapes } from '../../api/client';
import { useDeletePlan, useSessionState } from '../../api/hooks';
import { useThrowAway } from './useRehearsal';
import { NotDone } from '../../identity/NotDone';

/** A session that will not be held: called off, or its plan deleted; a simulated one thrown away. */
export function GiveUp({ plan }: { plan: Shapes['SessionPlan'] }) {
  const { card } = plan;
  const [sure, setSure] = useState(false);
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
      <Button
        color="error"
        disabled={remove.isPending}
        onClick={() => (sure ? remove.mutate(undefined, { onSuccess: gone }) : setSure(true))}
      >
        {sure ? 'Yes, delete it for good' : card.simulated ? 'Throw it away' : 'Delete the plan'}
      </Button>
      <NotDone lead="Not done." error={change.error ?? remove.error} />
    </Box>
  );
}
