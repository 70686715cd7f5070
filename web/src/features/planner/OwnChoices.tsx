import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Shapes } from '../../api/client';
import { OptionField } from './OptionField';

interface Props {
  /** What the method lets one choose. */
  options: Shapes['OptionOut'][];
  /** What is chosen otherwise, by the option's key. */
  chosen: Record<string, string>;
  onChange: (chosen: Record<string, string>) => void;
}

/** What is chosen otherwise for one sample than for the session: another salt, another temperature. */
export function OwnChoices({ options, chosen, onChange }: Props) {
  const here = options.filter((option) => option.key in chosen);
  const others = options.filter((option) => !(option.key in chosen));
  return (
    <>
      {here.map((option) => (
        <div key={option.key} style={{ display: 'grid' }}>
          <OptionField
            option={option}
            solutions={[]}
            text={(key) => chosen[key] ?? (key.endsWith('.limit') ? option.limit : option.default)}
            onChange={(texts) => onChange({ ...chosen, ...texts })}
          />
          <Button
            size="small"
            sx={{ justifySelf: 'start' }}
            onClick={() => onChange(without(chosen, option.key))}
          >
            As for the session
          </Button>
        </div>
      ))}
      <TextField
        select
        label="Something else for it"
        value=""
        onChange={({ target }) => {
          const option = others.find((other) => other.key === target.value);
          if (option) onChange({ ...chosen, [option.key]: option.default });
        }}
      >
        {others.map((option) => (
          <MenuItem key={option.key} value={option.key}>
            {option.label}
          </MenuItem>
        ))}
      </TextField>
    </>
  );
}

const without = (chosen: Record<string, string>, key: string) =>
  Object.fromEntries(
    Object.entries(chosen).filter(([option]) => option !== key && option !== `${key}.limit`),
  );
