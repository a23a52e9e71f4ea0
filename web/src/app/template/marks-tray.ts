import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { Icon } from '../shared/icon';
import { evenTies, MARK_EDGES, tieDistance, type OutlineMark, type TieMark } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Choice } from '../shared/controls/choice';
import { NumberField } from '../shared/controls/number-field';
import { QuantityField } from '../shared/controls/quantity-field';
import { Button, Tool, TrayPart, TrayRow, Words } from '../shared/ui/ui';

/** Ties on the edges and buttons on the face: each keeps its share of the outline, so that it follows every size. */
@Component({
  selector: 'yl-marks-tray',
  imports: [TrayRow, Button, Words, Tool, Choice, NumberField, QuantityField, Icon],
  template: `
    <div ylTrayRow>
      <yl-number label="Ties" class="few" [whole]="true" [min]="1" [max]="20" [value]="many()" (entered)="many.set($event)" />
      <yl-choice class="few" label="evenly along the" [options]="edges" [value]="edge()" (picked)="edge.set($event)" />
      <button type="button" ylButton (click)="even()">Set them</button>
      <button type="button" ylButton (click)="addTie()"><svg ylIcon="plus" size="20"></svg> One tie</button>
      <button type="button" ylButton (click)="addButton()"><svg ylIcon="plus" size="20"></svg> A button</button>
    </div>
    <div class="grid grid-cols-[repeat(auto-fill,minmax(20.625rem,1fr))] flex-[1_1_100%] gap-y-1 gap-x-4.5" role="group" aria-label="Marks">
      @for (row of rows(); track $index; let i = $index) {
        <div class="gap-2 grid grid-cols-[6.875rem_minmax(0,1fr)_2.75rem] items-center [&_.field-says:empty]:hidden" [class.picked]="i === picked()">
          @if (row.mark.kind === 'tie') {
            <span>tie, {{ row.mark.edge }}</span>
            <yl-quantity
              [bare]="true"
              [label]="'Tie ' + (i + 1) + ', from the start of its edge'"
              [value]="row.mm"
              [max]="row.ofMm"
              (valueChange)="setTie(i, row.ofMm, $event)"
            />
          } @else {
            <span>button</span><span ylWords>dragged on the drawing</span>
          }
          <button type="button" ylTool="quiet" [attr.aria-label]="'Take mark ' + (i + 1) + ' out'" (click)="drop(i)">
            <svg ylIcon="trash-2" size="18"></svg>
          </button>
        </div>
      } @empty {
        <p ylWords>No ties or buttons. A tie is measured from the beginning of its edge, going counter-clockwise from the front left.</p>
      }
    </div>
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class MarksTray {
  protected readonly store = inject(JobStore);
  readonly picked = input.required<number>();
  protected readonly edges = MARK_EDGES.map((value) => ({ value, name: value }));
  protected readonly many = signal(2);
  protected readonly edge = signal<TieMark['edge']>('back');
  readonly #marks = computed<readonly OutlineMark[]>(() => this.store.cushion()?.marks ?? []);
  protected readonly rows = computed(() => {
    const sewn = this.store.cushionPlan()?.outlines?.sewn;
    return this.#marks().map((mark) => ({ mark, mm: 0, ofMm: 0, ...(sewn && mark.kind === 'tie' ? tieDistance(sewn, mark) : {}) }));
  });

  /** Puts the ties of one edge anew; those of the others and the buttons stay. */
  protected even(): void {
    const edge = this.edge();
    this.#set('Ties', (marks) => [...marks.filter((mark) => mark.kind !== 'tie' || mark.edge !== edge), ...evenTies(edge, this.many())]);
  }

  protected addTie(): void {
    this.#set('Tie', (marks) => [...marks, { kind: 'tie', edge: this.edge(), share: 0.5 }]);
  }

  protected addButton(): void {
    this.#set('Button', (marks) => [...marks, { kind: 'button', across: 0.5, deep: 0.5 }]);
  }

  protected setTie(index: number, ofMm: number, mm: number | null): void {
    if (mm === null || ofMm <= 0) return;
    this.#set('Tie', (marks) => marks.map((mark, i) => (i === index && mark.kind === 'tie' ? { ...mark, share: Math.min(1, mm / ofMm) } : mark)));
  }

  protected drop(index: number): void {
    this.#set('Mark taken out', (marks) => marks.filter((_, i) => i !== index));
  }

  #set(label: string, change: (marks: readonly OutlineMark[]) => OutlineMark[]): void {
    this.store.editCushion(label, ({ marks = [], ...cushion }) => {
      const next = change(marks);
      return next.length ? { ...cushion, marks: next } : cushion;
    });
  }
}
