import { NgTemplateOutlet } from '@angular/common';
import { ChangeDetectionStrategy, Component, contentChild, Directive, inject, input, output, TemplateRef, ViewEncapsulation } from '@angular/core';
import { takenByKey } from './taken-by-key';
import { Button, DialogFoot, DialogFrame, Words } from './ui/ui';

/** A column of a comparison; `wide` ones stand only where there is room. */
export interface ComparedColumn {
  readonly words: string;
  readonly figure?: boolean;
  readonly wide?: boolean;
}

/** What every row of a comparison says of itself. */
export interface ComparedRow<T> {
  /** The key that takes it; empty where it has none. */
  readonly key: string;
  readonly name: string;
  /** A sentence more, told where the pointer rests on the name. */
  readonly idea?: string;
  /** It is the one in hand. */
  readonly here: boolean;
  /** What is taken with it; null where it cannot be taken. */
  readonly takes: T | null;
}

/** The cells of a row, after its name: `<ng-template [ylCells]="rows()" let-row>`. */
@Directive({ selector: 'ng-template[ylCells]' })
export class ComparedCells<R> {
  /** The rows, for the type of the template's row only. */
  readonly ylCells = input.required<readonly R[]>();
  readonly template = inject<TemplateRef<{ readonly $implicit: R }>>(TemplateRef);

  static ngTemplateContextGuard<R>(_cells: ComparedCells<R>, context: unknown): context is { readonly $implicit: R } {
    return typeof context === 'object';
  }
}

/** What stands under the name of a row, if anything. */
@Directive({ selector: 'ng-template[ylUnderName]' })
export class ComparedUnderName<R> {
  readonly ylUnderName = input.required<readonly R[]>();
  readonly template = inject<TemplateRef<{ readonly $implicit: R }>>(TemplateRef);

  static ngTemplateContextGuard<R>(_under: ComparedUnderName<R>, context: unknown): context is { readonly $implicit: R } {
    return typeof context === 'object';
  }
}

/** A dialog in which ways of doing one thing stand in a table side by side; one is taken with its key, or by its button. It is labelled by `comparison-title`. */
@Component({
  selector: 'yl-comparison',
  imports: [NgTemplateOutlet, DialogFrame, Words, Button, DialogFoot],
  template: `
    <div ylDialog="widest">
      <h2 id="comparison-title">{{ title() }}</h2>
      <p>{{ idea() }}</p>
      @if (working(); as words) {
        <p ylWords role="status">{{ words }}</p>
      }
      <ng-content />
      <div class="compared">
        <table>
          <thead>
            <tr>
              <th scope="col">{{ what() }}</th>
              @for (column of columns(); track column.words) {
                <th scope="col" [class.figure]="column.figure" [class.wide]="column.wide">{{ column.words }}</th>
              }
              <th scope="col"><span class="sr-only">Take it</span></th>
            </tr>
          </thead>
          <tbody>
            @for (row of rows(); track $index) {
              <tr [class.here]="row.here">
                <th scope="row" [title]="row.idea ?? ''">
                  <b>{{ row.key }}</b> {{ row.name }}
                  @if (underName(); as under) {
                    <ng-container [ngTemplateOutlet]="under.template" [ngTemplateOutletContext]="{ $implicit: row }" />
                  }
                </th>
                <ng-container [ngTemplateOutlet]="cells().template" [ngTemplateOutletContext]="{ $implicit: row }" />
                <td>
                  @if (row.here) {
                    in hand
                  } @else if (row.takes !== null) {
                    <button type="button" ylButton [attr.aria-label]="'Take ' + row.name" (click)="closed.emit(row.takes)">Take</button>
                  }
                </td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      <div ylDialogFoot><button type="button" ylButton="strong" (click)="closed.emit(null)">Leave it as it is</button></div>
    </div>
  `,
  host: { '(keydown)': 'pressed($event)' },
  styleUrl: './comparison.css',
  // The cells come from the dialog that is opened: they are styled by the table that they stand in.
  encapsulation: ViewEncapsulation.None,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class Comparison<T, R extends ComparedRow<T>> {
  readonly title = input.required<string>();
  /** A sentence or two on what is compared. */
  readonly idea = input.required<string>();
  /** How far the work is, or why it failed; null when it is done. */
  readonly working = input<string | null>(null);
  /** What a row is: the heading of the names. */
  readonly what = input.required<string>();
  readonly columns = input.required<readonly ComparedColumn[]>();
  readonly rows = input.required<readonly R[]>();
  /** What is taken; null where it stays as it is. */
  readonly closed = output<T | null>();
  protected readonly cells = contentChild.required<ComparedCells<R>>(ComparedCells);
  protected readonly underName = contentChild<ComparedUnderName<R>>(ComparedUnderName);

  protected pressed(event: KeyboardEvent): void {
    takenByKey(
      event,
      (key) => this.rows().find((row) => row.key !== '' && row.key === key && !row.here)?.takes,
      (takes) => this.closed.emit(takes),
    );
  }
}
