import { computed, Directive, input } from '@angular/core';

/** Every button: as high as a dusty finger wants it. */
const PRESSED =
  'inline-flex min-h-11 items-center gap-2 rounded-lg border font-semibold whitespace-nowrap no-underline cursor-pointer disabled:cursor-default disabled:opacity-45';
const PLAIN = 'border-line-strong bg-linen text-ink hover:bg-calico-deep';

const BUTTON_LOOKS = {
  '': `${PRESSED} ${PLAIN} justify-center px-4`,
  strong: `${PRESSED} justify-center border-ink bg-ink px-4 text-linen hover:bg-ink-soft`,
  wide: `${PRESSED} ${PLAIN} w-full justify-start px-4 text-left whitespace-normal!`,
  file: `${PRESSED} ${PLAIN} relative justify-center px-4 focus-within:outline-3 focus-within:outline-offset-1 focus-within:outline-focus`,
} as const;

/** A button in words; `strong` for the one thing to do, `wide` for one that fills its field, `file` for a label over a file box. */
@Directive({ selector: '[ylButton]', host: { '[class]': 'look()' } })
export class Button {
  readonly ylButton = input<keyof typeof BUTTON_LOOKS>('');
  protected readonly look = computed(() => BUTTON_LOOKS[this.ylButton()]);
}

const TOOL_LOOKS = {
  '': `${PRESSED} ${PLAIN} min-w-11 justify-center`,
  quiet: `${PRESSED} min-w-11 justify-center border-transparent bg-transparent text-ink enabled:hover:bg-calico-deep`,
} as const;

/** A square button with an icon; `quiet` without its edge. */
@Directive({ selector: '[ylTool]', host: { '[class]': 'look()' } })
export class Tool {
  readonly ylTool = input<keyof typeof TOOL_LOOKS>('');
  protected readonly look = computed(() => TOOL_LOOKS[this.ylTool()]);
}

/** A figure that opens its why. */
@Directive({
  selector: '[ylFigure]',
  host: {
    class:
      '-mr-1 inline-flex min-h-9 items-center justify-end rounded-[5px] bg-transparent px-1 text-panel font-semibold text-ink cursor-pointer hover:bg-calico-deep aria-expanded:bg-ink aria-expanded:text-linen max-tablet:text-[1.03125rem]',
  },
})
export class FigureButton {}

/** A button that reads as a name in a row. */
@Directive({
  selector: '[ylLink]',
  host: { class: 'min-h-9 bg-transparent px-2 text-left font-[650] text-ink cursor-pointer hover:underline' },
})
export class LinkButton {}
