import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Icon } from '../shared/icon';
import { compare, formatLengthUnit, type Check, type CheckPlace } from '@yardland/core';
import { JobStore } from '../job/job-store';
import { dayWords, today } from '../shared/days';
import { Length } from '../shared/length';
import { NoteField } from '../shared/note-field';
import { QuantityField } from '../shared/quantity-field';
import { Button, Empty, Panel, PanelHead, StationFrame, Tool } from '../shared/ui/ui';

const PLACE_WORDS: Record<CheckPlace, string> = { widthMm: 'Wide', depthMm: 'Deep', edgeMm: 'High at the edge', middleMm: 'High in the middle' };

/** Dressed cushions measured against what was promised; each check is kept with its day and remark. */
@Component({
  selector: 'yl-check-station',
  imports: [Panel, PanelHead, Tool, NoteField, Empty, Button, Length, QuantityField, Icon],
  templateUrl: './check-station.html',
  hostDirectives: [StationFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CheckStation {
  protected readonly store = inject(JobStore);

  protected readonly checks = computed(() => {
    const one = this.store.cushionPlan();
    if (!one) return [];
    return (one.source.checks ?? []).map((check, index) => ({
      index,
      title: `Cushion ${index + 1}, ${dayWords(check.date)}`,
      remark: check.remark ?? '',
      rows: compare(one, check).map((row) => ({ ...row, name: PLACE_WORDS[row.place], off: this.#offWords(row.offMm) })),
    }));
  });

  protected add(): void {
    this.#checks('Check begun', (checks) => [...checks, { date: today() }]);
  }

  protected remove(index: number): void {
    this.#checks('Check removed', (checks) => checks.filter((_, i) => i !== index));
  }

  protected measure(index: number, place: CheckPlace, mm: number | null): void {
    this.#checks(PLACE_WORDS[place], (checks) =>
      checks.map((check, i) => {
        if (i !== index) return check;
        const { [place]: _before, ...rest } = check;
        return mm === null ? rest : { ...rest, [place]: mm };
      }),
    );
  }

  protected remark(index: number, text: string): void {
    this.#checks('Remark', (checks) => checks.map((check, i) => (i === index ? { ...check, remark: text.slice(0, 2000) } : check)));
  }

  #checks(label: string, change: (checks: Check[]) => Check[]): void {
    this.store.editCushion(label, (cushion) => ({ ...cushion, checks: change(cushion.checks ?? []) }));
  }

  #offWords(mm: number | null): string {
    if (mm === null) return '';
    const { units, step } = this.store.inWords();
    const words = formatLengthUnit(Math.abs(mm), units, step);
    return words.startsWith('0 ') ? 'as promised' : `${words} ${mm > 0 ? 'over' : 'under'}`;
  }
}
