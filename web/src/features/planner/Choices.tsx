import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { Shapes } from '../../api/client';
import { Sheet } from '../../identity/Sheet';
import { chosenAnew } from './chosenAnew';
import { Fields } from './Fields';
import { OptionField } from './OptionField';
import { OwnWorkField } from './OwnWorkField';
import { PrelabField } from './PrelabField';
import { SamplesField } from './SamplesField';
import type { Planner } from './usePlanner';

const GROUPS = [
  ['How it is done', false],
  ['What is wanted, to plan backwards', true],
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
      {GROUPS.map(([title, planning]) => (
        <Options key={title} title={title} options={planner.optionsOf(planning)} planner={planner} />
      ))}
      <Sheet title="Instruments">
        <Instruments planner={planner} />
      </Sheet>
      <Sheet title="Samples">
        <SamplesField
          samples={plan.samples}
          results={method.quantities.filter((one) => one.accepted)}
          options={method.options}
          all={plan.allSamples}
          onChange={put}
        />
      </Sheet>
      <Sheet title="Own work">
        <OwnWorkField
          work={plan.ownWork}
          lines={planner.prediction.data?.lines ?? []}
          onChange={(ownWork) => put({ ownWork })}
        />
      </Sheet>
      <Sheet title="Before class">
        <PrelabField
          prelab={plan.prelab}
          offered={planner.prediction.data?.before_class ?? []}
          onChange={(prelab) => put({ prelab })}
        />
      </Sheet>
      <Sheet title="Closing questions">
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
      </Sheet>
    </>
  );
}

interface OptionsProps {
  title: string;
  options: Shapes['OptionOut'][];
  planner: Planner;
}

function Options({ title, options, planner }: OptionsProps) {
  const { plan, put, solutions, textOf } = planner;
  if (options.length === 0) return null;
  return (
    <Sheet title={title}>
      <Fields>
        {options.map((option) => (
          <OptionField
            key={option.key}
            option={option}
            solutions={solutions}
            text={textOf(option)}
            onChange={(texts) => put({ options: chosenAnew(plan.options, option, texts) })}
          />
        ))}
      </Fields>
    </Sheet>
  );
}

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
