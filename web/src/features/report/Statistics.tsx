import type { Shapes } from '../../api/client';
import { Folded } from '../../identity/Folded';
import { FIGURES, ink } from '../../identity/tokens';

const cell = { padding: '4px 10px 4px 0', borderBottom: `1px solid ${ink.ruleSoft}` } as const;

/** What a laboratory quotes beside its result: of the trials, and of every line that is drawn. */
export function Statistics({ statistics }: { statistics: Shapes['Evaluation']['statistics'] }) {
  if (statistics.length === 0) return null;
  return (
    <Folded title="Statistics of trials and lines">
      <table style={{ borderCollapse: 'collapse', width: '100%', fontSize: 14 }}>
        <tbody>
          {statistics.map(({ of, label, text }) => (
            <tr key={`${of}/${label}`}>
              <th scope="row" style={{ ...cell, textAlign: 'left', fontWeight: 400 }}>
                {label}
                <div style={{ fontSize: 12.5, color: ink.inkSoft }}>{of}</div>
              </th>
              <td style={{ ...cell, fontFamily: FIGURES }}>{text}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Folded>
  );
}
