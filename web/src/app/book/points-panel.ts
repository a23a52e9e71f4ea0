import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { Router, RouterLink } from '@angular/router';
import { CHECK_TOLERANCE, formatExact, furthestFirst, type PointGroup, type PointPlace } from '@yardland/core';
import { catchError, of } from 'rxjs';
import { Choice, Switch, type Option } from '../shared/controls/choice';
import { ShopService } from '../shared/saving/shop.service';
import { ProgressTape } from '../shared/ui/progress-tape';
import { Rows, Words } from '../shared/ui/ui';
import { dayWords } from '../shared/words/days';
import type { JobPoint } from './checks-messages';
import { ChecksWork } from './checks-work';
import { PointChart, type PointGroupShown } from './point-chart';

const PLACES: readonly Option<PointPlace>[] = [
  { value: 'crownMm', name: 'Crown' },
  { value: 'widthMm', name: 'Wide' },
  { value: 'depthMm', name: 'Deep' },
  { value: 'edgeMm', name: 'Edge' },
  { value: 'middleMm', name: 'Middle' },
];
const GROUPS: readonly Option<PointGroup>[] = [
  { value: 'school', name: 'school' },
  { value: 'filling', name: 'filling' },
  { value: 'wrap', name: 'wrap' },
  { value: 'construction', name: 'construction' },
];
/** More groups than this cannot be told apart: the smallest go together. */
const MOST_GROUPS = 6;
/** Rows shown at once. */
const ROWS = 40;

/** What was promised over what was measured: as points, and as a list with the furthest off first. */
@Component({
  selector: 'yl-points-panel',
  imports: [RouterLink, Switch, Choice, PointChart, ProgressTape, Rows, Words],
  template: `
    <div class="flex flex-wrap items-end gap-x-4 gap-y-2 pb-2 [&_.field-says:empty]:hidden">
      <yl-switch label="What is measured" [options]="places" [value]="place()" (picked)="place.set($event)" />
      <yl-choice class="w-44" label="Grouped by" [options]="groupings" [value]="group()" (picked)="group.set($event)" />
      <p ylWords role="status">{{ says() }}</p>
    </div>
    @if (working(); as progress) {
      <yl-progress class="max-w-100" label="Holding checks against what was promised" [done]="progress.done" [of]="progress.of" />
    }
    @if (shown().length) {
      <div class="grid min-h-0 flex-1 grid-cols-[minmax(0,1fr)_minmax(23.75rem,46%)] gap-6 overflow-y-auto pb-5 max-tablet:grid-cols-[minmax(0,1fr)]">
        <yl-point-chart [groups]="groups()" [unit]="unit()" [words]="says()" (picked)="open($event)" />
        <div class="overflow-x-auto">
          <h2 id="furthest-title" class="mb-1 text-panel">Furthest off first</h2>
          <table ylRows aria-labelledby="furthest-title">
            <thead>
              <tr>
                <th scope="col">cushion</th>
                <th scope="col" class="text-right!">promised</th>
                <th scope="col" class="text-right!">measured</th>
                <th scope="col" class="text-right!">off by</th>
              </tr>
            </thead>
            <tbody>
              @for (row of rows(); track row.key) {
                <tr>
                  <td>
                    <a class="font-semibold underline" [routerLink]="row.link">{{ row.name }}</a>
                    <span class="block text-caption text-ink-soft">{{ row.of }}</span>
                  </td>
                  <td class="text-right whitespace-nowrap">{{ row.promised }}</td>
                  <td class="text-right whitespace-nowrap">{{ row.measured }}</td>
                  <td class="text-right whitespace-nowrap [&.far]:font-bold [&.far]:text-error" [class.far]="row.far">{{ row.off }}</td>
                </tr>
              }
            </tbody>
          </table>
          @if (rest(); as count) {
            <p ylWords>
              {{ count }} more lie nearer to what was promised.
              <button type="button" class="cursor-pointer underline" (click)="all.set(true)">Show them</button>
            </p>
          }
        </div>
      </div>
    } @else if (failed()) {
      <p ylWords="bad" role="alert">The checks could not be fetched or worked out. Open this page again when the server answers.</p>
    } @else if (!working()) {
      <p ylWords>No check has measured this yet. Dressed cushions are measured at the station Check of their job.</p>
    }
  `,
  host: { class: 'flex min-h-0 flex-1 flex-col' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PointsPanel {
  readonly #router = inject(Router);
  readonly #shop = toSignal(inject(ShopService).document$);
  readonly #checks = toSignal(inject(ChecksWork).checks$.pipe(catchError(() => of('failed' as const))));
  protected readonly places = PLACES;
  protected readonly groupings = GROUPS;
  protected readonly place = signal<PointPlace>('crownMm');
  protected readonly group = signal<PointGroup>('school');
  protected readonly all = signal(false);

  protected readonly failed = computed(() => this.#checks() === 'failed');
  protected readonly working = computed(() => {
    const checks = this.#checks();
    return checks && checks !== 'failed' && 'done' in checks ? checks : null;
  });
  readonly #points = computed((): readonly JobPoint[] => {
    const checks = this.#checks();
    return checks && checks !== 'failed' && 'points' in checks ? checks.points : [];
  });
  protected readonly shown = computed(() => furthestFirst(this.#points(), this.place()));
  readonly #units = computed(() => this.#shop()?.units ?? 'metric');
  protected readonly unit = computed(() => (this.#units() === 'inch' ? 'in' : 'mm'));

  protected readonly groups = computed((): PointGroupShown[] => {
    const by = new Map<string, { x: number; y: number; says: string; key: number }[]>();
    const scale = this.#units() === 'inch' ? 25.4 : 1;
    this.shown().forEach((point, key) => {
      const one = {
        x: point.promisedMm / scale,
        y: point.measuredMm / scale,
        key,
        says: `${point.name}, ${point.jobName}<br>${dayWords(point.day)}: ${this.#off(point)}`,
      };
      const name = point.groups[this.group()];
      by.set(name, [...(by.get(name) ?? []), one]);
    });
    const sorted = [...by].sort((a, b) => b[1].length - a[1].length).map(([name, points]) => ({ name, points }));
    if (sorted.length <= MOST_GROUPS) return sorted;
    const [kept, rest] = [sorted.slice(0, MOST_GROUPS - 1), sorted.slice(MOST_GROUPS - 1)];
    return [...kept, { name: `${rest.length} others`, points: rest.flatMap(({ points }) => points) }];
  });

  protected readonly rows = computed(() =>
    this.shown()
      .slice(0, this.all() ? undefined : ROWS)
      .map((point, key) => ({
        key,
        name: point.name,
        of: `${point.jobName} · ${dayWords(point.day)} · ${point.groups[this.group()]}${point.ofItsDay ? '' : ' · promised by today’s plan'}`,
        link: ['/jobs', point.job, point.cushion + 1, 'check'],
        promised: this.#exact(point.promisedMm),
        measured: this.#exact(point.measuredMm),
        off: this.#off(point),
        far: Math.abs(point.measuredMm - point.promisedMm) > this.#tolerance(point.place),
      })),
  );
  protected readonly rest = computed(() => this.shown().length - this.rows().length);

  protected readonly says = computed(() => {
    const points = this.shown();
    const working = this.working();
    if (working) return working.of ? `Job ${working.done + 1} of ${working.of} …` : 'Fetching the checks …';
    if (!points.length) return '';
    const mean = points.reduce((sum, { measuredMm, promisedMm }) => sum + measuredMm - promisedMm, 0) / points.length;
    const words = formatExact(Math.abs(mean), this.#units());
    const lean = Math.abs(mean) < 0.25 ? 'as promised, on average' : `${words} ${this.unit()} ${mean > 0 ? 'more' : 'less'} than promised in the mean`;
    return `${points.length} ${points.length === 1 ? 'measure' : 'measures'}: ${lean}.`;
  });

  protected open(key: number): void {
    const point = this.shown()[key];
    if (point) void this.#router.navigate(['/jobs', point.job, point.cushion + 1, 'check']);
  }

  #exact(mm: number): string {
    return formatExact(mm, this.#units());
  }

  #off({ measuredMm, promisedMm }: JobPoint): string {
    const mm = measuredMm - promisedMm;
    return `${mm < 0 ? '−' : '+'}${this.#exact(Math.abs(mm))}`;
  }

  #tolerance(place: PointPlace): number {
    return place === 'crownMm' ? CHECK_TOLERANCE.middleMm : CHECK_TOLERANCE[place];
  }
}
