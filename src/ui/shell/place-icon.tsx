import {
  ChairIcon,
  FindingsIcon,
  HeadsIcon,
  PlanIcon,
  SetsIcon,
  ShelfIcon,
  TodayIcon,
  WearIcon,
} from '../icons';
import type { Place } from './places-list';

const ICONS = {
  today: TodayIcon,
  heads: HeadsIcon,
  plan: PlanIcon,
  chair: ChairIcon,
  findings: FindingsIcon,
  wear: WearIcon,
  sets: SetsIcon,
  shelf: ShelfIcon,
} satisfies Record<Place['icon'], typeof TodayIcon>;

/** The drawing of a place of the product. */
export function PlaceIcon({ icon }: { icon: Place['icon'] }) {
  const Drawn = ICONS[icon];
  return <Drawn />;
}
