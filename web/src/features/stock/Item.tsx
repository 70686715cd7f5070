import Box from '@mui/material/Box';
import { ink } from '../../identity/tokens';

interface ItemProps {
  title: string;
  below: string;
  action: React.ReactNode;
  children: React.ReactNode;
}

/** One thing of the stockroom: what it is, where it is from, and what can be done with it. */
export function Item({ title, below, action, children }: ItemProps) {
  return (
    <Box sx={{ py: 1.25, borderBottom: `1px solid ${ink.ruleSoft}` }}>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', alignItems: 'baseline', gap: 1 }}>
        <strong>{title}</strong>
        {action}
      </Box>
      <Box sx={{ color: ink.inkSoft, fontSize: 13.5, mb: 0.5 }}>{below}</Box>
      {children}
    </Box>
  );
}
