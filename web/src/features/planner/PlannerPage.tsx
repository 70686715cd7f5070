import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { sentence, type Shapes } from '../../api/client';
import { useInstruments, useMethod, useMethods, useSections, useSession, useStock } from '../../api/hooks';
import { Columns } from '../../identity/Columns';
import { Heading } from '../../identity/Heading';
import { Loaded, Page } from '../../identity/Page';
import { Sheet } from '../../identity/Sheet';
import { accent } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { Consequences } from './Consequences';
import { OptionField } from './OptionField';
import { SamplesField } from './SamplesField';
import { planOf, tomorrow, usePrediction, useSavePlan, type Changing, type Plan } from './usePlan';

/** A new plan: empty, or after one that stands (“?again=12”). */
export function PlannerPage() {
  const [search] = useSearchParams();
  const again = Number(search.get('again'));
  return again ? <AfterPlan id={again} /> : <Ready>{(known) => <NewPlan {...known} />}</Ready>;
}

/** A planned session, changed until it opens. */
export function ChangePlanPage() {
  const id = Number(useParams().session);
  const session = useSession(id);
  return (
    <Loaded of={session}>
      {(found) => (
        <Ready>
          {(known) => (
            <Planner
              {...known}
              title={`Change “${found.card.title}”`}
              first={planOf(found)}
              changing={{ id, revision: found.draft.revision }}
            />
          )}
        </Ready>
      )}
    </Loaded>
  );
}

function AfterPlan({ id }: { id: number }) {
  const session = useSession(id);
  return (
    <Loaded of={session}>
      {(found) => (
        <Ready>
          {(known) => (
            <Planner {...known} title="Plan it again" first={{ ...planOf(found), starts: tomorrow() }} />
          )}
        </Ready>
      )}
    </Loaded>
  );
}

interface Known {
  methods: Shapes['MethodCard'][];
  sections: Shapes['SectionLine'][];
}

/** Everything a plan is chosen from, once it is there. */
function Ready({ children }: { children: (known: Known) => React.ReactNode }) {
  const methods = useMethods();
  const sections = useSections();
  return (
    <Page wide>
      <Loaded of={methods}>
        {(all) => (
          <Loaded of={sections}>
            {(mine) => children({ methods: all, sections: mine.filter((one) => one.mine && !one.archived) })}
          </Loaded>
        )}
      </Loaded>
    </Page>
  );
}

function NewPlan({ methods, sections }: Known) {
  const [search] = useSearchParams();
  if (sections.length === 0)
    return (
      <VerdictLine level="look" lead="There is no section yet.">
        A session belongs to a section. <Link to="/sections">Make one</Link>, then plan.
      </VerdictLine>
    );
  const first: Plan = {
    method: search.get('method') ?? methods[0]?.slug ?? '',
    section: sections[0]?.id ?? null,
    guests: [],
    title: '',
    room: '',
    starts: tomorrow(),
    minutes: '120',
    benches: '8',
    options: {},
    instruments: {},
    samples: [],
    questions: [],
  };
  return <Planner {...{ methods, sections, first }} title="Plan a session" />;
}

const GROUPS = [
  ['How it is done', false],
  ['What is wanted, to plan backwards', true],
] as const;

interface Props extends Known {
  title: string;
  first: Plan;
  changing?: Changing;
}

/** Choices on the left, consequences on the right as they change. */
function Planner({ methods, sections, title, first, changing }: Props) {
  const [plan, setPlan] = useState(first);
  const put = (change: Partial<Plan>) => setPlan((old) => ({ ...old, ...change }));
  const method = useMethod(plan.method);
  const stock = useStock();
  const prediction = usePrediction(plan);
  const save = useSavePlan(changing);
  const go = useNavigate();
  const colour = accent(methods.find((one) => one.slug === plan.method)?.family ?? '');
  const parts = prediction.data?.parts;
  const roles = (method.data?.roles ?? []).filter(
    (role) => !parts || parts.some((part) => part.role === role.key),
  );
  const tools = useChosenTools(roles, plan.instruments);
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault();
        save.mutate(plan, { onSuccess: (made) => void go(`/sessions/${made.card.id}`) });
      }}
    >
      <Heading colour={colour} title={title} />
      <Columns right="minmax(320px, 1fr)">
        <Box sx={{ display: 'grid', gap: 3 }}>
          <Sheet title="Which experiment, when and for whom">
            <When {...{ plan, put, methods, sections }} />
          </Sheet>
          {method.data && (
            <>
              {GROUPS.map(([title, planning]) => {
                const options = method.data.options.filter(
                  (option) => option.planning === planning && asked(option, prediction.data?.options),
                );
                return options.length === 0 ? null : (
                  <Sheet key={title} title={title}>
                    <Fields>
                      {options.map((option) => (
                        <OptionField
                          key={option.key}
                          option={option}
                          solutions={stock.data?.solutions ?? []}
                          text={(key) =>
                            plan.options[key] ??
                            prediction.data?.options[key] ??
                            (key.endsWith('.limit') ? option.limit : option.default)
                          }
                          onChange={(texts) => put({ options: { ...plan.options, ...texts } })}
                        />
                      ))}
                    </Fields>
                  </Sheet>
                );
              })}
              <Sheet title="Instruments">
                <Fields>
                  {tools.map(({ role, fitting, chosen }) => (
                    <TextField
                      key={role.key}
                      select
                      label={role.label}
                      value={chosen}
                      onChange={(event) =>
                        put({ instruments: { ...plan.instruments, [role.key]: event.target.value } })
                      }
                    >
                      {fitting.map((tool) => (
                        <MenuItem key={tool.slug} value={tool.slug}>
                          {tool.short}
                        </MenuItem>
                      ))}
                    </TextField>
                  ))}
                </Fields>
              </Sheet>
              <Sheet title="Samples">
                <SamplesField
                  samples={plan.samples}
                  results={method.data.quantities.filter((one) => one.accepted)}
                  onChange={(samples) => put({ samples })}
                />
              </Sheet>
              <Sheet title="Closing questions">
                <TextField
                  multiline
                  fullWidth
                  minRows={2}
                  label="One on each line"
                  helperText="Empty: as the method asks."
                  value={(plan.questions.length > 0 ? plan.questions : method.data.questions).join('\n')}
                  onChange={(event) => put({ questions: event.target.value.split('\n') })}
                  sx={{ mt: 1 }}
                />
              </Sheet>
            </>
          )}
        </Box>
        <Box sx={{ position: { md: 'sticky' }, top: 16, display: 'grid', gap: 2 }}>
          <Consequences
            prediction={prediction.data}
            error={prediction.error}
            colour={colour}
            benches={Number(plan.benches)}
            minutes={Number(plan.minutes)}
            instruments={tools.map((tool) => tool.name)}
          />
          {save.error && (
            <VerdictLine level="look" lead="Not saved.">
              {sentence(save.error)}
            </VerdictLine>
          )}
          <Button
            type="submit"
            variant="contained"
            size="large"
            disabled={save.isPending || plan.section === null || Boolean(prediction.error)}
            sx={{ minHeight: 52 }}
          >
            {changing ? 'Keep the changes' : 'Save the plan'}
          </Button>
        </Box>
      </Columns>
    </Box>
  );
}

interface WhenProps {
  plan: Plan;
  put: (change: Partial<Plan>) => void;
  methods: Shapes['MethodCard'][];
  sections: Shapes['SectionLine'][];
}

function When({ plan, put, methods, sections }: WhenProps) {
  return (
    <Fields>
      <TextField
        select
        label="Experiment"
        value={plan.method}
        onChange={(event) =>
          put({ method: event.target.value, options: {}, instruments: {}, samples: [], questions: [] })
        }
      >
        {methods.map((one) => (
          <MenuItem key={one.slug} value={one.slug}>
            {one.title}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label="Section"
        value={plan.section ?? ''}
        onChange={(event) => {
          const section = Number(event.target.value);
          put({ section, guests: plan.guests.filter((one) => one !== section) });
        }}
      >
        {sections.map((one) => (
          <MenuItem key={one.id} value={one.id}>
            {one.name}, {one.students} students
          </MenuItem>
        ))}
      </TextField>
      {sections.length > 1 && (
        <TextField
          select
          label="Together with"
          value={plan.guests}
          onChange={(event) => put({ guests: event.target.value as unknown as number[] })}
          slotProps={{
            select: {
              multiple: true,
              displayEmpty: true,
              renderValue: (chosen) =>
                sections
                  .filter((one) => (chosen as number[]).includes(one.id))
                  .map((one) => one.name)
                  .join(', ') || 'no other section',
            },
            inputLabel: { shrink: true },
          }}
        >
          {sections
            .filter((one) => one.id !== plan.section)
            .map((one) => (
              <MenuItem key={one.id} value={one.id}>
                {one.name}, {one.students} students
              </MenuItem>
            ))}
        </TextField>
      )}
      <TextField
        label="Title, as the class will see it"
        required
        value={plan.title}
        onChange={(event) => put({ title: event.target.value })}
        slotProps={{ htmlInput: { maxLength: 120 } }}
      />
      <TextField
        label="Room"
        value={plan.room}
        onChange={(event) => put({ room: event.target.value })}
        slotProps={{ htmlInput: { maxLength: 60 } }}
      />
      <TextField
        label="Starts"
        type="datetime-local"
        required
        value={plan.starts}
        onChange={(event) => put({ starts: event.target.value })}
        slotProps={{ inputLabel: { shrink: true } }}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
        <TextField
          label="Minutes"
          type="number"
          required
          value={plan.minutes}
          onChange={(event) => put({ minutes: event.target.value })}
          slotProps={{ htmlInput: { min: 10, max: 600 } }}
        />
        <TextField
          label="Benches"
          type="number"
          required
          value={plan.benches}
          onChange={(event) => put({ benches: event.target.value })}
          slotProps={{ htmlInput: { min: 1, max: 48 } }}
        />
      </Box>
    </Fields>
  );
}

function Fields({ children }: { children: React.ReactNode }) {
  return (
    <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' }, pt: 1 }}>
      {children}
    </Box>
  );
}

/** For each role: the instruments that fit, and the one that is chosen. */
function useChosenTools(roles: Shapes['RoleOut'][], instruments: Record<string, string>) {
  const stock = useInstruments();
  return roles.map((role) => {
    const fitting = (stock.data ?? []).filter((tool) => role.kinds.includes(tool.kind));
    const chosen = fitting.length > 0 ? (instruments[role.key] ?? role.default) : '';
    return { role, fitting, chosen, name: fitting.find((tool) => tool.slug === chosen)?.short ?? '' };
  });
}

/** Whether an option matters under what else is chosen; before that is known, all do. */
const asked = (option: Shapes['OptionOut'], chosen: Record<string, string> | undefined) =>
  !chosen || Object.entries(option.when).every(([key, choices]) => choices.includes(chosen[key] ?? ''));
