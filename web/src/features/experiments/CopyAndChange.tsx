import Button from '@mui/material/Button';
import { useNavigate } from 'react-router';
import { type Shapes } from '../../api/client';
import { useBegin, useExperiments } from './useDraft';
import { NotDone } from '../../identity/NotDone';

/** From a page of the method book to a draft of one's own; one's own are changed where they are. */
export function CopyAndChange({ card }: { card: Shapes['MethodCard'] }) {
  const begin = useBegin();
  const mine = useExperiments(true);
  const go = useNavigate();
  const open = (slug: string) => void go(`/experiments/${slug}`);
  const own = mine.data?.some((taken) => taken.slug === card.slug);
  return (
    <>
      <Button component="a" href={`/api/methods/${card.slug}/file`} download>
        Save as a file
      </Button>
      {own && (
        <Button variant="outlined" onClick={() => open(card.slug)}>
          Change it
        </Button>
      )}
      <Button
        variant="outlined"
        disabled={begin.isPending}
        onClick={() =>
          begin.mutate(
            { copy_of: card.slug, title: '', file: '' },
            { onSuccess: (page) => open(page.card.slug) },
          )
        }
      >
        Copy and change
      </Button>
      <NotDone lead="Not copied." error={begin.error} />
    </>
  );
}
