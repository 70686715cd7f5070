import Button from '@mui/material/Button';

interface Props {
  label: string;
  /** Kinds of files, as a file field takes them. */
  accept: string;
  disabled: boolean;
  onChoose: (file: File) => void;
}

/** Chooses a file; the same one may be chosen again. */
export function FileButton({ label, accept, disabled, onChoose }: Props) {
  return (
    <Button component="label" disabled={disabled}>
      {label}
      <input
        type="file"
        hidden
        accept={accept}
        aria-label={label}
        onChange={(event) => {
          const [file] = event.target.files ?? [];
          if (file) onChoose(file);
          event.target.value = '';
        }}
      />
    </Button>
  );
}
