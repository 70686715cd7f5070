import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState, type ChangeEvent } from 'react';
import { VerdictLine } from '../identity/Verdict';
import { smallPicture } from '../queue/picture';

interface Props {
  /** What is to be seen on it; it becomes the caption. */
  of: string;
  label: string;
  onTake: (caption: string, image: string) => void;
}

/** A picture for the record, by the device's camera or from its files. */
export function TakePhoto({ of, label, onTake }: Props) {
  const [problem, setProblem] = useState(false);
  const take = ({ target }: ChangeEvent<HTMLInputElement>) => {
    const file = target.files?.[0];
    target.value = '';
    if (!file) return;
    setProblem(false);
    smallPicture(file)
      .then((image) => onTake(of, image))
      .catch(() => setProblem(true));
  };
  return (
    <Box>
      <Button component="label" variant="outlined">
        {label}
        <input type="file" accept="image/*" capture="environment" hidden onChange={take} aria-label={label} />
      </Button>
      {problem && (
        <VerdictLine level="look" lead="No picture.">
          This file is no picture that can be read. Take a JPEG or PNG.
        </VerdictLine>
      )}
    </Box>
  );
}
