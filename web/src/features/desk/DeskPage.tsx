import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useSearchParams } from 'react-router';
import type { Shapes } from '../../api/client';
import { Heading } from '../../identity/Heading';
import { Loaded, Page } from '../../identity/Page';
import { accent, ink } from '../../identity/tokens';
import { CalculatorSheet } from './CalculatorSheet';
import { useDesk } from './useDesk';

/** Small calculators of the working day: one at hand, the others one key away. */
export function DeskPage() {
  return (
    <Page wide>
      <Heading colour={accent('solutions')} title="Desk" below="Every answer with its working." />
      <Loaded of={useDesk()}>{(calculators) => <AtHand calculators={calculators} />}</Loaded>
    </Page>
  );
}

const NAMED = { justifyContent: 'flex-start', textAlign: 'left', color: ink.ink };
const CHOSEN = { ...NAMED, bgcolor: ink.liquid, boxShadow: `inset 4px 0 0 ${accent('solutions')}` };

function AtHand({ calculators }: { calculators: Shapes['CalculatorOut'][] }) {
  const [search, setSearch] = useSearchParams();
  const chosen = calculators.find((calculator) => calculator.key === search.get('at')) ?? calculators[0];
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 3,
        mt: 2,
        alignItems: 'start',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '230px minmax(0, 1fr)' },
      }}
    >
      <Box
        component="nav"
        aria-label="Calculators"
        sx={{ display: 'flex', flexDirection: { xs: 'row', md: 'column' }, flexWrap: 'wrap', gap: 0.5 }}
      >
        {calculators.map((calculator) => (
          <Button
            key={calculator.key}
            onClick={() => setSearch({ at: calculator.key })}
            aria-current={calculator === chosen}
            sx={calculator === chosen ? CHOSEN : NAMED}
          >
            {calculator.title}
          </Button>
        ))}
      </Box>
      {chosen && <CalculatorSheet key={chosen.key} calculator={chosen} />}
    </Box>
  );
}
