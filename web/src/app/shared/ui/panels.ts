import { computed, Directive, input } from '@angular/core';

/** A card of its own on the page. */
@Directive({
  selector: '[ylPanel]',
  host: {
    class: 'px-4.5 py-3 mb-4.5 rounded-[10px] max-w-195 bg-linen shadow-card [&_.field-says:empty]:min-h-0',
  },
})
export class Panel {}

/** Title and tools of a panel, on one line. */
@Directive({
  selector: '[ylPanelHead]',
  host: {
    class: 'flex flex-wrap items-center justify-between gap-x-2 [&_h2]:mr-auto [&_h3]:mr-0 [&_h3]:text-lead',
  },
})
export class PanelHead {}

const CARD = 'grid max-h-[88dvh] gap-3.5 overflow-y-auto rounded-xl bg-linen px-6 py-5.5 text-ink shadow-[0_20px_50px_-20px_rgb(0_0_0/60%)] [&_h2]:text-dialog';

const DIALOG_LOOKS = {
  '': `${CARD} w-[min(680px,92vw)]`,
  wide: `${CARD} w-[min(860px,94vw)]`,
  widest: `${CARD} w-[min(1240px,97vw)]`,
} as const;

/** The card of a dialog. */
@Directive({ selector: '[ylDialog]', host: { '[class]': 'look()' } })
export class DialogFrame {
  readonly ylDialog = input<keyof typeof DIALOG_LOOKS>('');
  protected readonly look = computed(() => DIALOG_LOOKS[this.ylDialog()]);
}

/** The buttons that end a dialog. */
@Directive({
  selector: '[ylDialogFoot]',
  host: {
    class: 'gap-2.5 flex flex-wrap justify-end',
  },
})
export class DialogFoot {}

/** Fields in as many columns as there is room for. */
@Directive({
  selector: '[ylDialogFields]',
  host: {
    class: 'grid grid-cols-[repeat(auto-fit,minmax(15.625rem,1fr))] gap-y-2 gap-x-4.5',
  },
})
export class DialogFields {}

/** Small fields and their button in a line of a panel. Room for what is said under a field is kept, so that the button stays where it is when a field that is left is found wrong: a press would miss it. */
@Directive({
  selector: '[ylFieldRow]',
  host: {
    class: 'my-1.5 flex flex-wrap items-end gap-y-1 gap-x-3 [&>.field]:flex-[1_1_96px] [&_.field-says]:min-h-4.25! [&>button]:mb-4.75',
  },
})
export class FieldRow {}
