import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState, type FormEvent } from 'react';
import { type Shapes } from '../../api/client';
import { useLastTime, useRemark } from '../../api/hooks';
import { RemarkPhoto } from '../../sessions/RemarkPhoto';
import { counted } from '../../identity/counted';
import { Sheet } from '../../identity/Sheet';
import { day } from '../../time/time';
import { TakePhoto } from '../../sessions/TakePhoto';
import { ink } from '../../identity/tokens';
import { NotDone } from '../../identity/NotDone';

const LINE = {
  display: 'flex',
  gap: 1,
  alignItems: 'baseline',
  borderBottom: `1px solid ${ink.ruleSoft}`,
  py: 0.75,
};

/** What the last session taught, and what the instructor adds to steps because of it. */
export function Remarks({ plan, mine }: { plan: Shapes['SessionPlan']; mine: boolean }) {
  const change = useRemark(plan.card.id);
  return (
    <Sheet title="Remarks on steps">
      <Lessons session={plan.card.id} />
      {plan.remarks.map((remark) => (
        <Box key={remark.id} sx={LINE}>
          <Box sx={{ flex: 1 }}>
            {remark.text}
            <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>
              {remark.title}: {remark.always ? 'from now on' : 'this session'}
            </Box>
            <RemarkPhoto bench={plan.benches[0]?.id} remark={remark} />
          </Box>
          {mine && (
            <Button
              size="small"
              disabled={change.isPending}
              onClick={() => change.mutate({ end: remark.id })}
            >
              End it
            </Button>
          )}
        </Box>
      ))}
      {plan.remarks.length === 0 && (
        <Box sx={{ color: ink.inkSoft }}>None yet. A remark is shown at its step, at every bench.</Box>
      )}
      {mine && <NewRemark plan={plan} change={change} />}
      <NotDone lead="Not kept." error={change.error} />
    </Sheet>
  );
}

function Lessons({ session }: { session: number }) {
  const last = useLastTime(session).data;
  if (!last?.title || last.lessons.length === 0) return null;
  return (
    <Box sx={{ mb: 1.5, p: 1.25, bgcolor: ink.ground, borderRadius: 2 }}>
      <strong>Last time</strong>
      <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>
        {last.title}, {day(last.at)}
      </Box>
      {last.lessons.map((lesson) => (
        <Box
          key={lesson.what}
          sx={{ display: 'flex', justifyContent: 'space-between', gap: 1, fontSize: 14.5 }}
        >
          <span>{lesson.what}</span>
          <Box component="span" sx={{ color: ink.inkSoft, whiteSpace: 'nowrap' }}>
            {lesson.benches} of {counted(lesson.of, 'bench', 'benches')}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

function NewRemark({ plan, change }: { plan: Shapes['SessionPlan']; change: ReturnType<typeof useRemark> }) {
  const [step, setStep] = useState(plan.steps[0]?.key ?? '');
  const [text, setText] = useState('');
  const [always, setAlways] = useState(false);
  const [image, setImage] = useState('');
  const [instead, setInstead] = useState(false);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    change.mutate(
      { step, text, always, image, instead },
      {
        onSuccess: () => {
          setText('');
          setImage('');
        },
      },
    );
  };
  return (
    <Box component="form" onSubmit={submit} sx={{ display: 'grid', gap: 1.5, mt: 2 }}>
      <TextField select label="Step" value={step} onChange={(event) => setStep(event.target.value)}>
        {plan.steps.map((step) => (
          <MenuItem key={step.key} value={step.key}>
            {step.title}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        label="Remark, as students will read it"
        value={text}
        onChange={(event) => setText(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 300 } }}
      />
      {image && (
        <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
          <img
            src={`data:image/jpeg;base64,${image}`}
            alt="goes with the remark"
            style={{ maxWidth: 168, borderRadius: 8 }}
          />
          <FormControlLabel
            label="In place of the drawing of this step"
            control={<Checkbox checked={instead} onChange={(_, checked) => setInstead(checked)} />}
          />
        </Box>
      )}
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <FormControlLabel
          label="In this method from now on"
          control={<Checkbox checked={always} onChange={(_, checked) => setAlways(checked)} />}
        />
        <TakePhoto
          of=""
          label={image ? 'Another photo' : 'With a photo'}
          onTake={(_, taken) => setImage(taken)}
        />
        <Button type="submit" variant="outlined" disabled={!text.trim() || change.isPending}>
          Add the remark
        </Button>
      </Box>
    </Box>
  );
}
