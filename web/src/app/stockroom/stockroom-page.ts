import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { Icon } from '../shared/icon';
import { fillingSchema, gradeSchema, putAwayLast, parseGradeCode, type Filling, type Grade, type ShopDocument } from '@yardland/core';
import { newId } from '../shared/saving/new-id';
import { ShopEditor } from '../shared/saving/shop-editor';
import { ShopService } from '../shared/saving/shop.service';
import { TextField } from '../shared/controls/text-field';
import { Button, InputBox, LinkButton, Panel, Room, RoomHead, RoomMain, Rows, Words } from '../shared/ui/ui';
import { WriteButton } from '../log/write-button';
import { Tape } from '../shell/tape';
import { ThemeButton } from '../shell/theme-button';
import type * as z from 'zod';
import { ConstantsPanel } from './constants-panel';
import { ClothsPanel } from './cloths-panel';
import { RemnantsPanel } from './remnants-panel';
import { ShopPanel } from './shop-panel';
import { StockRemoval } from './stock-removal';
import { WaddingsPanel } from './waddings-panel';
import { ZipsPanel } from './zips-panel';
import { FillingEditor } from './filling-editor';
import { GradeEditor } from './grade-editor';
import { FAMILY_WORDS, KIND_WORDS } from './stock-words';

/** What a first foam starts as. */
const NEW_FOAM: Grade = {
  id: 'new-foam',
  name: 'New foam',
  family: 'conventional',
  densityKgM3: 28,
  hardness25N: 150,
  supportFactor: 2,
  sheet: { widthMm: 1200, lengthMm: 2000 },
  thicknessesMm: [50, 75, 100],
  pricePerM3: 0,
};

const round1 = (value: number): number => Math.round(value * 10) / 10;

/** The shop's fillings with their lots, to edit, and what else it keeps. */
@Component({
  selector: 'yl-stockroom-page',
  imports: [
    RoomMain,
    RoomHead,
    Button,
    Rows,
    LinkButton,
    Panel,
    Words,
    InputBox,
    Tape,
    ThemeButton,
    TextField,
    GradeEditor,
    FillingEditor,
    ClothsPanel,
    WaddingsPanel,
    ZipsPanel,
    RemnantsPanel,
    ShopPanel,
    ConstantsPanel,
    Icon,
    WriteButton,
  ],
  templateUrl: './stockroom-page.html',
  hostDirectives: [Room],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class StockroomPage {
  readonly #shops = inject(ShopService);
  readonly #shop = toSignal(this.#shops.document$);
  readonly #chosen = signal<string | null>(null);
  readonly #edit = inject(ShopEditor);
  readonly #removal = inject(StockRemoval);
  protected readonly familyWords = FAMILY_WORDS;
  protected readonly kindWords = KIND_WORDS;

  protected readonly grades = computed(() => putAwayLast(this.#shop()?.grades ?? []));
  protected readonly fillings = computed(() => putAwayLast(this.#shop()?.fillings ?? []));
  protected readonly filling = computed(() => this.fillings().find(({ id }) => id === this.#chosen()) ?? null);
  protected readonly grade = computed(() => (this.filling() ? null : (this.grades().find(({ id }) => id === this.#chosen()) ?? this.grades()[0] ?? null)));

  protected readonly here = computed(() => this.filling()?.id ?? this.grade()?.id ?? null);
  /** A grade code being written for a new foam. */
  protected readonly written = signal('');

  /** What is on the shelf: `7, 2 lots`. */
  protected shelf({ lots = [] }: Grade): string {
    const sheets = lots.reduce((sum, lot) => sum + lot.sheets, 0);
    const names = new Set(lots.map((lot) => lot.lot)).size;
    return names ? `${sheets}, ${names === 1 ? '1 lot' : `${names} lots`}` : '—';
  }

  protected choose(id: string): void {
    this.#chosen.set(id);
  }

  /** A new foam like the one in hand; a grade code gives its density and hardness. */
  protected add(code: string): void {
    const parsed = code.trim() ? parseGradeCode(code, this.#shop()?.units ?? 'metric') : null;
    if (code.trim() && !parsed) {
      this.#edit.refuse(`“${code}” is no grade code that is read here: write density and hardness, as 35-140, or leave it empty.`);
      return;
    }
    const name = parsed ? `Foam ${code.trim()}` : 'New foam';
    const id = this.#newId(name);
    const { lots: _lots, quoted: _quoted, ...like } = this.grade() ?? NEW_FOAM;
    const grade: Grade = { ...like, id, name, ...(parsed ? { densityKgM3: round1(parsed.densityKgM3), hardness25N: round1(parsed.hardnessN) } : {}) };
    this.#edit.change(
      (shop) => ({ ...shop, grades: [...shop.grades, grade] }),
      () => this.#chosen.set(id),
    );
  }

  protected addFilling(): void {
    const id = this.#newId('new filling');
    const filling: Filling = { id, name: 'New filling', kind: 'feather', densityKgM3: 20, thicknessesMm: [50, 100], pricePerM3: 0 };
    this.#edit.change(
      (shop) => ({ ...shop, fillings: [...shop.fillings, filling] }),
      () => this.#chosen.set(id),
    );
  }

  /** Takes a foam or another filling away, or puts it away where jobs name it. */
  protected remove({ id, name }: Grade | Filling): void {
    const each = (change: <T extends Grade | Filling>(one: T) => T[]) => (): void =>
      this.#edit.change((shop) => ({ ...shop, grades: shop.grades.flatMap(change), fillings: shop.fillings.flatMap(change) }));
    const away = (putAway: true | undefined) => each((one) => [one.id === id ? { ...one, putAway } : one]);
    this.#removal.drop({ id, name }, { remove: each((one) => (one.id === id ? [] : [one])), putAway: away(true), bringBack: away(undefined) });
  }

  protected setGrade(grade: Grade): void {
    this.#keep(gradeSchema, grade, (shop, kept) => ({ ...shop, grades: shop.grades.map((one) => (one.id === kept.id ? kept : one)) }));
  }

  protected setFilling(filling: Filling): void {
    this.#keep(fillingSchema, filling, (shop, kept) => ({ ...shop, fillings: shop.fillings.map((one) => (one.id === kept.id ? kept : one)) }));
  }

  #newId(name: string): string {
    return newId(name, new Set([...this.grades(), ...this.fillings()].map(({ id }) => id)));
  }

  /** Takes a changed material over, or says at once what is wrong with it. */
  #keep<T>(schema: z.ZodType<T>, value: T, edit: (shop: ShopDocument, kept: T) => ShopDocument): void {
    const kept = this.#edit.taken(schema, value, this.#shop()?.units ?? 'metric');
    if (kept !== null) this.#edit.change((shop) => edit(shop, kept));
  }
}
