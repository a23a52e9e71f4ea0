import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { bounds, flatten, remnantSchema, say, type Outline, type Point, type Remnant, formatLengthUnit, formatSize } from '@yardland/core';
import { Choice } from '../shared/controls/choice';
import { Dialogs } from '../shared/dialogs';
import { Icon } from '../shared/icon';
import { newId } from '../shared/saving/new-id';
import { OutlineReader } from '../shared/reading/outline-reader';
import { QuantityField } from '../shared/controls/quantity-field';
import { ShopEditor } from '../shared/saving/shop-editor';
import { ShopService } from '../shared/saving/shop.service';
import { TextField } from '../shared/controls/text-field';
import { Tickbox } from '../shared/controls/tickbox';
import { Button, DialogFields, LinkButton, Panel, PanelHead, Rows, Tool, Words } from '../shared/ui/ui';
import type { PhotoData } from '../template/photo-dialog';
import { RemnantPicture } from './remnant-picture';

const STEP = { mm: 1, inch: 1 / 8 };
const MARKS = [
  { value: 'flaws', name: 'flaw' },
  { value: 'soft', name: 'soft part' },
] as const;
type MarkKind = (typeof MARKS)[number]['value'];
/** Where a flaw or soft part is, from the lower left of the drawing. */
interface Mark {
  readonly alongMm: number;
  readonly acrossMm: number;
  readonly longMm: number;
  readonly wideMm: number;
}

/** What is left over and kept, and hides with their flaws: a job sets them aside under Lay, and cuts from them first. */
@Component({
  selector: 'yl-remnants-panel',
  imports: [Words, Rows, LinkButton, Panel, PanelHead, Button, DialogFields, Tool, Choice, QuantityField, TextField, Tickbox, Icon, RemnantPicture],
  template: `
    <h2 id="remnants-title">Remnants and hides</h2>
    <div class="mb-6.5 gap-4.5 grid grid-cols-[minmax(0,1fr)_minmax(20rem,40%)] items-start max-tablet:grid-cols-[minmax(0,1fr)]">
      <div class="overflow-x-auto">
        @if (rows().length) {
          <table ylRows aria-labelledby="remnants-title">
            <thead>
              <tr>
                <th scope="col">of</th>
                <th scope="col" class="text-right!">thick</th>
                <th scope="col" class="text-right!">along × across</th>
                <th scope="col">left of</th>
                <th scope="col"><span class="sr-only">use it up</span></th>
              </tr>
            </thead>
            <tbody>
              @for (row of rows(); track row.id) {
                <tr class="[&.picked_td]:bg-linen" [class.picked]="row.id === remnant()?.id">
                  <td>
                    <button type="button" ylLink [attr.aria-pressed]="row.id === remnant()?.id" (click)="chosen.set(row.id)">{{ row.name }}</button>
                  </td>
                  <td class="text-right whitespace-nowrap">{{ row.thick }}</td>
                  <td class="text-right whitespace-nowrap">{{ row.size }}</td>
                  <td class="text-ink-soft">{{ row.note }}</td>
                  <td>
                    <button type="button" ylButton [attr.aria-label]="'Used up: ' + row.name + ', ' + row.size" (click)="useUp(row.id)">Used up</button>
                  </td>
                </tr>
              }
            </tbody>
          </table>
        } @else {
          <p ylWords>None kept. What is left of a job is put here from its Lay, in one press.</p>
        }
        <button type="button" ylButton class="mt-2" (click)="add()"><svg ylIcon="plus" size="20"></svg> Remnant or hide of cloth</button>
      </div>
      @if (remnant(); as remnant) {
        <section ylPanel class="sticky top-0 mb-0!" aria-labelledby="remnant-title">
          <div ylPanelHead>
            <h3 id="remnant-title">{{ name(remnant) }}</h3>
            <label ylButton="file">
              <svg ylIcon="folder-open" size="20"></svg> Outline
              <input #file type="file" class="sr-only" accept=".dxf,.svg,.csv,.json" (change)="open(remnant, file.files); file.value = ''" />
            </label>
          </div>
          <button type="button" ylButton class="mb-2" (click)="photo(remnant)"><svg ylIcon="image" size="20"></svg> Outline and flaws from a picture</button>
          <yl-remnant-picture [remnant]="remnant" />
          <div ylDialogFields class="grid-cols-[repeat(auto-fit,minmax(8.75rem,1fr))]!">
            @if (clothOf(remnant); as cloth) {
              <yl-choice label="Cloth" [options]="cloths()" [value]="cloth" (picked)="set(remnant, { cloth: $event })" />
            }
            @if (remnant.outline) {
              <button type="button" ylButton class="self-end" (click)="set(remnant, { outline: undefined })">Right-angled again</button>
            } @else {
              <yl-quantity
                label="Along"
                hint="the roll, or from tail to neck"
                [value]="remnant.lengthMm"
                [min]="30"
                [max]="20000"
                [units]="units()"
                [step]="step"
                (entered)="set(remnant, { lengthMm: $event })"
              />
              <yl-quantity
                label="Across"
                [value]="remnant.widthMm"
                [min]="30"
                [max]="20000"
                [units]="units()"
                [step]="step"
                (entered)="set(remnant, { widthMm: $event })"
              />
            }
            @if (patterned(remnant)) {
              <yl-tickbox class="self-end" [checked]="remnant.motif !== undefined" (checkedChange)="noteMotif(remnant, $event)"
                >a motif is found on it</yl-tickbox
              >
              @if (remnant.motif; as motif) {
                <yl-quantity
                  label="Its centre, along"
                  hint="from the left of the drawing"
                  [value]="motif.alongMm"
                  [min]="0"
                  [max]="20000"
                  [units]="units()"
                  [step]="step"
                  (entered)="set(remnant, { motif: { alongMm: $event, acrossMm: motif.acrossMm } })"
                />
                <yl-quantity
                  label="Its centre, across"
                  hint="from below"
                  [value]="motif.acrossMm"
                  [min]="0"
                  [max]="20000"
                  [units]="units()"
                  [step]="step"
                  (entered)="set(remnant, { motif: { alongMm: motif.alongMm, acrossMm: $event } })"
                />
              }
            }
            <yl-text label="Left of" [maxLength]="200" [value]="remnant.note ?? ''" (valueChange)="set(remnant, { note: $event })" />
          </div>
          <h4>Flaws, where nothing lies, and soft parts, where nothing that is seen lies</h4>
          @for (mark of marks(); track $index; let i = $index) {
            <p ylWords class="flex items-center gap-2">
              <span class="grow">{{ mark.words }}</span>
              <button type="button" ylTool="quiet" [attr.aria-label]="'Remove ' + mark.words" (click)="unmark(remnant, mark.kind, mark.at)">
                <svg ylIcon="trash-2" size="18"></svg>
              </button>
            </p>
          }
          <div ylDialogFields class="grid-cols-[repeat(auto-fit,minmax(6.875rem,1fr))]!">
            <yl-choice label="Mark a" [options]="markKinds" [value]="kind()" (picked)="kind.set($event)" />
            @for (field of markFields; track field.key) {
              <yl-quantity
                [label]="field.label"
                [value]="mark()[field.key]"
                [min]="field.min"
                [max]="20000"
                [units]="units()"
                [step]="step"
                (entered)="measure(field.key, $event)"
              />
            }
            <button type="button" ylButton class="self-end" (click)="markIt(remnant)">Mark it</button>
          </div>
        </section>
      }
    </div>
  `,
  host: { class: 'block [&_h2]:mb-2 [&_h2]:text-figure [&_h4]:mt-2.5 [&_h4]:mb-1 [&_h4]:text-row' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class RemnantsPanel {
  readonly #shop = toSignal(inject(ShopService).document$);
  readonly #edit = inject(ShopEditor);
  readonly #reader = inject(OutlineReader);
  readonly #dialogs = inject(Dialogs);
  protected readonly step = STEP;
  protected readonly markKinds = MARKS;
  protected readonly markFields = [
    { key: 'alongMm', label: 'From the left', min: 0 },
    { key: 'acrossMm', label: 'From below', min: 0 },
    { key: 'longMm', label: 'Along', min: 1 },
    { key: 'wideMm', label: 'Across', min: 1 },
  ] as const;
  protected readonly chosen = signal<string | null>(null);
  protected readonly kind = signal<MarkKind>('flaws');
  protected readonly mark = signal<Mark>({ alongMm: 0, acrossMm: 0, longMm: 50, wideMm: 50 });

  protected readonly units = computed(() => this.#shop()?.units ?? 'metric');
  protected readonly cloths = computed(() => (this.#shop()?.cloths ?? []).map(({ id, name }) => ({ value: id, name })));
  readonly #remnants = computed(() => this.#shop()?.remnants ?? []);
  protected readonly remnant = computed(() => this.#remnants().find(({ id }) => id === this.chosen()) ?? this.#remnants()[0] ?? null);
  protected readonly rows = computed(() =>
    this.#remnants().map((one) => ({
      id: one.id,
      name: this.name(one),
      thick: 'grade' in one ? this.#length(one.thicknessMm) : '—',
      size: this.#size(one.lengthMm, one.widthMm),
      note: one.note ?? '',
    })),
  );
  /** What is marked on the remnant in hand. */
  protected readonly marks = computed(() => {
    const remnant = this.remnant();
    return (['flaws', 'soft'] as const).flatMap((kind) =>
      (remnant?.[kind] ?? []).map((ring, at) => {
        const box = bounds(ring.map(([x, y]) => ({ x, y })));
        const size = this.#size(box.maxX - box.minX, box.maxY - box.minY);
        return {
          kind,
          at,
          words: `${kind === 'flaws' ? 'flaw' : 'soft part'} ${size}, ${this.#length(box.minX)} from the left, ${this.#length(box.minY)} from below`,
        };
      }),
    );
  });

  /** Its cloth has a pattern: pieces can be matched on it once a motif is found. */
  protected patterned(remnant: Remnant): boolean {
    return 'cloth' in remnant && this.#shop()?.cloths.find(({ id }) => id === remnant.cloth)?.pattern !== undefined;
  }

  /** A motif is looked for from the middle. */
  protected noteMotif(remnant: Remnant, found: boolean): void {
    this.set(remnant, { motif: found ? { alongMm: remnant.lengthMm / 2, acrossMm: remnant.widthMm / 2 } : undefined });
  }

  #length(mm: number): string {
    return formatLengthUnit(mm, this.units(), STEP);
  }

  #size(alongMm: number, acrossMm: number): string {
    return formatSize([alongMm, acrossMm], this.units(), STEP);
  }

  protected name(remnant: Remnant): string {
    const shop = this.#shop();
    const [list, id] = 'grade' in remnant ? [shop?.grades, remnant.grade] : [shop?.cloths, remnant.cloth];
    return list?.find((one) => one.id === id)?.name ?? id;
  }

  protected clothOf(remnant: Remnant): string | null {
    return 'cloth' in remnant ? remnant.cloth : null;
  }

  protected add(): void {
    const cloth = this.cloths()[0]?.value;
    if (cloth === undefined) return;
    const id = newId('remnant', new Set(this.#remnants().map((one) => one.id)));
    this.#edit.change(
      (shop) => ({ ...shop, remnants: [...shop.remnants, { id, cloth, lengthMm: 1000, widthMm: 500 }] }),
      () => this.chosen.set(id),
    );
  }

  /** Takes a changed remnant over, or says at once what is wrong with it. */
  protected set(
    remnant: Remnant,
    change: Partial<Record<'cloth' | 'note', string>> & Partial<Pick<Remnant, 'lengthMm' | 'widthMm' | 'outline' | 'motif' | MarkKind>>,
  ): void {
    const next = this.#edit.taken(remnantSchema, { ...remnant, ...change }, this.units());
    if (next) this.#edit.change((shop) => ({ ...shop, remnants: shop.remnants.map((one) => (one.id === next.id ? next : one)) }));
  }

  /** The outline of a file, laid with its box's corner at 0. */
  protected async open(remnant: Remnant, files: FileList | null): Promise<void> {
    const file = files?.[0];
    if (!file) return;
    const read = await this.#reader.read(file, this.units() === 'inch' ? 'inch' : 'mm');
    if (!read.ok) {
      this.#edit.refuse(read.problems.map((problem) => say(problem, { units: this.units(), step: STEP }).what).join(' '));
      return;
    }
    this.#shape(remnant, read.outline);
  }

  /** Gives a remnant an outline, laid with its box's corner at 0, and the flaws and soft parts that came with it. */
  #shape(remnant: Remnant, outline: Outline, marks: Partial<Pick<Remnant, MarkKind>> = {}): void {
    const points = flatten(outline);
    const { minX, minY, maxX, maxY } = bounds(points);
    const ring = points.map(({ x, y }): [number, number] => [x - minX, y - minY]);
    this.set(remnant, { outline: ring, lengthMm: maxX - minX, widthMm: maxY - minY, ...marks });
  }

  /** Outline, flaws and soft parts put round by hand in a picture of it. */
  protected async photo(remnant: Remnant): Promise<void> {
    const data: PhotoData = {
      title: 'A hide from a picture',
      about: 'Lay a sheet of known size flat on it, or it on one, all four corners in the picture; the camera may stand at a slant.',
      take: 'Take as its outline',
      inWords: { units: this.units(), step: STEP },
      parts: MARKS.map(({ value, name }) => ({ value, name })),
      taken: (outline, parts) => {
        const pairs = (ring: readonly Point[]): [number, number][] => ring.map(({ x, y }) => [x, y]);
        this.#shape(remnant, outline, Object.fromEntries(Object.entries(parts).flatMap(([kind, rings]) => (rings.length ? [[kind, rings.map(pairs)]] : []))));
      },
    };
    await this.#dialogs.open(async () => (await import('../template/photo-dialog')).PhotoDialog, { data, labelledBy: 'photo-title' });
  }

  protected measure(key: keyof Mark, mm: number): void {
    this.mark.update((mark) => ({ ...mark, [key]: mm }));
  }

  protected markIt(remnant: Remnant): void {
    const { alongMm: x, acrossMm: y, longMm, wideMm } = this.mark();
    const ring: [number, number][] = [
      [x, y],
      [x + longMm, y],
      [x + longMm, y + wideMm],
      [x, y + wideMm],
    ];
    this.set(remnant, { [this.kind()]: [...(remnant[this.kind()] ?? []), ring] });
  }

  protected unmark(remnant: Remnant, kind: MarkKind, at: number): void {
    this.set(remnant, { [kind]: (remnant[kind] ?? []).filter((_, i) => i !== at) });
  }

  protected useUp(id: string): void {
    this.#edit.change((shop) => ({ ...shop, remnants: shop.remnants.filter((one) => one.id !== id) }));
  }
}
