import { afterNextRender, ChangeDetectionStrategy, Component, DestroyRef, effect, type ElementRef, inject, input, signal, viewChild } from '@angular/core';
import type { Data, Layout } from 'plotly.js';
import type * as Plotly from 'plotly.js-basic-dist-min';
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
  readonly #plotly = signal<typeof Plotly | null>(null);
  protected readonly failed = signal(false);

  constructor() {
    afterNextRender(() => {
      import('plotly.js-basic-dist-min').then(
        (module) => this.#plotly.set((module as unknown as { default?: typeof Plotly }).default ?? module),
        () => this.failed.set(true),
      );
    });
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
        // Named to both sides by turns, so that near sitters do not write over each other.
        ...(['middle right', 'middle left'] as const).map((textposition, side): Data => {
          const marks = line.marks.filter((_, n) => n % 2 === side);
          return {
            type: 'scatter',
            mode: 'text+markers',
            // The last sitter's name may stand out over the frame.
            cliponaxis: false,
            showlegend: false,
            x: marks.map((p) => p.x),
            y: marks.map((p) => p.y),
            text: marks.map((p) => (i === 0 ? ` ${p.name} ` : '')),
            textposition,
            marker: { color, size: 8 },
          };
        }),
      ];
    });
  }

  #layout(): Partial<Layout> {
    const [ink, line] = [this.#resolved('--color-ink'), this.#resolved('--color-line')];
    const axis = { color: ink, gridcolor: line, zeroline: false, rangemode: 'tozero' as const, fixedrange: true };
    return {
      autosize: true,
      margin: { l: 44, r: 34, t: 8, b: 40 },
      paper_bgcolor: 'transparent',
      plot_bgcolor: 'transparent',
      font: { family: 'Atkinson Hyperlegible Next Variable, sans-serif', size: 12.5, color: ink },
      xaxis: { ...axis, title: { text: this.xTitle() } },
      yaxis: { ...axis, title: { text: this.yTitle() } },
      legend: { orientation: 'h', y: 1.02, yanchor: 'bottom', x: 0 },
      showlegend: this.lines().length > 1,
    };
  }
}
