import type { Shapes } from '../api/client';
import { ink } from '../identity/tokens';

/** The picture of a remark, as a bench that reads the remark may see it. */
export function RemarkPhoto({ bench, remark }: { bench: number | undefined; remark: Shapes['RemarkOut'] }) {
  if (!remark.photo || bench === undefined) return null;
  const url = `/api/benches/${bench}/photos/${remark.photo}`;
  return (
    <a href={url} target="_blank" rel="noreferrer" style={{ display: 'block', marginTop: 6 }}>
      <img
        src={url}
        alt={remark.text}
        style={{ maxWidth: '100%', maxHeight: 220, borderRadius: 8, border: `1px solid ${ink.rule}` }}
      />
    </a>
  );
}
