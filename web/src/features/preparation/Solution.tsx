import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import type { Shapes } from '../../api/client';
import { Folded } from '../../identity/Folded';
import { dotted } from '../../identity/dotted';
import { day } from '../../time/time';
import { FIGURES, ink } from '../../identity/tokens';
import { VerdictLine } from '../../identity/Verdict';
import { ListLine } from './ListLine';
import { useTriedRecipe } from './usePreparation';
import { WeighedForm } from './WeighedForm';

interface Props {
  session: number;
  line: Shapes['ToMake'];
  onTick?: ((ready: boolean) => Promise<unknown>) | undefined;
}

/** A solution of the list: its recipe in a line, step by step where wanted, and what was really weighed. */
export function Solution({ session, line, onTick }: Props) {
  const [writing, setWriting] = useState(false);
  const [bottle, setBottle] = useState<number | null>(null);
  const other = useTriedRecipe(session, { key: line.recipe.key, bottle, measured: {} }, bottle !== null);
  const recipe = (bottle !== null && other.data) || line.recipe;
  const { made } = line;
  return (
    <ListLine title={recipe.title} amount={recipe.amount || recipe.wanted} ready={line.ready} onTick={onTick}>
      {made ? <Made made={made} /> : recipe.lead}
      {!made && (
        <>
          {recipe.result && (
            <Box>
              gives <span style={{ fontFamily: FIGURES, color: ink.ink }}>{recipe.result}</span>
            </Box>
          )}
          {[...recipe.lacks, ...recipe.looks].map((sentence) => (
            <Box key={sentence} sx={{ mt: 0.75 }}>
              <VerdictLine level="look" lead="">
                {sentence}
              </VerdictLine>
            </Box>
          ))}
        </>
      )}
      {writing ? (
        <WeighedForm {...{ session, recipe }} onDone={() => setWriting(false)} />
      ) : (
        onTick &&
        recipe.result && (
          <Button size="small" sx={{ ml: -1 }} onClick={() => setWriting(true)}>
            {made ? 'Made anew' : recipe.asked.length > 0 ? 'Write what was weighed' : 'It is made'}
          </Button>
        )
      )}
      <StepByStep recipe={recipe} onBottle={setBottle} />
    </ListLine>
  );
}

function Made({ made }: { made: Shapes['MadeOut'] }) {
  return (
    <Box>
      {made.measured && <>measured {made.measured}: </>}
      <strong style={{ fontFamily: FIGURES, color: ink.ink }}>{made.result}</strong>
      <Box sx={{ fontSize: 13 }}>{dotted(made.by, day(made.at))}</Box>
    </Box>
  );
}

/** All of it, from the empty vessel to the label. */
function StepByStep({ recipe, onBottle }: { recipe: Shapes['Recipe']; onBottle: (bottle: number) => void }) {
  if (recipe.steps.length === 0) return null;
  return (
    <Folded title="Step by step">
      <Box component="ol" sx={{ pl: 2.5, m: 0, color: ink.ink, '& li': { mb: 0.5 } }}>
        {recipe.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </Box>
      {recipe.hazard && (
        <Box sx={{ mt: 1, color: ink.ink }}>
          <strong>{recipe.hazard}.</strong> The bottle’s label, local rules and your instructor decide.
        </Box>
      )}
      <Box sx={{ mt: 0.5 }}>{dotted(recipe.store, `keeps about ${recipe.keeps} days`)}</Box>
      {recipe.others.map((other) => (
        <Box key={other.bottle} sx={{ mt: 0.5 }}>
          <Button size="small" sx={{ ml: -1, textAlign: 'left' }} onClick={() => onBottle(other.bottle)}>
            Instead: {other.lead}
          </Button>
        </Box>
      ))}
    </Folded>
  );
}
