import Autocomplete from '@mui/material/Autocomplete';
import TextField from '@mui/material/TextField';

const ZONES = ['UTC', ...Intl.supportedValuesOf('timeZone').filter((zone) => zone !== 'UTC')];

/** The device's own zone, which is the department's nearly always. */
export const zoneHere = () => Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC';

/** A time zone by its city. */
export function ZoneField({ value, onChange }: { value: string; onChange: (zone: string) => void }) {
  return (
    <Autocomplete
      options={ZONES.includes(value) || !value ? ZONES : [value, ...ZONES]}
      value={value || null}
      onChange={(_, zone) => onChange(zone ?? '')}
      renderInput={(params) => (
        <TextField
          {...params}
          label="Time zone"
          required
          helperText="Sessions, screens and reports stand in it."
        />
      )}
    />
  );
}
