import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { Icon } from '../shared/icon';
import { FAMILIES, formatNumber, hardness25From, type Grade, type Lot, type Quoted } from '@yardland/core';
import { Choice } from '../shared/controls/choice';
import { NumberField } from '../shared/controls/number-field';
import { TextField } from '../shared/controls/text-field';
import { Button, DialogFields, PanelHead, Tool, Words } from '../shared/ui/ui';
import { FAMILY_WORDS, numbersIn } from './stock-words';
import { today } from '../shared/words/days';
import { RemoveStock } from './remove-stock';

/** Suppliers who quote otherwise mostly quote 40 % on 50 mm. */
const USUAL_QUOTE: Omit<Quoted, 'hardnessN'> = { percent: 40, thicknessMm: 50 };

/** One foam of the catalogue, with the lots on the shelf. */
@Component({
  selector: 'yl-grade-editor',
  imports: [RemoveStock, PanelHead, Tool, DialogFields, Words, Button, Choice, NumberField, TextField, Icon],
  templateUrl: './grade-editor.html',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class GradeEditor {
  /** A price that is entered is of today. */
  protected readonly today = today;
  readonly grade = input.required<Grade>();
  readonly changed = output<Grade>();
  readonly removed = output();
  protected readonly families = FAMILIES.map((value) => ({ value, name: FAMILY_WORDS[value] }));
  protected readonly thicknesses = computed(() => this.grade().thicknessesMm.join(', '));
  protected readonly converted = computed(() => {
    const { quoted, hardness25N } = this.grade();
    return quoted ? `${formatNumber(quoted.hardnessN)} N at ${quoted.percent} % on ${quoted.thicknessMm} mm reads ${formatNumber(hardness25N)} N here` : '';
  });

  protected set(change: Partial<Grade>): void {
    this.changed.emit({ ...this.grade(), ...change });
  }

  protected setSupport(supportFactor: number): void {
    const { quoted } = this.grade();
    this.set({ supportFactor, ...(quoted ? { hardness25N: rounded(hardness25From(quoted, supportFactor)) } : {}) });
  }

  protected setFamily(family: string): void {
    this.set({ family: family as Grade['family'] });
  }

  /** A hardness typed at 25 % on 100 mm takes the place of a quoted one. */
  protected setHardness(hardness25N: number): void {
    const { quoted: _quoted, ...grade } = this.grade();
    this.changed.emit({ ...grade, hardness25N });
  }

  protected setQuoted(change: Partial<Quoted>): void {
    const quoted: Quoted = { ...USUAL_QUOTE, hardnessN: this.grade().hardness25N, ...this.grade().quoted, ...change };
    this.set({ quoted, hardness25N: rounded(hardness25From(quoted, this.grade().supportFactor)) });
  }

  protected setSheet(change: Partial<Grade['sheet']>): void {
    this.set({ sheet: { ...this.grade().sheet, ...change } });
  }

  protected setThicknesses(text: string): void {
    this.set({ thicknessesMm: numbersIn(text) });
  }

  protected addLot(): void {
    const lots = this.grade().lots ?? [];
    this.set({ lots: [...lots, { lot: `lot ${lots.length + 1}`, thicknessMm: this.grade().thicknessesMm[0] ?? 50, sheets: 1 }] });
  }

  protected setLot(index: number, change: Partial<Lot>): void {
    this.set({ lots: (this.grade().lots ?? []).map((lot, i) => (i === index ? { ...lot, ...change } : lot)) });
  }

  protected dropLot(index: number): void {
    this.set({ lots: (this.grade().lots ?? []).filter((_, i) => i !== index) });
  }
}

const rounded = (newtons: number): number => Math.round(newtons * 10) / 10;
