import { CalendarDays, Flag, MessageSquareText, Package, Pencil, Pin, Replace, Ruler, Scissors, Shuffle, TriangleAlert } from 'lucide';

/** Icons of the rooms Book and Day: not every page has to load them. */
export const ROOM_ICONS = {
  calendarDays: CalendarDays,
  flag: Flag,
  messageSquareText: MessageSquareText,
  package: Package,
  pencil: Pencil,
  pin: Pin,
  replace: Replace,
  ruler: Ruler,
  scissors: Scissors,
  shuffle: Shuffle,
  triangleAlert: TriangleAlert,
} as const;
