import { ink } from './tokens';

/** A plain table: soft heads, a rule below each line. */
export const TABLE = {
  borderCollapse: 'collapse',
  width: '100%',
  '& th, & td': {
    textAlign: 'left',
    p: 0.75,
    borderBottom: `1px solid ${ink.ruleSoft}`,
    verticalAlign: 'top',
  },
  '& th': { color: ink.inkSoft, fontSize: 13.5, fontWeight: 700 },
} as const;
