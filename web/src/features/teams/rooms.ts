import {
  Diamond,
  Dumbbell,
  Footprints,
  Hand,
  Pause,
  Route,
  Scale,
  Target,
  Timer,
  Users,
  type LucideIcon,
} from 'lucide-react';
import { StealIcon } from './StealIcon.tsx';

/** A room of the house: a question that coaches ask. */
export interface Room {
  to: string;
  /** The pages that belong to it beside its own address. */
  pages?: string[];
  text: string;
  Icon: LucideIcon | typeof StealIcon;
  /** With Shift: from any other room to this one. */
  key: string;
  /** Rooms of one part of the day's work stand together. */
  group: 'play' | 'run' | 'odds' | 'practice' | 'team';
}

/** In the order in which coaches do the work. */
export const ROOMS: readonly Room[] = [
  { to: 'games', text: 'Game', Icon: Diamond, key: 'G', group: 'play' },
  { to: 'timing', text: 'Time', Icon: Timer, key: 'T', group: 'play' },
  { to: 'steals', text: 'Steal', Icon: StealIcon, key: 'S', group: 'run' },
  { to: 'leads', text: 'Leads', Icon: Footprints, key: 'L', group: 'run' },
  { to: 'hold', text: 'Hold', Icon: Pause, key: 'H', group: 'run' },
  { to: 'signs', text: 'Signs', Icon: Hand, key: 'I', group: 'run' },
  { to: 'bunts', text: 'Bunt', Icon: Target, key: 'B', group: 'odds' },
  { to: 'bases', text: 'Bases', Icon: Route, key: 'A', group: 'odds' },
  { to: 'innings', text: 'Odds', Icon: Scale, key: 'O', group: 'odds' },
  { to: 'drills', text: 'Drills', Icon: Dumbbell, key: 'D', group: 'practice' },
  {
    to: 'people',
    pages: ['rules', 'level', 'field', 'staff', 'files'],
    text: 'Team',
    Icon: Users,
    key: 'M',
    group: 'team',
  },
];

const PHONE_SLOTS = 5;

/** What stands in the bar of a phone, and what one tap deeper under More: never over five slots. */
export function phoneSlots<T>(rooms: readonly T[]): { bar: T[]; more: T[] } {
  if (rooms.length <= PHONE_SLOTS) return { bar: [...rooms], more: [] };
  return { bar: rooms.slice(0, PHONE_SLOTS - 1), more: rooms.slice(PHONE_SLOTS - 1) };
}
