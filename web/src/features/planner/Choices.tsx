import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { Shapes } from '../../api/client';
import { Folded } from '../../identity/Folded';
import { FoldedSheet } from '../../identity/FoldedSheet';
import { Sheet } from '../../identity/Sheet';
import { chosenAnew } from './chosenAnew';
import { Fields } from './Fields';
import { OptionField } from './OptionField';
import { OwnWorkField } from './OwnWorkField';
import { PrelabField } from './PrelabField';
import { SamplesField } from './SamplesField';
import type { Planner } from './usePlanner';

const GROUPS = [
  ['What is asked', 'asked'],
  ['How it is done', 'how'],
  ['When trials agree', 'agree'],
  ['What is prepared, planned backwards', 'prepared'],
] as const;

interface Props {
  planner: Planner;
  method: Shapes['MethodPage'];
}

/** What a method lets one choose: options, instruments, samples, closing questions. */
export function Choices({ planner, method }: Props) {
  const { plan, put } = planner;
  return (
    <>
      {GROUPS.map(([title, group]) => (
        <Options
          key={`${method.card.slug} ${group}`}
          title={title}
          options={planner.optionsOf(group)}
          planner={planner}
        />
      ))}
      <Sheet title="Instruments">
        <Instruments planner={planner} />
      </Sheet>
      <Sheet title="Samples">
        <SamplesField
          samples={plan.samples}
          results={method.quantities.filter((quantity) => quantity.accepted)}
          options={method.options}
          all={plan.allSamples}
          onChange={put}
        />
      </Sheet>
      <FoldedSheet title="Own work" note={counted(plan.ownWork.lines.length, 'line', 'nothing is asked')}>
        <OwnWorkField
          work={plan.ownWork}
          lines={planner.prediction.data?.lines ?? []}
          onChange={(ownWork) => put({ ownWork })}
        />
      </FoldedSheet>
      <FoldedSheet
        title="Before class"
        note={counted(plan.prelab.tasks.length + plan.prelab.questions.length, 'task', 'nothing is asked')}
      >
        <PrelabField
          prelab={plan.prelab}
          offered={planner.foresight.data?.before_class ?? []}
          onChange={(prelab) => put({ prelab })}
        />
      </FoldedSheet>
      <FoldedSheet
        title="Closing questions"
        note={plan.questions.length > 0 ? 'your own' : 'as the method asks'}
      >
        <TextField
          multiline
          fullWidth
          minRows={2}
          label="One on each line"
          helperText="Empty: as the method asks."
          value={(plan.questions.length > 0 ? plan.questions : method.questions).join('\n')}
          onChange={(event) => put({ questions: event.target.value.split('\n') })}
          sx={{ mt: 1 }}
        />
      </FoldedSheet>
    </>
  );
}

interface OptionsProps {
  title: string;
  options: Shapes['OptionOut'][];
  planner: Planner;
}

/** A chapter of the plan: what is asked and what stands on bottles, the rest folded while it is as usual. */
function Options({ title, options, planner }: OptionsProps) {
  const { plan } = planner;
  const [chosen] = useState(() => new Set(Object.keys(plan.options)));
  if (options.length === 0) return null;
  const usual = options.filter((option) => !stands(option, chosen));
  const shown = options.filter((option) => stands(option, chosen));
  if (shown.length === 0)
    return (
      <FoldedSheet title={title} note={inWords(usual, planner)}>
        <Fields>{usual.map((option) => field(option, planner))}</Fields>
      </FoldedSheet>
    );
  return (
    <Sheet title={title}>
      <Fields>{shown.map((option) => field(option, planner))}</Fields>
      {usual.length > 0 && (
        <Folded title={`As usual: ${inWords(usual, planner)}`}>
          <Fields>{usual.map((option) => field(option, planner))}</Fields>
        </Folded>
      )}
    </Sheet>
  );
}

/** What is asked, what somebody chose before, and the numbers that stand on bottles are looked at each time. */
const stands = (option: Shapes['OptionOut'], chosen: Set<string>) =>
  option.group === 'asked' ||
  option.limit_label !== '' ||
  chosen.has(option.key) ||
  chosen.has(`${option.key}.limit`);

function field(option: Shapes['OptionOut'], { plan, put, solutions, textOf }: Planner) {
  return (
    <OptionField
      key={option.key}
      option={option}
      solutions={solutions}
      text={textOf(option)}
      onChange={(texts) => put({ options: chosenAnew(plan.options, option, texts) })}
    />
  );
}

const SAID = 4;

/** “Indicator: phenolphthalein · Drops: 3 · 2 more” */
function inWords(options: Shapes['OptionOut'][], planner: Planner): string {
  const sentences = options.slice(0, SAID).map((option) => {
    const text = planner.textOf(option)(option.key);
    const word =
      option.choices.find((choice) => choice.key === text)?.label ?? `${text} ${option.unit}`.trim();
    return `${option.label}: ${word}`;
  });
  return `${sentences.join(' · ')}${options.length > SAID ? ` · ${options.length - SAID} more` : ''}`;
}

const counted = (count: number, noun: string, none: string) =>
  count === 0 ? none : `${count} ${noun}${count > 1 ? 's' : ''}`;

function Instruments({ planner }: { planner: Planner }) {
  const { plan, put, tools } = planner;
  return (
    <Fields>
      {tools.map(({ role, fitting, chosen }) => (
        <TextField
          key={role.key}
          select
          label={role.label}
          value={chosen}
          onChange={(event) => put({ instruments: { ...plan.instruments, [role.key]: event.target.value } })}
        >
          {fitting.map((tool) => (
            <MenuItem key={tool.slug} value={tool.slug}>
              {tool.short}
            </MenuItem>
          ))}
        </TextField>
      ))}
    </Fields>
  );
}
