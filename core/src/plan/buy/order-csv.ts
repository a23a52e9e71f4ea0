import Papa from 'papaparse';
import type { Plan } from '../plan';
import { orderSheet, type Orderable } from './order-sheet';
import { priceCaution } from './prices';

const HEAD = [
  'how',
  'material',
  'what',
  'count',
  'width_mm',
  'length_mm',
  'thickness_mm',
  'density_kg_m3',
  'hardness_25_n',
  'by_outline',
  'lot',
  'cost',
  'remark',
] as const;
type Cell = string | number | null;

const rounded = (value: number | null): number | null => (value === null ? null : Math.round(value * 100) / 100);

/** The order of a job's foam and wadding as CSV (RFC 4180), a row for each; millimetres. Whole sheets and cores cut to size are two ways to order the same foam. `today`: YYYY-MM-DD. */
export function orderCsv(plan: Plan, today: string): string {
  const { sheets, cuts, wadding } = orderSheet(plan);
  const money = ({ cost, pricedOn }: Orderable): Cell[] => [rounded(cost?.value ?? null), cost ? priceCaution(pricedOn, today) : ''];
  const rows: Cell[][] = [
    ...sheets.map((row): Cell[] => [
      'sheets',
      row.name,
      '',
      row.sheets,
      row.widthMm,
      row.lengthMm,
      row.thicknessMm,
      row.densityKgM3,
      row.hardness25N,
      '',
      row.lot ?? '',
      ...money(row),
    ]),
    ...cuts.map((row): Cell[] => [
      'cut to size',
      row.name,
      row.what,
      row.count,
      rounded(row.widthMm),
      rounded(row.depthMm),
      rounded(row.thicknessMm),
      row.densityKgM3,
      row.hardness25N,
      row.byOutline ? 'yes' : 'no',
      '',
      ...money(row),
    ]),
    ...wadding.map((row): Cell[] => ['off the roll', row.name, '', 1, row.rollWidthMm, rounded(row.lengthMm), row.loftMm, null, null, '', '', ...money(row)]),
  ];
  return Papa.unparse({ fields: [...HEAD], data: rows }, { newline: '\r\n', escapeFormulae: true });
}
