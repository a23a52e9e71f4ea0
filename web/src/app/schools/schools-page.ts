import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { Icon } from '../shared/icon';
import {
  pairMm,
  pairWith,
  schoolSchema,
  SCHOOL_NUMBERS,
  SEWN_TO,
  SHIPPED_SCHOOLS,
  WRAP_WAYS,
  type Pair,
  type SchoolNumber,
  type SchoolRow,
  type UnitSystem,
} from '@yardland/core';
import { WRAP_WORDS } from '../build/build-words';
import { Choice } from '../shared/controls/choice';
import { newId } from '../shared/saving/new-id';
import { PickList, type PickLine } from '../shared/controls/pick-list';
import { QuantityField } from '../shared/controls/quantity-field';
import { ShopEditor } from '../shared/saving/shop-editor';
import { ShopService } from '../shared/saving/shop.service';
import { TextField } from '../shared/controls/text-field';
import { Button, DialogFields, Panel, PanelHead, Room, RoomHead, RoomMain, Rows, Tool } from '../shared/ui/ui';
import { WriteButton } from '../log/write-button';
import { Tape } from '../shell/tape';
import { ThemeButton } from '../shell/theme-button';
import { WorkedExample } from './worked-example';

const SEWN_WORDS: Record<(typeof SEWN_TO)[number], string> = {
  finished: 'to the finished size',
  wrapped: 'over the wrap, lightly squeezed',
  core: 'to the core: its oversize is the seam',
};

/** What a school's rule for long cores starts as: the one that ships. */
const USUAL_LONG_CORE = SHIPPED_SCHOOLS.find(({ longCore }) => longCore)?.longCore ?? null;

/** Both sides of a pair, as columns. */
const SYSTEMS = [
  { system: 'metric', word: 'metric' },
  { system: 'inch', word: 'inches' },
] as const;

/** The allowance schools: the shipped ones to read and copy, the shop's own to edit, each with an example worked out as it is changed. */
@Component({
  selector: 'yl-schools-page',
  imports: [
    PickList,
    RoomMain,
    RoomHead,
    Button,
    Panel,
    PanelHead,
    Tool,
    DialogFields,
    Rows,
    Tape,
    ThemeButton,
    TextField,
    QuantityField,
    Choice,
    WorkedExample,
    Icon,
    WriteButton,
  ],
  templateUrl: './schools-page.html',
  hostDirectives: [Room],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SchoolsPage {
  readonly #shops = inject(ShopService);
  readonly #shop = toSignal(this.#shops.document$);
  readonly #edit = inject(ShopEditor);
  readonly #chosen = signal<string>(SHIPPED_SCHOOLS[0]?.id ?? '');

  protected readonly own = computed<readonly SchoolRow[]>(() => this.#shop()?.schools ?? []);
  protected readonly all = computed(() => [...SHIPPED_SCHOOLS, ...this.own()]);
  protected readonly lines = computed<readonly PickLine[]>(() => this.all().map(({ id, name, idea }) => ({ value: id, name, about: idea })));
  protected readonly school = computed(() => this.all().find(({ id }) => id === this.#chosen()) ?? this.all()[0] ?? null);
  protected readonly shipped = computed(() => SHIPPED_SCHOOLS.some(({ id }) => id === this.school()?.id));
  protected readonly units = linkedSignal(() => this.#shop()?.units ?? 'metric');
  protected readonly step = computed(() => this.#shop()?.step ?? { mm: 1, inch: 1 / 8 });
  protected readonly shop = computed(() => this.#shop() ?? null);

  protected readonly fine: Pair = { mm: 1, inch: 1 / 16 };
  protected readonly numbers = SCHOOL_NUMBERS;
  protected readonly systems = SYSTEMS;
  protected readonly pairMm = pairMm;
  protected readonly ways = WRAP_WAYS.map((value) => ({ value, name: WRAP_WORDS[value] }));
  protected readonly sewnTo = SEWN_TO.map((value) => ({ value, name: SEWN_WORDS[value] }));
  protected readonly yesNo = [
    { value: 'yes', name: 'yes' },
    { value: 'no', name: 'no' },
  ];

  protected choose(id: string): void {
    this.#chosen.set(id);
  }

  /** A copy of the school in hand, the shop's own from then on. */
  protected copy(): void {
    const school = this.school();
    if (!school) return;
    // Editions are the shipped rows' own: a copy goes its own way.
    const { edition: _shipped, ...from } = school;
    const name = `${from.name}, ours`;
    const id = newId(name, new Set(this.all().map((one) => one.id)));
    this.#edit.change(
      (shop) => ({ ...shop, schools: [...shop.schools, { ...from, id, name }] }),
      () => this.choose(id),
    );
  }

  protected remove(id: string): void {
    this.#edit.change(
      (shop) => ({ ...shop, schools: shop.schools.filter((one) => one.id !== id) }),
      () => this.choose(SHIPPED_SCHOOLS[0]?.id ?? ''),
    );
  }

  /** One half of a number's pair; the other stays as it is. */
  protected setNumber(number: SchoolNumber, system: UnitSystem, mm: number | null): void {
    const school = this.school();
    const value = school && number.get(school);
    if (!school || !value || mm === null) return;
    this.set(number.set(school, pairWith(value, system, mm)));
  }

  protected setSewn(what: 'plate' | 'boxing', to: string): void {
    const school = this.school();
    if (school) this.set({ ...school, [what]: { ...school[what], to } });
  }

  protected setWrap(change: Partial<SchoolRow['wrap']>): void {
    const school = this.school();
    if (school) this.set({ ...school, wrap: { ...school.wrap, ...change } });
  }

  protected setLong(value: string): void {
    const school = this.school();
    if (school) this.set({ ...school, longCore: value === 'yes' ? (school.longCore ?? USUAL_LONG_CORE) : null });
  }

  protected set(change: Partial<SchoolRow>): void {
    const school = this.school();
    if (!school || this.shipped()) return;
    const taken = this.#edit.taken(schoolSchema, { ...school, ...change }, this.units());
    if (taken) this.#edit.change((shop) => ({ ...shop, schools: shop.schools.map((one) => (one.id === school.id ? taken : one)) }));
  }
}
