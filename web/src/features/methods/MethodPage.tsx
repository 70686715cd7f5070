import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Link, useParams } from 'react-router';
import type { Shapes } from '../../api/client';
import { useMe, useMethod } from '../../api/hooks';
import { BudgetBars } from '../../results/BudgetBars';
import { Mathml } from '../../identity/Mathml';
import { Columns } from '../../identity/Columns';
import { Heading } from '../../identity/Heading';
import { Loaded, Page } from '../../identity/Page';
import { Pairs } from '../../identity/Pairs';
import { Sheet } from '../../identity/Sheet';
import { ResultCard } from '../../results/ResultCard';
import { CopyAndChange } from '../experiments/CopyAndChange';
import { accent, FIGURES, ink } from '../../identity/tokens';
import { Scene } from '../../scenes/Scene';
import { WorkedLines } from '../../results/WorkedLines';

/** A method's page of the book. */
export function MethodPage() {
  const method = useMethod(useParams().slug ?? '');
  return <Loaded of={method}>{(page) => <Method page={page} />}</Loaded>;
}

function Method({ page }: { page: Shapes['MethodPage'] }) {
  const colour = accent(page.card.family);
  const me = useMe();
  return (
    <Page>
      <Heading
        colour={colour}
        above={page.card.family_label}
        title={page.card.title}
        below={
          <>
            <Box sx={{ fontSize: 19, color: ink.ink, mt: 0.5 }}>{page.card.question}</Box>
            <Box sx={{ fontSize: 17, mt: 0.5 }}>{page.reaction}</Box>
          </>
        }
        actions={
          me.data?.role === 'instructor' && (
            <>
              <Button component={Link} to={`/methods/${page.card.slug}/history`}>
                Over the years
              </Button>
              <CopyAndChange card={page.card} />
              <Button variant="contained" component={Link} to={`/plan?method=${page.card.slug}`}>
                Plan a session
              </Button>
            </>
          )
        }
      />
      <Columns>
        <Box sx={{ display: 'grid', gap: 3 }}>
          <Computation quantities={page.quantities} />
          <WorkedExample page={page} colour={colour} />
          <Effects
            title="Slips of arithmetic"
            lead="You get this if …"
            effects={page.slips}
            colour={colour}
          />
        </Box>
        <Box sx={{ display: 'grid', gap: 3 }}>
          <HowItIsDone page={page} />
          <MayWait wishes={page.wishes} />
          <Effects
            title="Faults at the bench"
            lead="Effect on the worked example, computed"
            effects={page.faults}
            colour={colour}
          />
        </Box>
      </Columns>
    </Page>
  );
}

/** What an own experiment does without so far: nothing that could make a result wrong. */
function MayWait({ wishes }: Pick<Shapes['MethodPage'], 'wishes'>) {
  if (wishes.length === 0) return null;
  return (
    <Sheet title="What it does without so far">
      <Box component="ul" sx={{ m: 0, pl: 2.5, color: ink.inkSoft }}>
        {wishes.map((wish) => (
          <li key={wish}>{wish}</li>
        ))}
      </Box>
    </Sheet>
  );
}

function Computation({ quantities }: Pick<Shapes['MethodPage'], 'quantities'>) {
  return (
    <Sheet title="The computation">
      {quantities.map((quantity) => (
        <Box
          key={quantity.key}
          sx={{
            py: 1,
            borderBottom: `1px solid ${ink.ruleSoft}`,
            display: 'flex',
            justifyContent: 'space-between',
            gap: 2,
            alignItems: 'center',
            flexWrap: 'wrap',
          }}
        >
          <Box sx={{ fontSize: 18 }} role="math" aria-label={quantity.plain}>
            <Mathml of={`${quantity.symbol}<mo>=</mo>${quantity.formula}`} />
          </Box>
          <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>
            {quantity.label}
            {quantity.unit && <span style={{ fontFamily: FIGURES }}> {quantity.unit}</span>}
          </Box>
        </Box>
      ))}
    </Sheet>
  );
}

function WorkedExample({ page, colour }: { page: Shapes['MethodPage']; colour: string }) {
  const [first] = page.example_results;
  return (
    <Sheet title="A worked example" note={page.example_source}>
      <Box sx={{ color: ink.inkSoft, fontSize: 14 }}>
        {page.example_known.map((constant) => constant.text).join(' · ')}
      </Box>
      <WorkedLines lines={page.example_lines} />
      {first && (
        <Box sx={{ display: 'grid', gap: 2, mt: 2 }}>
          <ResultCard result={first} colour={colour} />
          <BudgetBars lines={first.budget} colour={colour} />
        </Box>
      )}
    </Sheet>
  );
}

/** Cautions, what is read, what may be chosen, the steps. */
function HowItIsDone({ page }: { page: Shapes['MethodPage'] }) {
  return (
    <>
      <Sheet title="Cautions">
        <Box component="ul" sx={{ m: 0, pl: 2.5, '& li': { mb: 0.75 } }}>
          {page.hazards.map((hazard) => (
            <li key={hazard}>{hazard}</li>
          ))}
        </Box>
        <Box sx={{ mt: 1, fontWeight: 700 }}>Waste</Box>
        {page.waste}
      </Sheet>
      <Sheet title="What is read" note={page.trials}>
        <Pairs
          rows={page.parts.map((part) => [part.label + (part.unit ? `, ${part.unit}` : ''), part.often])}
        />
      </Sheet>
      <Sheet title="Schools to choose from">
        <Pairs rows={page.options.map((option) => [option.label, said(option)])} />
      </Sheet>
      <Sheet title="The steps">
        <Box component="ol" sx={{ m: 0, pl: 2.5, '& li': { mb: 0.5 } }}>
          {page.steps.map((step, place) => (
            <li key={place}>
              {step.text}
              {page.steps.findIndex((other) => other.scene === step.scene) === place && step.scene && (
                <Drawn of={step.scene} colour={accent(page.card.family)} />
              )}
            </li>
          ))}
        </Box>
      </Sheet>
    </>
  );
}

/** A drawing that is fetched when it is opened. */
function Drawn({ of, colour }: { of: string; colour: string }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button
        size="small"
        sx={{ display: 'block', ml: -0.5 }}
        onClick={() => setOpen(!open)}
        aria-expanded={open}
      >
        {open ? 'Hide the drawing' : 'Draw it'}
      </Button>
      {open && <Scene of={of} colour={colour} />}
    </>
  );
}

function said(option: Shapes['OptionOut']): string {
  if (option.kind === 'number')
    return `${option.default}${option.limit ? ` ± ${option.limit}` : ''} ${option.unit}`.trim();
  return option.choices.find((choice) => choice.key === option.default)?.label ?? option.default;
}

interface EffectsProps {
  title: string;
  lead: string;
  effects: Shapes['Effect'][];
  colour: string;
}

function Effects({ title, lead, effects, colour }: EffectsProps) {
  if (effects.length === 0) return null;
  return (
    <Sheet title={title} note={lead}>
      {effects.map((effect) => (
        <Box key={effect.key} sx={{ py: 1, borderBottom: `1px solid ${ink.ruleSoft}` }}>
          <strong>{effect.says}</strong>
          <Box sx={{ fontSize: 14, color: effect.percent ? colour : ink.inkSoft }}>{effect.text}</Box>
          {effect.looks && (
            <Box sx={{ fontSize: 14, color: ink.inkSoft }}>
              {effect.looks} {effect.remedy}
            </Box>
          )}
        </Box>
      ))}
    </Sheet>
  );
}
