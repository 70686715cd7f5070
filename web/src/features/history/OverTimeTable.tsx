import Box from '@mui/material/Box';
import { Link } from 'react-router';
import type { Shapes } from '../../api/client';
import { TABLE } from '../../identity/table';
import { FIGURES, ink } from '../../identity/tokens';

interface Props {
  result: Shapes['ResultOverTime'];
  sessions: Shapes['SessionCard'][];
}

/** Each class with its mean, spread and how far it was from what is accepted, the latest first. */
export function OverTimeTable({ result, sessions }: Props) {
  const rows = result.found.times.map((time, place) => ({ time, session: result.sessions[place] })).reverse();
  const title = (id: number | undefined) => sessions.find((session) => session.id === id)?.title ?? '';
  return (
    <Box sx={{ overflowX: 'auto' }}>
      <Box component="table" sx={TABLE}>
        <thead>
          <tr>
            {['When', 'Class', 'Benches', 'Mean', 's', 'Off'].map((head) => (
              <th key={head}>{head}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ time, session }) => (
            <tr key={`${session} ${time.product}`}>
              <td>{time.when}</td>
              <td>
                <Link to={`/sessions/${session}/class`}>{title(session)}</Link>
                {time.product && <Box sx={{ color: ink.inkSoft, fontSize: 13.5 }}>{time.product}</Box>}
              </td>
              <Number>{time.n}</Number>
              <Number>{time.mean}</Number>
              <Number>{time.s}</Number>
              <Number>{time.away}</Number>
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  );
}

function Number({ children }: { children: React.ReactNode }) {
  return <td style={{ fontFamily: FIGURES, whiteSpace: 'nowrap' }}>{children}</td>;
}
