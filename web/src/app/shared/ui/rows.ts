import { DestroyRef, Directive, ElementRef, inject } from '@angular/core';

/**
 * A table of rows to look through. On a narrow screen each row becomes a card, with every value under the heading of its column: the headings are written to the cells, where the style
 * sheet reads them. Roles are set explicitly, because some browsers drop them from a table that is not laid out as one.
 */
@Directive({
  selector: '[ylRows]',
  host: {
    role: 'table',
    class:
      'rows w-full text-[0.96875rem] [&_th]:py-1 [&_th]:pr-3 [&_th]:text-label [&_th]:font-normal [&_th]:text-ink-soft [&_th]:text-left [&_th]:align-bottom [&_td]:py-0.5 [&_td]:pr-3 [&_td]:border-t [&_td]:border-t-line',
  },
})
export class Rows {
  constructor() {
    const table = inject<ElementRef<HTMLTableElement>>(ElementRef).nativeElement;
    const watcher = new MutationObserver(() => {
      const heads = [...table.querySelectorAll('thead th, thead td')].map((one) => one.textContent);
      for (const row of table.querySelectorAll('tbody tr')) [...row.children].forEach((cell, i) => cell.setAttribute('data-head', heads[i] ?? ''));
    });
    watcher.observe(table, { childList: true, subtree: true });
    inject(DestroyRef).onDestroy(() => watcher.disconnect());
  }
}
