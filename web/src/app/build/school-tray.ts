import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { formatLengthUnit, pairMm, sayLine, schoolNumber, SCHOOL_NUMBERS, type SchoolNumberKey } from '@yardland/core';
import { Icon } from '../shared/icon';
import { JobStore } from '../job/job-store';
import { capital } from '../shared/words/capital';
import { Choice } from '../shared/controls/choice';
import { Dialogs } from '../shared/dialogs';
import { QuantityField } from '../shared/controls/quantity-field';
import { Button, Label, TrayPart, Words } from '../shared/ui/ui';

/** Which school the cushion follows, the one number that it takes otherwise, and all schools side by side. */
@Component({
  selector: 'yl-school-tray',
  imports: [Label, Button, Words, Choice, QuantityField, Icon],
  template: `
    <yl-choice class="field wide" label="Allowance school" [options]="schools()" [value]="store.cushion()?.school ?? ''" (picked)="setSchool($event)" />
    <yl-choice
      class="wide"
      label="One number otherwise"
      none="none: all as the school has it"
      [options]="numbers()"
      [value]="number() ?? ''"
      (picked)="setNumber($event)"
    />
    @if (number(); as key) {
      <yl-quantity
        [label]="wordOf(key)"
        [value]="store.cushion()?.schoolNumber?.mm ?? 0"
        [min]="limits().leastMm"
        [max]="limits().mostMm"
        [hint]="bySchool()"
        [step]="fine"
        (valueChange)="setAmount($event)"
      />
    }
    <div class="field block min-w-max">
      <span ylLabel>Side by side</span>
      <button type="button" ylButton (click)="compare()"><svg ylIcon="columns-3" size="20"></svg> Compare schools</button>
    </div>
    <p ylWords>{{ idea() }}</p>
    @if (newer(); as words) {
      <p ylWords>
        {{ words }}
        <button type="button" ylButton (click)="takeEdition()">Take the new numbers</button>
      </p>
    }
  `,
  hostDirectives: [TrayPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SchoolTray {
  protected readonly store = inject(JobStore);
  readonly #dialogs = inject(Dialogs);
  protected readonly fine = { mm: 1, inch: 1 / 16 };

  protected readonly schools = computed(() => (this.store.shop()?.schools ?? []).map(({ id, name }) => ({ value: id, name })));
  protected readonly idea = computed(() => this.store.cushionPlan()?.school?.idea ?? '');
  readonly #row = computed(() => this.store.shop()?.school(this.store.cushion()?.school ?? '', this.store.cushion()?.schoolEdition) ?? null);
  /** Where the school's row has been corrected since this cushion was made by it. */
  protected readonly newer = computed(() => {
    const old = this.store.cushionPlan()?.problems.find(({ code }) => code === 'school-edition-older');
    return old ? sayLine(old, this.store.inWords()) : null;
  });
  /** The school's numbers that there are, and a way back to none. */
  protected readonly numbers = computed(() => {
    const row = this.#row();
    const there = SCHOOL_NUMBERS.filter((one) => row && one.get(row) !== null).map(({ key, word }) => ({ value: key, name: word }));
    return this.number() ? [{ value: 'none' as const, name: 'none: all as the school has it' }, ...there] : there;
  });
  protected readonly number = computed<SchoolNumberKey | null>(() => this.store.cushion()?.schoolNumber?.number ?? null);
  protected readonly limits = computed(() => {
    const key = this.number();
    return key ? schoolNumber(key) : { leastMm: 0, mostMm: 0 };
  });
  protected readonly bySchool = computed(() => {
    const [key, row, { units, step }] = [this.number(), this.#row(), this.store.inWords()];
    const value = key && row ? schoolNumber(key).get(row) : null;
    return value ? `the school says ${formatLengthUnit(pairMm(value, this.store.job()?.units ?? 'metric'), units, step)}` : null;
  });

  protected wordOf(key: SchoolNumberKey): string {
    return capital(schoolNumber(key).word);
  }

  protected takeEdition(): void {
    this.store.editCushion('New numbers of the school', ({ schoolEdition: _before, ...cushion }) => cushion);
  }

  protected setSchool(id: string): void {
    this.store.editCushion('School', ({ schoolNumber: number, schoolEdition: _before, ...cushion }) => {
      const row = this.store.shop()?.school(id);
      const stays = number && row && schoolNumber(number.number).get(row) !== null;
      return { ...cushion, school: id, ...(stays ? { schoolNumber: number } : {}) };
    });
  }

  protected setNumber(key: SchoolNumberKey | 'none'): void {
    this.store.editCushion('One number of the school', ({ schoolNumber: _before, ...cushion }) => {
      const [row, units] = [this.#row(), this.store.job()?.units ?? 'metric'];
      const number = SCHOOL_NUMBERS.find((one) => one.key === key);
      const value = number && row ? number.get(row) : null;
      return number && value ? { ...cushion, schoolNumber: { number: number.key, mm: pairMm(value, units) } } : cushion;
    });
  }

  protected setAmount(mm: number | null): void {
    const key = this.number();
    if (key && mm !== null) this.store.editCushion('One number of the school', (cushion) => ({ ...cushion, schoolNumber: { number: key, mm } }));
  }

  protected async compare(): Promise<void> {
    const id = await this.#dialogs.open<string, JobStore>(async () => (await import('./compare-dialog')).CompareDialog, {
      data: this.store,
      labelledBy: 'comparison-title',
    });
    if (id) this.setSchool(id);
  }
}
