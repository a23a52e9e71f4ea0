import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { constantWords, formatNumber, SHIPPED_SCHOOLS, type ShopDocument } from '@yardland/core';
import { inForce, withConstant, withEasedSchool, withTakenBack, type LearntConstant, type LearntSchool } from '@yardland/core/book';
import { catchError, of } from 'rxjs';
import { newId, newUuid } from '../shared/saving/new-id';
import { ShopEditor } from '../shared/saving/shop-editor';
import { ShopService } from '../shared/saving/shop.service';
import { ProgressTape } from '../shared/ui/progress-tape';
import { Button, Rows, Words } from '../shared/ui/ui';
import { dayWords, today } from '../shared/words/days';
import { ChecksWork } from './checks-work';
import { ClockPanel } from './clock-panel';

/** A constant as finely as checks can tell it. */
const told = (value: number): string => formatNumber(value, Math.abs(value) >= 10 ? 0 : 2);

/** Tenths of a millimetre with their sign; none at nought. */
const signed = (mm: number): string => `${mm > 0.05 ? '+' : ''}${formatNumber(mm, 1)}`;

/** What checks and the clock say of the shop's constants, schools and rates: offered, taken with one press, taken back as easily. */
@Component({
  selector: 'yl-learnt-panel',
  imports: [Button, Rows, Words, ProgressTape, ClockPanel],
  template: `
    <h2 id="learnt-title">What checks say of the constants</h2>
    <p ylWords class="mb-2">
      Each dressed cushion that was measured says how much its filling really brings. Nothing is changed by itself: what enough checks agree on is offered.
    </p>
    @if (working(); as progress) {
      <yl-progress class="max-w-100" label="Working out what checks teach" [done]="progress.done" [of]="progress.of" />
    }
    @if (failed()) {
      <p ylWords="bad" role="alert">The checks could not be fetched or worked out. Open this page again when the server answers.</p>
    }
    @if (learnt(); as learnt) {
      <div class="overflow-x-auto">
        <table ylRows aria-labelledby="learnt-title" class="max-w-260 [&_td]:align-top [&_td]:py-1.5!">
          <thead>
            <tr>
              <th scope="col">constant</th>
              <th scope="col" class="text-right!">shipped</th>
              <th scope="col" class="text-right!">used</th>
              <th scope="col" class="text-right!">by the checks</th>
              <th scope="col">what they say</th>
              <th scope="col"><span class="sr-only">Take it</span></th>
            </tr>
          </thead>
          <tbody>
            @for (row of learnt.constants; track row.constant.key) {
              <tr>
                <td class="max-w-70">{{ row.name }}</td>
                <td class="text-right whitespace-nowrap">{{ row.shipped }}</td>
                <td class="text-right whitespace-nowrap">{{ row.used }}</td>
                <td class="text-right whitespace-nowrap">{{ row.fitted }}</td>
                <td class="text-note">{{ row.constant.why }}</td>
                <td>
                  @if (row.constant.offered) {
                    <button type="button" ylButton="strong" [attr.aria-label]="'Take ' + row.name" (click)="take(row.constant)">Take {{ row.to }}</button>
                  }
                </td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      <h2 id="schools-title">What the constants do not explain, by school</h2>
      @if (learnt.schools.length) {
        <table ylRows aria-labelledby="schools-title" class="max-w-260 [&_td]:py-1.5!">
          <thead>
            <tr>
              <th scope="col">school</th>
              <th scope="col" class="text-right!">checks</th>
              <th scope="col" class="text-right!">crown, measured less predicted</th>
              <th scope="col"><span class="sr-only">Take it</span></th>
            </tr>
          </thead>
          <tbody>
            @for (row of learnt.schools; track row.school.school) {
              <tr>
                <td>{{ row.name }}</td>
                <td class="text-right">{{ row.school.checks }}</td>
                <td class="text-right whitespace-nowrap">{{ row.mean }}</td>
                <td>
                  @if (row.school.offered) {
                    <button type="button" ylButton [attr.aria-label]="'Copy with that much ease: ' + row.name" (click)="ease(row.school)">
                      Copy with that much ease
                    </button>
                  } @else {
                    <span class="text-note text-ink-soft">{{ row.school.checks < 5 ? 'at least five checks are needed' : 'no more than chance' }}</span>
                  }
                </td>
              </tr>
            }
          </tbody>
        </table>
      } @else {
        <p ylWords>No crown has been measured yet: middle and edge of a dressed cushion, at the station Check.</p>
      }
    }
    @if (taken().length) {
      <h2 id="taken-title">Taken from checks</h2>
      <ul aria-labelledby="taken-title" class="mb-4 grid max-w-260 gap-2">
        @for (one of taken(); track one.note.id) {
          <li class="flex items-center gap-3 rounded-lg bg-linen px-3.5 py-1.5 shadow-card">
            <span class="mr-auto"
              ><b>{{ one.note.name }}</b
              ><span class="ml-2 text-ink-soft">{{ one.says }}</span></span
            >
            <button type="button" ylButton [attr.aria-label]="'Take back: ' + one.note.name" (click)="takeBack(one.note.id)">Take back</button>
          </li>
        }
      </ul>
    }
    <yl-clock-panel />
  `,
  host: { class: 'block min-h-0 flex-1 overflow-y-auto px-6.5 -mx-6.5 pb-6 [&>h2]:mt-3 [&>h2]:mb-1.5 [&>h2]:text-figure' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LearntPanel {
  readonly #edit = inject(ShopEditor);
  readonly #shop = toSignal(inject(ShopService).document$);
  readonly #checks = toSignal(inject(ChecksWork).checks$.pipe(catchError(() => of('failed' as const))));
  protected readonly failed = computed(() => this.#checks() === 'failed');
  protected readonly working = computed(() => {
    const checks = this.#checks();
    return checks && checks !== 'failed' && 'done' in checks ? checks : null;
  });

  protected readonly learnt = computed(() => {
    const checks = this.#checks();
    if (!checks || checks === 'failed' || !('points' in checks)) return null;
    return {
      constants: checks.learnt.constants.map((constant) => ({
        constant,
        name: constantWords(constant.key).meaning,
        shipped: formatNumber(constant.shipped, 2),
        used: formatNumber(constant.used, 3),
        fitted: constant.checks ? `${told(constant.fitted)} ± ${told(constant.plusMinus)}` : '—',
        to: told(constant.fitted),
      })),
      schools: checks.learnt.schools.map((school) => ({
        school,
        name: this.#schoolName(school.school),
        mean: `${signed(school.meanMm)} ± ${formatNumber(school.plusMinusMm, 1)} mm`,
      })),
    };
  });

  protected readonly taken = computed(() => {
    const shop = this.#shop();
    return (shop ? inForce(shop) : []).map((note) => {
      const value =
        note.to === null ? '' : `${formatNumber(note.to, 3)} in place of ${note.from === null ? 'the shipped value' : formatNumber(note.from, 3)}, `;
      return { note, says: `${value}from ${note.checks} checks, ${dayWords(note.day)}` };
    });
  });

  protected take(constant: LearntConstant): void {
    this.#change((shop) => withConstant(shop, constant, constantWords(constant.key).meaning, { id: newUuid(), day: today() }));
  }

  protected ease(school: LearntSchool): void {
    this.#change((shop) => {
      const id = newId(`${school.school} eased`, new Set([...SHIPPED_SCHOOLS, ...shop.schools].map((one) => one.id)));
      return withEasedSchool(shop, school, id, { id: newUuid(), day: today() });
    });
  }

  protected takeBack(id: string): void {
    this.#change((shop) => withTakenBack(shop, id, today()));
  }

  #change(edit: (shop: ShopDocument) => ShopDocument): void {
    this.#edit.change(edit);
  }

  #schoolName(id: string): string {
    return [...SHIPPED_SCHOOLS, ...(this.#shop()?.schools ?? [])].find((one) => one.id === id)?.name ?? id;
  }
}
