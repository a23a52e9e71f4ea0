import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { Icon } from '../shared/icon';
import { EDGE_NAMES, insertPoint, outlineOf, removePoint, segmentLength, setEdge, setKind, type EdgeName, type Outline, type Segment } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { Choice, Switch } from '../shared/controls/choice';
import { Length } from '../shared/words/length';
import { Tickbox } from '../shared/controls/tickbox';
import { Button, TrayPart, TrayRow, Words } from '../shared/ui/ui';

const KINDS = [
  { value: 'line', name: 'straight' },
  { value: 'arc', name: 'an arc' },
  { value: 'cubic', name: 'a curve' },
];

/** The side in hand: straight, arc or curve, which edge of the seat it is, a point more or less; mirroring and snapping while points are dragged. */
@Component({
  selector: 'yl-points-tray',
  imports: [Words, TrayRow, Button, Tickbox, Choice, Switch, Length, Icon],
  template: `
    @if (segment(); as segment) {
      <p ylWords>
        Side {{ picked() + 1 }} of {{ count() }}, <yl-length [mm]="length()" [unit]="true" /> long. Drag the squares, the round bulges and the handles; arrow
        keys move what is in hand by a step.
      </p>
      <yl-switch label="It is" [options]="kinds" [value]="segment.kind" (picked)="kind($event)" />
      <yl-choice label="Side of the seat" [options]="edges" [value]="segment.edge" (picked)="edge($event)" />
      <div ylTrayRow>
        <button type="button" ylButton (click)="insert()"><svg ylIcon="plus" size="20"></svg> Point in its middle</button>
        <button type="button" ylButton [disabled]="count() <= 3" (click)="remove()"><svg ylIcon="trash-2" size="20"></svg> Take its point out</button>
        <yl-tickbox [checked]="mirror()" (checkedChange)="mirrorChanged.emit($event)">mirror what I drag</yl-tickbox>
        <yl-tickbox [checked]="snap()" (checkedChange)="snapChanged.emit($event)">snap to the shop’s step</yl-tickbox>
      </div>
    }
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PointsTray {
  protected readonly store = inject(JobStore);
  readonly picked = input.required<number>();
  readonly mirror = input.required<boolean>();
  readonly snap = input.required<boolean>();
  readonly mirrorChanged = output<boolean>();
  readonly snapChanged = output<boolean>();
  /** The outline as it was changed, and what was done. */
  readonly drawn = output<{ readonly label: string; readonly change: (outline: Outline) => Outline }>();
  protected readonly kinds = KINDS;
  protected readonly edges = EDGE_NAMES.map((value) => ({ value, name: value }));
  readonly #segments = computed<readonly Segment[]>(() => {
    const cushion = this.store.cushion();
    return cushion && this.store.cushionPlan()?.outlines ? outlineOf(cushion.template).outline.segments : [];
  });
  protected readonly count = computed(() => this.#segments().length);
  protected readonly segment = computed(() => this.#segments()[this.picked()] ?? null);
  protected readonly length = computed(() => {
    const segment = this.segment();
    return segment ? segmentLength(segment) : 0;
  });

  protected kind(value: string): void {
    this.drawn.emit({ label: 'Side of the outline', change: (outline) => setKind(outline, this.picked(), value as Segment['kind']) });
  }

  protected edge(value: string): void {
    this.drawn.emit({ label: 'Side of the seat', change: (outline) => setEdge(outline, this.picked(), value as EdgeName) });
  }

  protected insert(): void {
    this.drawn.emit({ label: 'Point added', change: (outline) => insertPoint(outline, this.picked()) });
  }

  protected remove(): void {
    this.drawn.emit({ label: 'Point taken out', change: (outline) => removePoint(outline, this.picked()) });
  }
}
