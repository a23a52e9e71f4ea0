import { computed, Directive, input } from '@angular/core';

const WORDS = 'flex-[1_1_200px] self-center text-note';

const WORDS_LOOKS = {
  '': `${WORDS} text-ink-soft`,
  bad: `${WORDS} font-semibold text-error`,
} as const;

/** A few words beside fields; `bad` where something went wrong. */
@Directive({ selector: '[ylWords]', host: { '[class]': 'look()' } })
export class Words {
  readonly ylWords = input<keyof typeof WORDS_LOOKS>('');
  protected readonly look = computed(() => WORDS_LOOKS[this.ylWords()]);
}

/** What stands over a field or a group. */
@Directive({
  selector: '[ylLabel]',
  host: {
    class: 'mb-0.5 block text-label text-ink-soft',
  },
})
export class Label {}

const BANNER = 'flex items-center gap-3.5 rounded-[10px] border border-line-strong px-4.5 py-2 font-semibold shadow-card';

const BANNER_LOOKS = {
  '': `${BANNER} bg-warn-ground`,
  bad: `${BANNER} bg-error-ground`,
} as const;

/** A line over the page: what is going on, or, `bad`, what went wrong. */
@Directive({ selector: '[ylBanner]', host: { '[class]': 'look()' } })
export class Banner {
  readonly ylBanner = input<keyof typeof BANNER_LOOKS>('');
  protected readonly look = computed(() => BANNER_LOOKS[this.ylBanner()]);
}

/** A place with nothing in it yet, or nothing to be found. */
@Directive({
  selector: '[ylEmpty]',
  host: {
    class:
      'p-6 gap-3 grid place-content-center justify-items-center min-h-[60dvh] text-center [&_p]:mb-1.5 [&_p]:max-w-[46ch] [&_p]:text-ink-soft [&_h1]:text-grand [&_h2]:text-grand',
  },
})
export class Empty {}

/** A small rounded sign: the state of a job, or that a device is simulated. */
@Directive({
  selector: '[ylChip]',
  host: {
    class:
      'px-2.5 py-0.75 rounded-[20px] border-[1.5px] border-line-strong gap-1.5 inline-flex items-center text-small font-semibold whitespace-nowrap [&.cutting]:border-chalk [&.sewing]:border-chalk [&.waiting-for-foam]:border-dashed [&.waiting-for-foam]:border-straw-line [&.ready]:border-ok [&.ready]:bg-ok-ground [&.delivered]:border-ok [&.delivered]:bg-ok-ground [&.simulated]:border-dashed [&.simulated]:text-ink-soft',
  },
})
export class Chip {}
