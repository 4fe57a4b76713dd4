import type { SVGProps } from 'react';

type IconProps = SVGProps<SVGSVGElement>;

function Icon({ children, ...props }: IconProps) {
  return (
    <svg
      viewBox="0 0 24 24"
      width="22"
      height="22"
      fill="none"
      stroke="currentColor"
      strokeWidth="1.8"
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden="true"
      {...props}
    >
      {children}
    </svg>
  );
}

/** The mark: one strand wound inwards. */
export const MarkIcon = (props: IconProps) => (
  <Icon viewBox="0 0 32 32" width="34" height="34" strokeWidth="2.6" {...props}>
    <path d="M16 16c0-1.6 2.4-1.9 3.1-.3 1 2.3-.9 4.8-3.5 4.8-3.600 0-5.700-3.600-4.700-6.900 1.200-4 5.800-5.800 9.600-4.300 4.700 1.900 6.300 7.500 4.100 11.900-2.500 4.900-8.800 6.400-13.500 3.700C6 21.900 4.600 14.900 7.700 9.900 9.500 7 12.500 5.100 15.800 4.600" />
  </Icon>
);
export const TodayIcon = (props: IconProps) => (
  <Icon {...props}>
    <path d="M12 3v3M12 18v3M3 12h3M18 12h3M5.600 5.600l2.100 2.100M16.300 16.300l2.100 2.100M5.600 18.400l2.100-2.100M16.300 7.700l2.100-2.100" />
    <circle cx="12" cy="12" r="3.600" />
  </Icon>
);
export const HeadsIcon = (props: IconProps) => (
  <Icon {...props}>
    <path d="M6.500 11.500a5.500 5.500 0 1 1 11 0c0 4-2.400 7.500-5.500 7.500s-5.500-3.500-5.500-7.500Z" />
    <path d="M6.800 9.500c3 .6 7-.3 8.600-3M9 19v2.500M15 19v2.500" />
  </Icon>
);
export const PlanIcon = (props: IconProps) => (
  <Icon {...props}>
    <path d="M5 4.500v15M5 7h0M5 12h0M5 17h0" />
    <circle cx="5" cy="7" r="1.600" />
    <circle cx="5" cy="12.500" r="1.600" />
    <circle cx="5" cy="18" r="1.600" />
    <path d="M10 7h9M10 12.500h6M10 18h8" />
  </Icon>
);
export const ChairIcon = (props: IconProps) => (
  <Icon {...props}>
    <path d="M7 4v8h10V4M5 12h14M12 12v5M7.500 20.500c0-2 2-3.500 4.500-3.500s4.500 1.500 4.500 3.500" />
  </Icon>
);
export const FindingsIcon = (props: IconProps) => (
  <Icon {...props}>
    <path d="M4 4v16h16M7 8h4v4h4v5h4" />
    <circle cx="16" cy="7" r="1.600" />
  </Icon>
);
export const WearIcon = (props: IconProps) => (
  <Icon {...props}>
    <path d="M8 3c-3 2 3 4 0 6.500S5 14 8 16s0 4-1 5M15 3c-3 2 3 4 0 6.500s-3 4.500 0 6.500 0 4-1 5" />
  </Icon>
);
export const SetsIcon = (props: IconProps) => (
  <Icon {...props}>
    <path d="M4 6h16M4 12h16M4 18h10M8 4v4M15 10v4" />
  </Icon>
);
export const StudioIcon = (props: IconProps) => (
  <Icon {...props}>
    <path d="M4 20V10l8-6 8 6v10M9.500 20v-6h5v6" />
  </Icon>
);
export const ShelfIcon = (props: IconProps) => (
  <Icon {...props}>
    <path d="M3 10.500h18M3 20.500h18M6 10.500V6.500a1 1 0 0 1 1-1h2a1 1 0 0 1 1 1v4M14 10.500V4a.500.500 0 0 1 .500-.500h2a.500.500 0 0 1 .500.500v6.500M5.500 20.500v-4a1 1 0 0 1 1-1h4a1 1 0 0 1 1 1v4M15 20.500v-5h3v5" />
  </Icon>
);
export const MoreIcon = (props: IconProps) => (
  <Icon strokeWidth="2.6" {...props}>
    <path d="M5 12h.01M12 12h.01M19 12h.01" />
  </Icon>
);
export const PlusIcon = (props: IconProps) => (
  <Icon {...props}>
    <path d="M12 5v14M5 12h14" />
  </Icon>
);
export const MinusIcon = (props: IconProps) => (
  <Icon {...props}>
    <path d="M5 12h14" />
  </Icon>
);
export const UndoIcon = (props: IconProps) => (
  <Icon {...props}>
    <path d="M9 7 4.500 11.500 9 16M5 11.500h9a5 5 0 0 1 0 10h-2" />
  </Icon>
);
export const RedoIcon = (props: IconProps) => (
  <Icon {...props}>
    <path d="m15 7 4.500 4.500L15 16M19 11.500h-9a5 5 0 0 0 0 10h2" />
  </Icon>
);
export const MoonIcon = (props: IconProps) => (
  <Icon {...props}>
    <path d="M19.500 14.500A8 8 0 0 1 9.500 4.500a8 8 0 1 0 10 10Z" />
  </Icon>
);
export const UpIcon = (props: IconProps) => (
  <Icon {...props}>
    <path d="m6 14 6-6 6 6" />
  </Icon>
);
export const DownIcon = (props: IconProps) => (
  <Icon {...props}>
    <path d="m6 10 6 6 6-6" />
  </Icon>
);
export const CloseIcon = (props: IconProps) => (
  <Icon {...props}>
    <path d="m6 6 12 12M18 6 6 18" />
  </Icon>
);
export const GripIcon = (props: IconProps) => (
  <Icon {...props}>
    <path d="M9 6h0M15 6h0M9 12h0M15 12h0M9 18h0M15 18h0" strokeWidth="3" />
  </Icon>
);
export const FlipIcon = (props: IconProps) => (
  <Icon {...props}>
    <path d="M7 4v14M7 4 4 7M7 4l3 3M17 20V6M17 20l-3-3M17 20l3-3" />
  </Icon>
);
/** An eye: open while something hidden is shown. */
export const EyeIcon = ({ isOpen, ...props }: IconProps & { isOpen: boolean }) => (
  <Icon {...props}>
    <path d="M3 12.500c2-4 5.200-6 9-6s7 2 9 6c-2 4-5.200 6-9 6s-7-2-9-6Z" />
    <circle cx="12" cy="12.500" r="2.600" />
    {!isOpen && <path d="M5 20 19 5" />}
  </Icon>
);
