import { lazy, useState, type ReactNode } from 'react';

export type View<Props> = ((props: Props) => ReactNode) & { ahead: () => void };

/** A view whose script comes when it is first shown; “ahead” fetches it before, so that nothing waits for it then. */
export function view<Name extends string, Props extends object>(
  load: () => Promise<Record<Name, (props: Props) => ReactNode>>,
  name: Name,
): View<Props> {
  let here: ((props: Props) => ReactNode) | undefined;
  const loaded = async () => {
    here = (await load())[name];
    return { default: here };
  };
  const Late = lazy(loaded);
  const Shown = (props: Props) => {
    const [Now] = useState(() => here ?? Late); // stays what it was at first: another one would begin anew
    return <Now {...props} />;
  };
  return Object.assign(Shown, { ahead: () => void loaded().catch(() => undefined) });
}
