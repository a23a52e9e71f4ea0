import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import {
  ASSUMPTIONS,
  constantWords,
  CONSTRUCTIONS,
  formatExact,
  formatNumber,
  OWN_CONSTANTS,
  ownAssumptions,
  pairMm,
  parseNumber,
  type OwnAssumption,
  type ShopDocument,
} from '@yardland/core';
import { ShopEditor } from '../shared/saving/shop-editor';
import { ShopService } from '../shared/saving/shop.service';
import { InputBox, Rows, Words } from '../shared/ui/ui';

interface Group {
  readonly name: string;
  readonly constants: readonly OwnAssumption[];
}

/** What the constants of `OWN_CONSTANTS` belong to, in words. */
function groupName(of: string): string {
  return CONSTRUCTIONS.find(({ kind }) => kind === of)?.name ?? 'Ties, handles, buttons, drains and grips';
}

const GROUPS: readonly Group[] = [
  { name: 'Any cushion', constants: Object.values(ownAssumptions(ASSUMPTIONS)) },
  ...Object.entries(OWN_CONSTANTS).map(([of, constants]) => ({ name: groupName(of), constants: Object.values<OwnAssumption>(constants) })),
];

/** The constants that the trade assumes, by what they belong to: each with its meaning, its source and the shop's own value. */
@Component({
  selector: 'yl-constants-panel',
  imports: [InputBox, Rows, Words],
  template: `
    <h2 id="constants-title">What the shop assumes</h2>
    <p ylWords>
      Numbers that the trade assumes rather than derives. A value of your own takes the place of the shipped one, everywhere; empty goes back to it.
    </p>
    <table ylRows aria-labelledby="constants-title">
      <thead>
        <tr>
          <th scope="col">what it is</th>
          <th scope="col">where it comes from</th>
          <th scope="col" class="text-right!">shipped</th>
          <th scope="col">the shop’s own</th>
        </tr>
      </thead>
      @for (group of groups(); track group.name) {
        <tbody>
          <tr>
            <th scope="rowgroup" colspan="4" class="pt-5! text-ink! font-semibold!">{{ group.name }}</th>
          </tr>
          @for (row of group.rows; track row.key) {
            <tr>
              <td>{{ row.meaning }}</td>
              <td class="text-ink-soft">{{ row.source }}</td>
              <td class="text-right whitespace-nowrap">{{ row.shipped }}</td>
              <td>
                <span class="gap-2 flex items-center [&_input]:w-26 [&_input]:min-h-9.5">
                  <input
                    #own
                    ylInput
                    inputmode="decimal"
                    [attr.aria-label]="'Own value: ' + row.meaning"
                    [value]="row.own ?? ''"
                    (change)="calibrate(row.key, own.value)"
                  />
                  <small>{{ row.unit }}</small>
                </span>
              </td>
            </tr>
          }
        </tbody>
      }
    </table>
  `,
  host: { class: 'contents' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ConstantsPanel {
  readonly #shop = toSignal(inject(ShopService).document$);
  readonly #edit = inject(ShopEditor);

  protected readonly groups = computed(() => {
    const shop = this.#shop();
    return shop ? GROUPS.map(({ name, constants }) => ({ name, rows: constants.map((one) => rowOf(one, shop)) })) : [];
  });

  /** Sets the shop's own value of a constant; empty goes back to the shipped one. */
  protected calibrate(key: string, text: string): void {
    const value = parseNumber(text);
    if (text.trim() && !(value !== null && value >= 0)) {
      this.#edit.refuse(`“${text}” is not a number from zero up.`);
      return;
    }
    this.#edit.change((shop) => {
      const { [key]: _before, ...calibration } = shop.calibration;
      return { ...shop, calibration: value === null ? calibration : { ...calibration, [key]: value } };
    });
  }
}

function rowOf({ key, value, unit }: OwnAssumption, { units, calibration }: ShopDocument) {
  const length = unit === 'length';
  const shipped = length
    ? `${formatExact(pairMm(value, units), units)} ${units === 'inch' ? 'in' : 'mm'}`
    : `${formatNumber(value.mm, 4)}${unit === 'ratio' ? '' : ` ${unit}`}`;
  return { key, shipped, ...constantWords(key), own: calibration[key] ?? null, unit: length ? 'mm' : unit === 'ratio' ? '' : unit };
}
