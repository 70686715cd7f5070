import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState, type FormEvent } from 'react';
import { type Shapes } from '../../api/client';
import { useDepartment } from '../../api/hooks';
import { Columns } from '../../identity/Columns';
import { Heading } from '../../identity/Heading';
import { NotDone } from '../../identity/NotDone';
import { Loaded, Page } from '../../identity/Page';
import { Sheet } from '../../identity/Sheet';
import { day } from '../../time/time';
import { accent, ink } from '../../identity/tokens';
import { dotted } from '../../identity/dotted';
import { OneTimeLink } from './OneTimeLink';
import { Tokens } from './Tokens';
import { useAccount, useLink, useSetDepartment, useStaff } from './useStaff';
import { ZoneField } from './ZoneField';
import { AskedTwice } from '../../identity/AskedTwice';

/** The department, its staff, and who keeps the accounts. */
export function DepartmentPage({ me }: { me: Shapes['Me'] }) {
  const department = useDepartment();
  const staff = useStaff();
  return (
    <Page>
      <Loaded of={department}>
        {(data) => (
          <>
            <Heading
              colour={accent('')}
              title={data.name || 'Department'}
              below={dotted(data.demo && 'This is the demo', `time zone ${data.time_zone}`)}
            />
            <Columns>
              <Loaded of={staff}>{(people) => <Staff people={people} me={me} />}</Loaded>
              <Box sx={{ display: 'grid', gap: 3 }}>
                {me.keeper ? <Named key={data.time_zone + data.name} department={data} /> : <Kept />}
                <Tokens />
              </Box>
            </Columns>
          </>
        )}
      </Loaded>
    </Page>
  );
}

function Kept() {
  return (
    <Sheet title="Accounts">
      Those marked “keeps the accounts” invite colleagues and set passwords anew. You invite assistants on the
      page of your section.
    </Sheet>
  );
}

function Named({ department }: { department: Shapes['DepartmentNow'] }) {
  const [name, setName] = useState(department.name);
  const [zone, setZone] = useState(department.time_zone);
  const change = useSetDepartment();
  const submit = (event: FormEvent) => {
    event.preventDefault();
    change.mutate({ name, time_zone: zone });
  };
  return (
    <Sheet title="Name and time">
      <Box component="form" onSubmit={submit} sx={{ display: 'grid', gap: 2, pt: 1 }}>
        <TextField
          label="Department"
          value={name}
          required
          onChange={(event) => setName(event.target.value)}
        />
        <ZoneField value={zone} onChange={setZone} />
        <Button type="submit" variant="outlined" disabled={change.isPending}>
          Keep
        </Button>
        <NotDone lead="Not kept." error={change.error} />
      </Box>
    </Sheet>
  );
}

function Staff({ people, me }: { people: Shapes['StaffMember'][]; me: Shapes['Me'] }) {
  const link = useLink();
  const account = useAccount();
  const [whose, setWhose] = useState('');
  const make = (of: string, what: Parameters<typeof link.mutate>[0]) => {
    setWhose(of);
    link.mutate(what);
  };
  return (
    <Sheet title="Instructors and assistants">
      {me.keeper && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 1.5 }}>
          {(['instructor', 'assistant'] as const).map((role) => (
            <Button
              key={role}
              variant="outlined"
              onClick={() => make(`Invitation for an ${role}.`, { role, section: null })}
            >
              Invite an {role}
            </Button>
          ))}
        </Box>
      )}
      {link.data && <OneTimeLink link={link.data} of={whose} />}
      <NotDone lead="Not done." error={link.error ?? account.error} />
      {people.map((person) => (
        <Member
          key={person.id}
          member={person}
          mayChange={Boolean(me.keeper)}
          onReset={() => make(`New password for ${person.name}.`, { person: person.id })}
          onAction={(action) => account.mutate({ person: person.id, action })}
        />
      ))}
    </Sheet>
  );
}

interface MemberProps {
  member: Shapes['StaffMember'];
  mayChange: boolean;
  onReset: () => void;
  onAction: (action: Shapes['AccountRequest']['action']) => void;
}

function Member({ member, mayChange, onReset, onAction }: MemberProps) {
  return (
    <Box sx={{ py: 1.25, borderBottom: `1px solid ${ink.ruleSoft}` }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <strong>{member.name}</strong>
        <span style={{ color: ink.inkSoft }}>
          {dotted(
            member.role,
            `signs in as “${member.username}”`,
            member.keeper && 'keeps the accounts',
            !member.active && 'has left',
          )}
        </span>
      </Box>
      <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>
        {dotted(
          member.sections.join(', '),
          member.last_seen ? `last here ${day(member.last_seen)}` : 'not here yet',
        )}
      </Box>
      {mayChange && <Account {...{ member, onReset, onAction }} />}
    </Box>
  );
}

function Account({ member, onReset, onAction }: Omit<MemberProps, 'mayChange'>) {
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', ml: -1 }}>
      {member.active ? (
        <>
          <Button size="small" onClick={onReset}>
            New password
          </Button>
          {member.role === 'instructor' && (
            <Button size="small" onClick={() => onAction(member.keeper ? 'no_longer_keep' : 'keep')}>
              {member.keeper ? 'No longer keeps the accounts' : 'Let them keep the accounts'}
            </Button>
          )}
          <AskedTwice
            size="small"
            color="error"
            ask="End the account"
            sure="Yes, end it: signed out at once, records stay"
            onSure={() => onAction('end')}
          />
        </>
      ) : (
        <Button size="small" onClick={() => onAction('take_back')}>
          Let them in again
        </Button>
      )}
    </Box>
  );
}
