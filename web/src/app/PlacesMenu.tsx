import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import { useState } from 'react';
import { NavLink } from 'react-router';

/** Where one can go, on a phone. */
export function PlacesMenu({ places }: { places: readonly (readonly [string, string])[] }) {
  const [at, setAt] = useState<HTMLElement | null>(null);
  return (
    <Box component="nav" aria-label="Views" sx={{ flex: 1 }}>
      <Button
        aria-haspopup="menu"
        sx={{ whiteSpace: 'nowrap' }}
        onClick={(event) => setAt(event.currentTarget)}
      >
        Go to
      </Button>
      <Menu anchorEl={at} open={at !== null} onClose={() => setAt(null)}>
        {places.map(([to, name]) => (
          <MenuItem key={to} component={NavLink} to={to} onClick={() => setAt(null)}>
            {name}
          </MenuItem>
        ))}
      </Menu>
    </Box>
  );
}
