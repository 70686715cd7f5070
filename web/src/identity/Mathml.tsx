/** Mathematics from the core (MathML it made and escaped itself). */
export function Mathml({ of }: { of: string }) {
  return (
    <span
      style={{ fontSize: '1.12em' }}
      dangerouslySetInnerHTML={{ __html: `<math displaystyle="true">${of}</math>` }}
    />
  );
}
