import Box from '@mui/material/Box';
import type { Shapes } from '../../api/client';
import { Figure } from '../../identity/Figure';
import { Folded } from '../../identity/Folded';
import { Sheet } from '../../identity/Sheet';
import { FIGURES, ink } from '../../identity/tokens';

/** The two teaching schools and the random draws, beside the stated uncertainty. */
export function Schools({ result, draws }: { result: Shapes['ResultOut']; draws: string }) {
  return (
    <Box sx={{ mt: 1.5, fontSize: 14, display: 'grid', gap: 0.5 }}>
      <div>
        By significant figures: <Figure {...result.by_figures} />
      </div>
      {result.worst_case && (
        <div>
          By the sum of apparatus errors: <span style={{ fontFamily: FIGURES }}>{result.worst_case}</span>,
          the most it could be off
        </div>
      )}
      {draws && <div>{draws}</div>}
    </Box>
  );
}

/** The budget in numbers, for those who want to check it. */
export function BudgetTable({ lines, unit }: { lines: Shapes['BudgetOut'][]; unit: string }) {
  const cell = {
    padding: '4px 8px 4px 0',
    borderBottom: `1px solid ${ink.ruleSoft}`,
    textAlign: 'left',
    verticalAlign: 'top',
  } as const;
  return (
    <Folded title="The budget in numbers">
      <Box sx={{ overflowX: 'auto' }}>
        <table style={{ borderCollapse: 'collapse', width: '100%' }}>
          <thead>
            <tr>
              {['Cause', 'u of it', 'Distribution', 'Sensitivity', `Adds, ${unit}`].map((title) => (
                <th key={title} style={cell}>
                  {title}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {lines.map((line) => (
              <tr key={line.label}>
                <td style={cell}>{line.label}</td>
                <td style={{ ...cell, fontFamily: FIGURES }}>{line.input}</td>
                <td style={cell}>{line.distribution}</td>
                <td style={{ ...cell, fontFamily: FIGURES }}>{line.sensitivity}</td>
                <td style={{ ...cell, fontFamily: FIGURES }}>{line.u.toPrecision(2)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Box>
    </Folded>
  );
}

/** What each usual fault would do to these very readings. */
export function WhatIf({ effects, colour }: { effects: Shapes['Effect'][]; colour: string }) {
  const widest = Math.max(...effects.map((effect) => Math.min(Math.abs(effect.percent), 20)), 0.1);
  return (
    <Sheet title="What if?" note="computed from these readings">
      {effects.map((effect) => {
        const half = (Math.min(Math.abs(effect.percent), 20) / widest) * 50;
        return (
          <Box key={effect.key} sx={{ py: 1, borderBottom: `1px solid ${ink.ruleSoft}` }}>
            <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 2 }}>
              <strong>{effect.says}</strong>
              <span style={{ textAlign: 'right' }}>{effect.text}</span>
            </Box>
            <Box
              aria-hidden
              sx={{ position: 'relative', height: 6, my: 0.5, bgcolor: ink.ruleSoft, borderRadius: 3 }}
            >
              <Box
                sx={{
                  position: 'absolute',
                  top: 0,
                  bottom: 0,
                  bgcolor: colour,
                  borderRadius: 3,
                  width: `${half}%`,
                  left: effect.percent < 0 ? `${50 - half}%` : '50%',
                }}
              />
            </Box>
            <Box sx={{ fontSize: 14, color: ink.inkSoft }}>
              {effect.looks} {effect.remedy}
            </Box>
          </Box>
        );
      })}
    </Sheet>
  );
}
