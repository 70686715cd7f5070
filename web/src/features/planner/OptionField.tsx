import Autocomplete from '@mui/material/Autocomplete';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Shapes } from '../../api/client';
import { FIGURES } from '../../identity/tokens';
import { keptOnDesk } from '../desk/useDesk';

interface Props {
  option: Shapes['OptionOut'];
  /** Texts by option key: chosen, else as they follow from other choices. */
  text: (key: string) => string;
  /** Standardised solutions whose concentration can be taken over. */
  solutions: Shapes['SolutionOut'][];
  onChange: (texts: Record<string, string>) => void;
}

const figures = { htmlInput: { style: { fontFamily: FIGURES }, inputMode: 'decimal' as const } };

const listed = { htmlInput: { style: { fontFamily: FIGURES } } };

/** One choice of the plan, in the form of its kind. */
export function OptionField({ option, text, solutions, onChange }: Props) {
  const shown = text(option.key);
  if (option.kind === 'choice')
    return (
      <TextField
        select
        label={option.label}
        helperText={option.help}
        value={shown}
        onChange={(event) => onChange({ [option.key]: event.target.value })}
      >
        {option.choices.map((choice) => (
          <MenuItem key={choice.key} value={choice.key}>
            {choice.label}
          </MenuItem>
        ))}
      </TextField>
    );
  if (option.kind === 'substance')
    return (
      <Autocomplete
        freeSolo
        disableClearable
        options={option.choices.map((choice) => choice.key)}
        getOptionLabel={(key) => option.choices.find((choice) => choice.key === key)?.label ?? key}
        value={shown}
        onChange={(_, key) => onChange({ [option.key]: key })}
        renderInput={(params) => <TextField {...params} label={option.label} helperText={option.help} />}
      />
    );
  return <NumberField {...{ option, text, solutions, onChange }} />;
}

interface Offered {
  name: string;
  value: string;
  limit: string;
}

/** What the shelf and the desk hold that could stand for this number: of its unit, and of the shelf with its limit. */
function fittingTo(option: Props['option'], solutions: Props['solutions']): Offered[] {
  const shelf = option.limit_label ? solutions.filter((solution) => solution.unit === option.unit) : [];
  const desk = option.unit ? keptOnDesk().filter((kept) => kept.unit === option.unit) : [];
  return [...shelf.map(({ name, concentration, limit }) => ({ name, value: concentration, limit })), ...desk];
}

function NumberField({ option, text, solutions, onChange }: Props) {
  const limit = `${option.key}.limit`;
  const fitting = fittingTo(option, solutions);
  const label = option.unit ? `${option.label}, ${option.unit}` : option.label;
  return (
    <div style={{ display: 'grid', gridTemplateColumns: option.limit_label ? '1.6fr 1fr' : '1fr', gap: 8 }}>
      <TextField
        label={label}
        helperText={option.help}
        value={text(option.key)}
        onChange={(event) => onChange({ [option.key]: event.target.value })}
        slotProps={option.kind === 'list' ? listed : figures}
      />
      {option.limit_label && (
        <TextField
          label="known to ±"
          value={text(limit)}
          onChange={(event) => onChange({ [limit]: event.target.value })}
          slotProps={figures}
        />
      )}
      {fitting.length > 0 && (
        <Fitting
          offered={fitting}
          unit={option.unit}
          onTake={(taken) => {
            const known = option.limit_label !== '' && taken.limit !== '';
            onChange({ [option.key]: taken.value, ...(known && { [limit]: taken.limit }) });
          }}
        />
      )}
    </div>
  );
}

type FittingProps = { offered: Offered[]; unit: string; onTake: (taken: Offered) => void };

/** What is known already and has this unit. */
function Fitting({ offered, unit, onTake }: FittingProps) {
  return (
    <TextField
      select
      label="Take from the stockroom or the desk"
      value=""
      style={{ gridColumn: '1 / -1' }}
      onChange={(event) => {
        const taken = offered.find((known) => known.name === event.target.value);
        if (taken) onTake(taken);
      }}
    >
      {offered.map((known) => (
        <MenuItem key={known.name} value={known.name}>
          {known.name}: {known.value} {known.limit && `± ${known.limit}`} {unit}
        </MenuItem>
      ))}
    </TextField>
  );
}
