import Svg, { Path } from 'react-native-svg';

/** Our own line icons on a grid of 24, drawn with one pen. */
const PATHS = {
  runs: 'M3 17c3-2 6-2 9 0s6 2 9 0M3 12c3-2 6-2 9 0s6 2 9 0M3 7c3-2 6-2 9 0s6 2 9 0',
  formulas: 'M6 3h9l4 4v14H6zM9 11h7M9 15h7M9 7h3',
  bench: 'M12 6.5a7.5 7.5 0 1 0 0 15 7.5 7.5 0 0 0 0-15zM12 14V9.5M9.5 2.5h5',
  logbook: 'M5 4.5c3-1 5-.5 7 1.5 2-2 4-2.5 7-1.500v14.500c-3-1-5-.5-7 1.5-2-2-4-2.5-7-1.500zM12 6v14.5',
  kitchen: 'M4 8h16l-1.5 12h-13zM8 8c0-3 1.5-5 4-5s4 2 4 5M9 13v3M15 13v3',
  undo: 'M8 5L4 9l4 4M4 9h10a5.5 5.5 0 0 1 0 11h-4',
  close: 'M6 6l12 12M18 6L6 18',
  back: 'M14.5 5l-7 7 7 7',
  next: 'M9.5 5l7 7-7 7',
  check: 'M5 12.500l4.5 4.500L19 7.5',
  plus: 'M12 5v14M5 12h14',
  minus: 'M5 12h14',
  pin: 'M12 13v8M8 3h8l-1 6 3 4H6l3-4z',
  scale: 'M4 20h16M6 20l1-9h10l1 9M12 11V7M7 7h10',
  warn: 'M12 4l9 16H3zM12 10v4.500M12 17v.5',
  erase: 'M9 6h11v12H9l-6-6zM12.5 9.500l4 5M16.5 9.500l-4 5',
  bin: 'M5 7h14M9 7V4h6v3M7 7l1 14h8l1-14',
  down: 'M5 9.500l7 7 7-7',
} as const;

export type IconName = keyof typeof PATHS;

const isOurs = (name: unknown): name is IconName => typeof name === 'string' && Object.hasOwn(PATHS, name);

export function Icon({
  name,
  color,
  size = 24,
}: {
  readonly name: IconName;
  readonly color: string;
  readonly size?: number;
}) {
  return (
    <Svg width={size} height={size} viewBox="0 0 24 24" fill="none" aria-hidden>
      <Path d={PATHS[name]} stroke={color} strokeWidth={1.9} strokeLinecap="round" strokeLinejoin="round" />
    </Svg>
  );
}

/** Paper asks for icons by name; ours are drawn, others are left out. */
export function PaperIcon({ name, color, size }: { name?: unknown; color?: string; size: number }) {
  return isOurs(name) ? <Icon name={name} color={color ?? 'currentColor'} size={size} /> : null;
}
