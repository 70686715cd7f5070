import Box from '@mui/material/Box';
import type { Shapes } from '../../api/client';
import { useChoices } from '../../api/hooks';
import { Loaded, Page } from '../../identity/Page';
import { ink } from '../../identity/tokens';

/** Choices that change a last digit, and what the others would give. */
export function ChoicesPage() {
  const choices = useChoices();
  return (
    <Page>
      <Box component="h1" sx={{ mt: 0, fontSize: 28 }}>
        How Chromata computes
      </Box>
      <p>
        Where there are several accepted ways, one had to be chosen. Each is stated here with what the others
        would change.
      </p>
      <Loaded of={choices}>
        {(all) => (
          <Box
            component="dl"
            sx={{ bgcolor: ink.sheet, border: `1px solid ${ink.rule}`, borderRadius: 2.5, px: 2.5, m: 0 }}
          >
            {all.map((choice) => (
              <Topic key={choice.topic} choice={choice} />
            ))}
          </Box>
        )}
      </Loaded>
    </Page>
  );
}

function Topic({ choice }: { choice: Shapes['ChoiceMade'] }) {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', md: '220px 1fr' },
        gap: { xs: 0.5, md: 2 },
        py: 1.75,
        borderBottom: `1px solid ${ink.ruleSoft}`,
      }}
    >
      <Box component="dt" sx={{ fontWeight: 700 }}>
        {choice.topic}
      </Box>
      <Box component="dd" sx={{ m: 0 }}>
        {choice.made} <span style={{ color: ink.inkSoft }}>{choice.otherwise}</span>
      </Box>
    </Box>
  );
}
