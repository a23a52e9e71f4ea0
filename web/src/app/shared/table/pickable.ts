import type { FocusableOption } from '@angular/cdk/a11y';
import { Directive, ElementRef, inject, input } from '@angular/core';

/** A piece on the drawing that can be picked: one stop of the Tab key for all of them, arrow keys go from one to the next. */
@Directive({ selector: '[ylPickable]', host: { role: 'button', '[attr.aria-label]': 'ylPickable()' } })
export class Pickable implements FocusableOption {
  /** What it is called. */
  readonly ylPickable = input.required<string>();
  readonly key = input.required<string>();
  readonly #element = inject<ElementRef<SVGElement>>(ElementRef).nativeElement;

  focus(): void {
    this.#element.focus();
  }

  getLabel(): string {
    return this.ylPickable();
  }
}
