import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { LucidePlus, LucideTrash2 } from '@lucide/angular';
import {
  ASSUMPTIONS,
  FAMILIES,
  formatExact,
  formatNumber,
  gradeSchema,
  pairMm,
  readWith,
  sayLine,
  type AssumptionKey,
  type Grade,
  type ShopDocument,
} from '@yardland/core';
import { Choice } from '../shared/choice';
import { newId } from '../shared/new-id';
import { problemOf } from '../shared/problem';
import { ShopService } from '../shared/shop.service';
import { Tape } from '../shell/tape';
import { ThemeButton } from '../shell/theme-button';

type NumberKey = 'densityKgM3' | 'hardness25N' | 'supportFactor' | 'pricePerM3';

const FAMILY_WORDS: Record<Grade['family'], string> = {
  conventional: 'conventional',
  'high-resilience': 'high-resilience',
  'fast-drying': 'fast-drying, open-cell',
  reconstituted: 'reconstituted',
  latex: 'latex',
  slab: 'compressed slab',
};

/** The shop's foams, to edit, and the constants it assumes, each with its meaning, its source and the shop's own value. */
@Component({
  selector: 'yl-stockroom-page',
  imports: [Tape, ThemeButton, Choice, LucidePlus, LucideTrash2],
  templateUrl: './stockroom-page.html',
  host: { class: 'room' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class StockroomPage {
  readonly #shops = inject(ShopService);
  readonly #stored = toSignal(this.#shops.stored$);
  readonly #chosen = signal<string | null>(null);
  protected readonly message = signal<string | null>(null);
  protected readonly families = FAMILIES.map((value) => ({ value, name: FAMILY_WORDS[value] }));
  protected readonly familyWords = FAMILY_WORDS;

  protected readonly grades = computed(() => this.#stored()?.shop.grades ?? []);
  protected readonly current = computed(() => this.grades().find(({ id }) => id === this.#chosen()) ?? this.grades()[0] ?? null);
  protected readonly thicknesses = computed(() => (this.current()?.thicknessesMm ?? []).join(', '));

  protected readonly constants = computed(() => {
    const shop = this.#stored()?.shop;
    if (!shop) return [];
    return (Object.keys(ASSUMPTIONS) as AssumptionKey[]).map((key) => {
      const { value, unit, meaning, source } = ASSUMPTIONS[key];
      const length = unit === 'length';
      const shipped = length
        ? `${formatExact(pairMm(value, shop.units), shop.units)} ${shop.units === 'inch' ? 'in' : 'mm'}`
        : `${formatNumber(value.mm, 4)}${unit === 'ratio' ? '' : ` ${unit}`}`;
      return { key, shipped, meaning, source, own: shop.calibration[key] ?? null, unit: length ? 'mm' : unit === 'ratio' ? '' : unit };
    });
  });

  protected choose(id: string): void {
    this.#chosen.set(id);
  }

  protected add(): void {
    const taken = new Set(this.grades().map(({ id }) => id));
    const id = newId('new foam', taken);
    const like = this.current();
    const grade: Grade = like
      ? { ...like, id, name: 'New foam' }
      : {
          id,
          name: 'New foam',
          family: 'conventional',
          densityKgM3: 28,
          hardness25N: 150,
          supportFactor: 2,
          sheet: { widthMm: 1200, lengthMm: 2000 },
          thicknessesMm: [50, 75, 100],
          pricePerM3: 0,
        };
    this.#change(
      (shop) => ({ ...shop, grades: [...shop.grades, grade] }),
      () => this.#chosen.set(id),
    );
  }

  protected remove(id: string): void {
    this.#change((shop) => ({ ...shop, grades: shop.grades.filter((grade) => grade.id !== id) }));
  }

  protected setName(name: string): void {
    if (name.trim()) this.#edit((grade) => ({ ...grade, name: name.trim().slice(0, 80) }));
  }

  protected setFamily(family: string): void {
    this.#edit((grade) => ({ ...grade, family: family as Grade['family'] }));
  }

  protected setNumber(key: NumberKey, text: string): void {
    this.#edit((grade) => ({ ...grade, [key]: Number(text.replace(',', '.')) }));
  }

  protected setSheet(key: 'widthMm' | 'lengthMm', text: string): void {
    this.#edit((grade) => ({ ...grade, sheet: { ...grade.sheet, [key]: Number(text.replace(',', '.')) } }));
  }

  protected setThicknesses(text: string): void {
    this.#edit((grade) => ({
      ...grade,
      thicknessesMm: text
        .split(/[\s,;]+/)
        .filter(Boolean)
        .map(Number),
    }));
  }

  /** Sets the shop's own value of a constant; empty goes back to the shipped one. */
  protected calibrate(key: AssumptionKey, text: string): void {
    const value = Number(text.replace(',', '.'));
    if (text.trim() && !(Number.isFinite(value) && value >= 0)) {
      this.message.set(`“${text}” is not a number of nought or more.`);
      return;
    }
    this.#change((shop) => {
      const { [key]: _before, ...calibration } = shop.calibration;
      return { ...shop, calibration: text.trim() ? { ...calibration, [key]: value } : calibration };
    });
  }

  #edit(change: (grade: Grade) => Grade): void {
    const current = this.current();
    if (!current) return;
    const read = readWith(gradeSchema, change(current));
    if (!read.ok) {
      const [first] = read.problems;
      this.message.set(first ? `${first.path}: ${sayLine(first, { units: 'metric', step: { mm: 1, inch: 1 / 8 } })}` : 'This cannot be.');
      return;
    }
    this.#change((shop) => ({ ...shop, grades: shop.grades.map((grade) => (grade.id === current.id ? read.value : grade)) }));
  }

  #change(edit: (shop: ShopDocument) => ShopDocument, then?: () => void): void {
    this.#shops.change(edit).subscribe({
      next: () => {
        this.message.set(null);
        then?.();
      },
      error: (error: unknown) => {
        const problem = problemOf(error);
        this.message.set(problem.code === 'stale-revision' ? `${problem.message} It is shown here now; make the change again.` : problem.message);
        if (problem.code === 'stale-revision') this.#shops.renew().subscribe();
      },
    });
  }
}
