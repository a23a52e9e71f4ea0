import { Directive } from '@angular/core';

/** A room of the shop: the tape and the page. */
@Directive({
  selector: '[ylRoom]',
  host: {
    class:
      'grid grid-cols-[10.25rem_minmax(0,1fr)] h-dvh max-phone:grid-cols-[minmax(0,1fr)] max-phone:grid-rows-[auto_1fr] max-tablet:grid-cols-[8.625rem_minmax(0,1fr)]',
  },
})
export class Room {}

/** The page of a room. */
@Directive({
  selector: '[ylRoomMain]',
  host: {
    class: 'px-6.5 pt-5 flex flex-col min-h-0 min-w-0',
  },
})
export class RoomMain {}

/** Title and tools of a room. */
@Directive({
  selector: '[ylRoomHead]',
  host: {
    class: 'pb-3.5 flex flex-wrap items-end gap-y-2.5 gap-x-3.5 [&_h1]:mr-auto [&_h1]:text-room [&_.field]:w-57.5 [&_.field-says]:hidden',
  },
})
export class RoomHead {}

/** A station: its drawing and its tray take their places in the job’s grid. */
@Directive({
  selector: '[ylStation]',
  host: {
    class: 'contents [&>*]:min-w-0 [&>yl-table]:[grid-area:table] [&>yl-table]:min-h-0 max-phone:[&>yl-table]:h-[46dvh] max-phone:[&>yl-table]:min-h-80',
  },
})
export class StationFrame {}

/** The drawing with a panel beside it; `alone` while there is no panel. On a phone the tray stands between the two: first what is done, then what comes of it. */
@Directive({
  selector: '[ylSplit]',
  host: {
    class:
      'grid [grid-area:table] grid-cols-[minmax(0,1fr)_16.875rem] [&.alone]:grid-cols-[minmax(0,1fr)] min-h-0 max-phone:contents max-phone:[&>*]:min-w-0 max-phone:[&>:first-child]:[grid-area:table] max-phone:[&>:first-child]:h-80 max-tablet:grid-cols-[minmax(0,1fr)_13.875rem]',
  },
})
export class Split {}

/** The panel beside a drawing. */
@Directive({
  selector: '[ylSide]',
  host: {
    class:
      'px-3.5 pt-3 pb-1.5 border-l border-l-line min-h-0 bg-calico overflow-y-auto max-phone:[grid-area:side] max-phone:border-t max-phone:border-l-0 max-phone:border-t-line',
  },
})
export class SidePanel {}

/** The tray under the drawing. Fields in it are as wide as their class says: `few`, `wide`, `named`. */
@Directive({
  selector: '[ylTray]',
  host: {
    class:
      'px-4.5 pt-2.5 pb-2 border-t border-t-line flex flex-wrap items-start gap-y-1.5 gap-x-3.5 max-h-[40dvh] bg-calico-deep overflow-y-auto max-phone:px-3 max-phone:py-2.5 max-phone:max-h-none [&>.field]:flex-[1_1_108px] [&>.field]:max-w-75 [&>.ticks]:flex-[3_1_320px] [&>.field.few]:flex-[0_0_92px] [&>.field.wide]:basis-52.5 [&>.field.wide]:max-w-95 [&>.field.named]:flex-[1_1_180px] [&>yl-choice.field]:basis-32 max-phone:[&>.field]:basis-35 [&>.field:has(.switch)]:flex-[0_0_auto] [&>.field:has(.switch)]:max-w-full',
  },
})
export class Tray {}

/** One part of a tray. Fields in it are as wide as their class says: `few`, `wider`, `wide`, `long`. */
@Directive({
  selector: '[ylTrayPart]',
  host: {
    class:
      'flex flex-[1_1_100%] flex-wrap items-start gap-y-1 gap-x-3.5 min-w-0 [&>.field]:flex-[1_1_128px] [&>.field]:max-w-60 [&>.ticks]:flex-[1_1_100%] [&>.ticks]:gap-y-0 [&>.ticks]:gap-x-4 [&_.field.few]:flex-[0_0_112px] [&>.field.wide]:basis-55 [&>.field.wide]:max-w-95 [&>.field.long]:flex-[3_1_320px] [&>.field.long]:max-w-160 [&_.field.few.wider]:basis-47.5 [&_.field.few.made]:basis-58 [&>.field:has(.switch)]:flex-[0_0_auto] [&>.field:has(.switch)]:max-w-full',
  },
})
export class TrayPart {}

/** A line of tools and small fields across a tray. */
@Directive({
  selector: '[ylTrayRow]',
  host: {
    class:
      'flex flex-[1_1_100%] flex-wrap items-center gap-y-1.5 gap-x-3.5 [&>.field.few]:flex-[0_0_176px] [&_yl-number.few]:flex-[0_0_112px] [&_.field-says:empty]:hidden',
  },
})
export class TrayRow {}

/** One layer or sitter: its fields side by side. */
@Directive({
  selector: '[ylLayerRow]',
  host: {
    class:
      'flex flex-[1_1_100%] flex-wrap items-center gap-y-0 gap-x-2 [&>yl-text]:w-47.5 [&>yl-choice]:w-47.5 [&>yl-quantity]:w-26 [&_.field-says:empty]:hidden',
  },
})
export class LayerRow {}
