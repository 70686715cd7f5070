import type { Shapes } from '../../api/client';
import { Folded } from '../../identity/Folded';
import { FIGURES, ink } from '../../identity/tokens';

const cell = { padding: '4px 10px 4px 0', borderBottom: `1px solid ${ink.ruleSoft}` } as const;

/** What a laboratory quotes beside its result: of the trials, and of every line that is drawn. */
export function Statistics({ statistics }: { statistics: Shapes['Evaluation']['statistics'] }) {
  if (statistics.length === 0) return null;
  const owners = [...new Set(statistics.map((statistic) => statistic.of))];
  return (
    <Folded title="Statistics of trials and lines">
      {owners.map((owner) => (
        <table
          key={owner}
          style={{ borderCollapse: 'collapse', width: '100%', fontSize: 14, marginBottom: 12 }}
        >
          <caption style={{ textAlign: 'left', color: ink.inkSoft }}>{owner}</caption>
          <tbody>
            {statistics
              .filter((statistic) => statistic.of === owner)
              .map(({ label, text }) => (
                <tr key={label}>
                  <th scope="row" style={{ ...cell, textAlign: 'left', fontWeight: 400 }}>
                    {label}
                  </th>
                  <td style={{ ...cell, fontFamily: FIGURES, textAlign: 'right' }}>{text}</td>
                </tr>
              ))}
          </tbody>
        </table>
      ))}
    </Folded>
  );
}
