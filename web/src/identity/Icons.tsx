import SvgIcon, { type SvgIconProps } from '@mui/material/SvgIcon';
import type { ReactNode } from 'react';

const icon = (name: string, drawn: ReactNode) => {
  const Icon = (props: SvgIconProps) => (
    <SvgIcon
      {...props}
      viewBox="0 0 24 24"
      fill="none"
      stroke="currentColor"
      strokeWidth={2.2}
      strokeLinecap="round"
      strokeLinejoin="round"
      style={{ fill: 'none' }}
    >
      {drawn}
    </SvgIcon>
  );
  Icon.displayName = name;
  return Icon;
};

export const CheckIcon = icon('CheckIcon', <path d="M5 12.5l4.5 4.5L19 7.5" />);
export const TriangleIcon = icon('TriangleIcon', <path d="M12 4.5L21 19.5H3zM12 10v4.5M12 17v.2" />);
export const LoopIcon = icon('LoopIcon', <path d="M19 12a7 7 0 1 1-2.2-5.1M17.5 3v4.5H13" />);
export const OctagonIcon = icon(
  'OctagonIcon',
  <path d="M8.5 3.5h7l5 5v7l-5 5h-7l-5-5v-7zM12 8v5M12 16v.2" />,
);
export const HandIcon = icon(
  'HandIcon',
  <path d="M7 12V6.5a1.5 1.5 0 0 1 3 0V11M10 11V4.5a1.5 1.5 0 0 1 3 0V11M13 11V5.5a1.5 1.5 0 0 1 3 0V13M16 10a1.5 1.5 0 0 1 3 0v5c0 3.5-2.5 6-6 6-3 0-4.6-1.4-6-4l-2.3-4.3a1.4 1.4 0 0 1 2.3-1.5L8 13.5" />,
);
export const EraseIcon = icon('EraseIcon', <path d="M8.5 5H20v14H8.5L3 12zM11.5 9.5l5 5M16.5 9.5l-5 5" />);
