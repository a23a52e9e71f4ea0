import { Directive } from '@angular/core';

/** A text box by itself. */
@Directive({
  selector: 'input[ylInput], select[ylInput]',
  host: {
    class:
      'px-2.5 rounded-lg border border-line-strong w-full min-h-11 bg-linen text-ink text-body font-semibold placeholder:text-ink-soft placeholder:font-normal',
  },
})
export class InputBox {}

/** A box for several lines. */
@Directive({
  selector: 'textarea[ylInput]',
  host: {
    class:
      'px-2.5 py-2 rounded-lg border border-line-strong w-full min-h-11 bg-linen text-ink text-body font-normal leading-[1.35] resize-none placeholder:text-ink-soft placeholder:font-normal',
  },
})
export class TextArea {}
