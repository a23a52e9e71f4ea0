import { ChangeDetectionStrategy, Component, DestroyRef, effect, type ElementRef, inject, input, viewChild } from '@angular/core';
import type { Annotations, Data, Layout } from 'plotly.js';
import { fetchedPlotly } from './fetched-plotly';
import { resolvedColour } from './chart-colours';
import { Words } from './ui/ui';

export interface ChartLine {
  readonly name: string;
  readonly points: readonly { readonly x: number; readonly y: number }[];
  /** Named places on the line. */
  readonly marks: readonly { readonly name: string; readonly x: number; readonly y: number }[];
}

const TOKENS = ['--color-chalk', '--color-madder', '--color-sage-line', '--color-straw-line'] as const;
const DASHES = ['solid', 'dash', 'dot', 'dashdot'] as const;

/** As high as the style of the plot has it, and how far names stand apart, px. */
const PLOT_PX = 232;
const NAME_PX = 14;
const MARGIN = { l: 44, r: 78, t: 8, b: 40 };

/** Lines over each other, told apart by colour and by dashes, with named places on them. Plotly is fetched when the first chart is shown. */
@Component({
  selector: 'yl-line-chart',
  imports: [Words],
  template: `
    <figure>
      <div #plot class="w-full h-58" aria-hidden="true"></div>
      <figcaption class="sr-only">{{ words() }}</figcaption>
      @if (failed()) {
        <p ylWords>The chart could not be fetched.</p>
      }
    </figure>
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LineChart {
  readonly lines = input.required<readonly ChartLine[]>();
  readonly xTitle = input.required<string>();
  readonly yTitle = input.required<string>();
  /** What the chart shows, in words. */
  readonly words = input.required<string>();
  private readonly plot = viewChild.required<ElementRef<HTMLElement>>('plot');
  readonly #fetched = fetchedPlotly();
  readonly #plotly = this.#fetched.plotly;
  protected readonly failed = this.#fetched.failed;

  constructor() {
    effect(() => {
      const plotly = this.#plotly();
      if (plotly) void plotly.react(this.plot().nativeElement, this.#data(), this.#layout(), { displayModeBar: false, responsive: true, staticPlot: true });
    });
    inject(DestroyRef).onDestroy(() => this.#plotly()?.purge(this.plot().nativeElement));
  }

  #resolved(token: string): string {
    return resolvedColour(this.plot().nativeElement, token);
  }

  #data(): Data[] {
    return this.lines().flatMap((line, i): Data[] => {
      const color = this.#resolved(TOKENS[i % TOKENS.length] ?? '--color-chalk');
      return [
        {
          type: 'scatter',
          mode: 'lines',
          name: line.name,
          x: line.points.map((p) => p.x),
          y: line.points.map((p) => p.y),
          line: { color, width: i === 0 ? 3 : 2, dash: DASHES[i % DASHES.length] ?? 'solid' },
        },
        {
          type: 'scatter',
          mode: 'markers',
          cliponaxis: false,
          showlegend: false,
          x: line.marks.map((p) => p.x),
          y: line.marks.map((p) => p.y),
          marker: { color, size: 8 },
        },
      ];
    });
  }

  /** Names of the places on the first line, to the right of it and below, where there is nothing, moved apart where they would lie on each other. */
  #names(): Partial<Annotations>[] {
    const [first] = this.lines();
    const most = Math.max(...this.lines().flatMap(({ points }) => points.map(({ y }) => y)), 1e-9);
    let under = Infinity;
    return [...(first?.marks ?? [])]
      .sort((a, b) => b.y - a.y)
      .map(({ name, x, y }): Partial<Annotations> => {
        const own = (y / most) * (PLOT_PX - MARGIN.t - MARGIN.b);
        const at = Math.min(own, under - NAME_PX);
        under = at;
        return {
          x,
          y,
          ax: 26,
          ay: own - at,
          text: name,
          xanchor: 'left',
          showarrow: true,
          arrowhead: 0,
          arrowwidth: 1,
          arrowcolor: this.#resolved('--color-ink-soft'),
        };
      });
  }

  #farthest(): number {
    return Math.max(...this.lines().flatMap(({ points, marks }) => [...points, ...marks].map(({ x }) => x)), 1e-9);
  }

  #layout(): Partial<Layout> {
    const [ink, line] = [this.#resolved('--color-ink'), this.#resolved('--color-line')];
    const axis = { color: ink, gridcolor: line, zeroline: false, rangemode: 'tozero' as const, fixedrange: true };
    return {
      autosize: true,
      margin: MARGIN,
      annotations: this.#names(),
      paper_bgcolor: 'transparent',
      plot_bgcolor: 'transparent',
      font: { family: 'Atkinson Hyperlegible Next Variable, sans-serif', size: 12.5, color: ink },
      // Names beside the line stand in the margin: left to itself, the axis grows to take them in and squeezes the line. Few ticks, so that theirs stay level.
      xaxis: { ...axis, title: { text: this.xTitle() }, range: [0, 1.02 * this.#farthest()], nticks: 5, tickangle: 0 },
      yaxis: { ...axis, title: { text: this.yTitle() } },
      legend: { orientation: 'h', y: 1.02, yanchor: 'bottom', x: 0 },
      showlegend: this.lines().length > 1,
    };
  }
}
