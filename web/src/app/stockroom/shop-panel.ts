import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { COOL_EDGES, RAW_EDGES, CONSTRUCTIONS, formatLengthUnit, formatNumber, shopSchema, withUsual, type ShopDocument, type RawEdges } from '@yardland/core';
import { Choice, type Option } from '../shared/controls/choice';
import { Icon } from '../shared/icon';
import { ShopEditor } from '../shared/saving/shop-editor';
import { ShopService } from '../shared/saving/shop.service';
import { TextField } from '../shared/controls/text-field';
import { Button, Tool, Words } from '../shared/ui/ui';
import { options, WAYS } from '../shared/words/way-words';

/** What is done to raw edges: asked of the shop alone. */
const EDGE_WORDS: Record<RawEdges, string> = {
  left: 'left as cut',
  pinked: 'pinked',
  overlocked: 'overlocked',
  'top-stitched': 'covered by top stitch',
  sealed: 'sealed with a hot knife',
};
const SHOP_WAYS = { ...WAYS, rawEdges: options(COOL_EDGES, EDGE_WORDS), rawEdgesSynthetic: options(RAW_EDGES, EDGE_WORDS) } as const;
type ShopWay = keyof typeof SHOP_WAYS;

const LABELS: readonly { readonly way: ShopWay; readonly label: string }[] = [
  { way: 'machine', label: 'Machine' },
  { way: 'fill', label: 'Soft cores go in' },
  { way: 'wrapFix', label: 'Wraps are held by' },
  { way: 'rawEdges', label: 'Raw edges, cotton and wool' },
  { way: 'rawEdgesSynthetic', label: 'Raw edges, synthetics' },
];

/** How the shop works where there are several ways, how it usually makes its covers, and who works in it: by name only, so that a tick at the bench says whose it is. */
@Component({
  selector: 'yl-shop-panel',
  imports: [Button, Choice, Icon, TextField, Tool, Words],
  template: `
    <h2>How the shop works</h2>
    <p ylWords>A cushion may be made another way: at its Build and its Bench.</p>
    <div class="mt-1.5 mb-3 grid max-w-240 grid-cols-3 gap-3 max-tablet:grid-cols-1">
      @for (one of ways(); track one.way) {
        <yl-choice [label]="one.label" [options]="one.options" [value]="one.value" (picked)="setWay(one.way, $event)" />
      }
    </div>
    @if (usual().length) {
      <h3 id="usual-title" class="text-body font-semibold">It usually makes them so</h3>
      <ul aria-labelledby="usual-title" class="mt-1.5 mb-6.5 grid max-w-240 gap-2">
        @for (one of usual(); track one.kind) {
          <li class="flex items-center justify-between gap-3 rounded-lg bg-linen pl-3.5 shadow-card">
            <span
              ><b>{{ one.name }}</b> <span class="text-ink-soft">{{ one.says }}</span></span
            >
            <button type="button" ylTool="quiet" [attr.aria-label]="'Make ' + one.name + ' as shipped'" (click)="dropUsual(one.kind)">
              <svg ylIcon="x" size="18"></svg>
            </button>
          </li>
        }
      </ul>
    }
    <h2 id="people-title">Who works here</h2>
    <p ylWords>Names alone, no passwords: at the bench each says which of them they are, and a tick says whose it is.</p>
    @if (people().length) {
      <ul aria-labelledby="people-title" class="mt-1.5 mb-2.5 flex flex-wrap gap-2">
        @for (name of people(); track name) {
          <li class="flex items-center rounded-full bg-linen pl-3.5 shadow-card">
            {{ name }}
            <button type="button" ylTool="quiet" [attr.aria-label]="'Remove ' + name" (click)="remove(name)"><svg ylIcon="x" size="18"></svg></button>
          </li>
        }
      </ul>
    }
    <div class="mb-6.5 flex max-w-110 items-end gap-3">
      <yl-text #named class="flex-1" label="Name" value="" [maxLength]="40" />
      <button type="button" ylButton (click)="add(named)"><svg ylIcon="plus" size="20"></svg> Add them</button>
    </div>
  `,
  host: { class: 'block [&>h2]:mt-1.5 [&>h2]:mb-2 [&>h2]:text-figure' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ShopPanel {
  readonly #shop = toSignal(inject(ShopService).document$);
  readonly #edit = inject(ShopEditor);
  protected readonly people = computed(() => this.#shop()?.people ?? []);
  protected readonly ways = computed(() =>
    LABELS.map(({ way, label }) => ({
      way,
      label,
      options: SHOP_WAYS[way] as readonly Option[],
      value: this.#shop()?.[way] ?? SHOP_WAYS[way][0]?.value ?? '',
    })),
  );

  /** Constructions of which the shop has said how it usually makes them. */
  protected readonly usual = computed(() => {
    const shop = this.#shop();
    if (!shop) return [];
    const inWords = { units: shop.units, step: shop.step };
    return CONSTRUCTIONS.filter(({ kind }) => shop.usual?.[kind]).map(({ kind, name, fields }) => {
      const kept = shop.usual?.[kind] ?? {};
      const says = fields.flatMap((field) => {
        const value = kept[field.key];
        if (value === undefined) return [];
        const words =
          field.kind === 'choice'
            ? (field.options.find((option) => option.value === value)?.name ?? String(value))
            : field.kind === 'length'
              ? formatLengthUnit(Number(value), inWords.units, inWords.step)
              : formatNumber(Number(value));
        return [`${field.label.toLowerCase()} ${words}`];
      });
      return { kind, name, says: says.join(', ') };
    });
  });

  /** The first of a list of ways is the usual one, which is not kept. */
  protected setWay(way: ShopWay, value: string): void {
    const wanted = value === SHOP_WAYS[way][0]?.value ? {} : { [way]: value };
    this.#edit.change(({ [way]: _before, ...shop }) => ({ ...shop, ...wanted }) as ShopDocument);
  }

  protected dropUsual(kind: string): void {
    this.#edit.change((shop) => withUsual(shop, kind, null));
  }

  protected add(named: TextField): void {
    const name = named.value().trim();
    if (!name) {
      this.#edit.refuse('Write a name first.');
      return;
    }
    if (this.people().includes(name)) {
      this.#edit.refuse(`${name} is there already.`);
      return;
    }
    const people = this.#edit.taken(shopSchema.shape.people, [...this.people(), name], 'metric');
    if (!people) return;
    this.#edit.change((shop) => ({ ...shop, people }));
    named.clear();
  }

  /** What they have ticked keeps their name. */
  protected remove(name: string): void {
    this.#edit.change(({ people = [], ...shop }) => {
      const left = people.filter((one) => one !== name);
      return left.length ? { ...shop, people: left } : shop;
    });
  }
}
