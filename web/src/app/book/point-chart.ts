import { ChangeDetectionStrategy, Component, DestroyRef, effect, type ElementRef, inject, input, output, viewChild } from '@angular/core';
import type { Data, Layout, PlotlyHTMLElement } from 'plotly.js';
import { fetchedPlotly } from '../shared/fetched-plotly';
import { resolvedColour } from '../shared/chart-colours';
import { Words } from '../shared/ui/ui';

/** Points of one group, told apart by colour and by shape. */
export interface PointGroupShown {
  readonly name: string;
  readonly points: readonly { readonly x: number; readonly y: number; readonly says: string; readonly key: number }[];
}

const TOKENS = ['--color-chalk', '--color-madder', '--color-sage-line', '--color-straw-line', '--color-ink', '--color-cloth'] as const;
const SHAPES = ['circle', 'diamond', 'square', 'triangle-up', 'cross', 'x'] as const;

/** Measured over promised, with the line on which both are the same. */
@Component({
  selector: 'yl-point-chart',
  imports: [Words],
  template: `
    <figure>
      <div #plot class="h-105 w-full max-phone:h-80" aria-hidden="true"></div>
      <figcaption class="sr-only">{{ words() }}</figcaption>
      @if (failed()) {
        <p ylWords>The chart could not be fetched.</p>
      }
    </figure>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PointChart {
  readonly groups = input.required<readonly PointGroupShown[]>();
  readonly unit = input.required<string>();
  readonly words = input.required<string>();
  /** A point was pressed. */
  readonly picked = output<number>();
  private readonly plot = viewChild.required<ElementRef<HTMLElement>>('plot');
  readonly #fetched = fetchedPlotly();
  readonly #plotly = this.#fetched.plotly;
  protected readonly failed = this.#fetched.failed;

  constructor() {
    effect(() => {
      const [plotly, data] = [this.#plotly(), this.#data()];
      if (!plotly) return;
      const host = this.plot().nativeElement;
      void plotly.react(host, data, this.#layout(), { displayModeBar: false, responsive: true }).then(() => {
        const shown = host as unknown as PlotlyHTMLElement;
        shown.removeAllListeners('plotly_click');
        shown.on('plotly_click', ({ points: [point] }) => {
          const key: unknown = point?.customdata;
          if (typeof key === 'number') this.picked.emit(key);
        });
      });
    });
    inject(DestroyRef).onDestroy(() => this.#plotly()?.purge(this.plot().nativeElement));
  }

  #ends(): readonly [number, number] {
    const all = this.groups().flatMap(({ points }) => points.flatMap(({ x, y }) => [x, y]));
    const [least, most] = [Math.min(...all), Math.max(...all)];
    const room = Math.max(2, (most - least) * 0.06);
    return all.length ? [least - room, most + room] : [0, 1];
  }

  #data(): Data[] {
    const host = this.plot().nativeElement;
    const ends = this.#ends();
    const same: Data = {
      type: 'scatter',
      mode: 'lines',
      name: 'as promised',
      x: [...ends],
      y: [...ends],
      hoverinfo: 'skip',
      line: { color: resolvedColour(host, '--color-ink-soft'), width: 1.5, dash: 'dash' },
    };
    return [
      same,
      ...this.groups().map(({ name, points }, i): Data => {
        const colour = resolvedColour(host, TOKENS[i % TOKENS.length] ?? TOKENS[0]);
        return {
          type: 'scatter',
          mode: 'markers',
          name,
          x: points.map(({ x }) => x),
          y: points.map(({ y }) => y),
          text: points.map(({ says }) => says),
          customdata: points.map(({ key }) => key),
          hovertemplate: '%{text}<extra></extra>',
          marker: { color: colour, size: 10, symbol: SHAPES[i % SHAPES.length] ?? 'circle', opacity: 0.85 },
        };
      }),
    ];
  }

  #layout(): Partial<Layout> {
    const host = this.plot().nativeElement;
    const [ink, line] = [resolvedColour(host, '--color-ink'), resolvedColour(host, '--color-line')];
    const ends = [...this.#ends()];
    const axis = { color: ink, gridcolor: line, zeroline: false, fixedrange: true, range: ends };
    return {
      autosize: true,
      margin: { l: 54, r: 14, t: 8, b: 46 },
      paper_bgcolor: 'transparent',
      plot_bgcolor: 'transparent',
      font: { family: 'Atkinson Hyperlegible Next Variable, sans-serif', size: 13, color: ink },
      hovermode: 'closest',
      xaxis: { ...axis, title: { text: `promised, ${this.unit()}` } },
      yaxis: { ...axis, title: { text: `measured, ${this.unit()}` } },
      legend: { orientation: 'h', y: 1.02, yanchor: 'bottom', x: 0 },
      hoverlabel: { bgcolor: resolvedColour(host, '--color-linen'), font: { color: ink } },
    };
  }
}
