import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import TextField from '@mui/material/TextField';
import { useSearchParams } from 'react-router';
import type { Shapes } from '../../api/client';
import { Columns } from '../../identity/Columns';
import { Heading } from '../../identity/Heading';
import { Loaded, Page } from '../../identity/Page';
import { Sheet } from '../../identity/Sheet';
import { accent, ink } from '../../identity/tokens';
import { CalculationDrill } from './CalculationDrill';
import { ClassSkills } from './ClassSkills';
import { HuntDrill } from './HuntDrill';
import { ScaleDrill } from './ScaleDrill';
import { kindOf, KINDS, usePractice, type Kind } from './usePractice';

const isKind = (text: string | null): text is Kind => text !== null && text in KINDS;

/** Drawn instruments, fresh readings and hidden faults, endlessly; nobody marks them. */
export function PracticePage({ me }: { me: Shapes['Me'] }) {
  const practice = usePractice();
  return (
    <Page wide>
      <Heading
        colour={accent('')}
        title="Practice"
        below="As often as you like; each task is a new one, and nothing of it is marked."
      />
      <Loaded of={practice}>
        {(there) => (
          <Columns right="minmax(260px, 0.6fr)">
            <Drill there={there} />
            {me.role === 'student' ? <Skills of={there.skills} /> : <ClassSkills />}
          </Columns>
        )}
      </Loaded>
    </Page>
  );
}

const TABS = {
  mb: 2,
  '& .MuiTab-root.Mui-selected': { color: ink.link },
  '& .MuiTabs-indicator': { bgcolor: ink.link },
} as const;

function Drill({ there }: { there: Shapes['PracticeView'] }) {
  const [address, setAddress] = useSearchParams();
  const chosen = address.get('kind');
  const kind = isKind(chosen) ? chosen : 'scales';
  const offered = there[kind];
  const slug = offered.find((drill) => drill.slug === address.get('of'))?.slug ?? offered[0]?.slug ?? '';
  return (
    <Sheet title={KINDS[kind][1]}>
      <Tabs value={kind} onChange={(_, to: Kind) => setAddress({ kind: to })} sx={TABS}>
        {Object.entries(KINDS).map(([key, [label]]) => (
          <Tab key={key} value={key} label={label} />
        ))}
      </Tabs>
      <TextField
        select
        label={kind === 'scales' ? 'Instrument' : 'Experiment'}
        value={slug}
        onChange={(event) => setAddress({ kind, of: event.target.value })}
        sx={{ mb: 3, maxWidth: 420 }}
      >
        {offered.map((drill) => (
          <MenuItem key={drill.slug} value={drill.slug}>
            {drill.label}
          </MenuItem>
        ))}
      </TextField>
      {kind === 'scales' && <ScaleDrill key={slug} slug={slug} colour={accent('gas')} />}
      {kind === 'calculations' && <CalculationDrill key={slug} slug={slug} />}
      {kind === 'hunts' && <HuntDrill key={slug} slug={slug} />}
    </Sheet>
  );
}

function Skills({ of }: { of: Shapes['SkillShown'][] }) {
  return (
    <Sheet title="How far you are">
      {of.length === 0 && <Box sx={{ color: ink.inkSoft }}>Nothing yet. Begin with a burette.</Box>}
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {of.map((skill) => (
          <Box
            component="li"
            key={`${skill.kind} ${skill.slug}`}
            sx={{ py: 0.75, borderBottom: `1px solid ${ink.ruleSoft}` }}
          >
            {skill.label}, {kindOf(skill.kind)}
            <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>
              {skill.right} of {skill.tried} right{skill.in_a_row > 2 ? `, ${skill.in_a_row} in a row` : ''}
            </Box>
          </Box>
        ))}
      </Box>
    </Sheet>
  );
}
