import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, input, output, signal } from '@angular/core';
import { Icon } from '../shared/icon';
import { formatNumber, type DeviceId, type Reading } from '@yardland/core';
import type { Subscription } from 'rxjs';
import { Button, Chip, Tool, Words } from '../shared/ui/ui';
import { SamplesApi } from './samples-api';

const TRACE = { width: 260, height: 64 };

/** Reads a device live: its trace, the value now, stop, and at the end the value to take over. */
@Component({
  selector: 'yl-device-reader',
  imports: [Button, Tool, Chip, Words, Icon],
  template: `
    <div class="flex flex-wrap items-center gap-y-2 gap-x-2.5 [&_small]:text-label [&_small]:font-normal [&_output]:text-sheet [&_output]:font-[650]">
      @if (running()) {
        <button type="button" ylButton (click)="stop()"><svg ylIcon="square" size="18"></svg> Stop</button>
      } @else {
        <button type="button" ylButton [disabled]="!query()" (click)="start(false)"><svg ylIcon="waves" size="20"></svg> Read from the {{ name() }}</button>
        <button
          type="button"
          ylTool="quiet"
          [disabled]="!query()"
          aria-label="Read, and be unplugged half-way"
          title="Read, and be unplugged half-way"
          (click)="start(true)"
        >
          <svg ylIcon="unplug" size="18"></svg>
        </button>
      }
      @if (simulated()) {
        <span ylChip class="simulated" data-part="chip">simulated</span>
      }
      @if (last(); as reading) {
        <svg
          class="border-b border-l border-b-line-strong border-l-line-strong [&_path]:fill-none [&_path]:stroke-chalk [&_path]:stroke-2"
          [attr.width]="trace.width"
          [attr.height]="trace.height"
          aria-hidden="true"
        >
          <path [attr.d]="path()" />
        </svg>
        <output
          >{{ shown() }} <small>{{ unit() }}, after {{ seconds() }} s</small></output
        >
      }
    </div>
    @if (message(); as text) {
      <p ylWords="bad" role="alert">{{ text }}</p>
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class DeviceReader {
  readonly device = input.required<DeviceId>();
  readonly name = input.required<string>();
  readonly unit = input.required<string>();
  readonly decimals = input(1);
  readonly simulated = input.required<boolean>();
  /** What the device needs to know; null while that is not there. */
  readonly query = input.required<Record<string, string | number> | null>();
  /** The last reading of a measurement that went to its end. */
  readonly taken = output<number>();

  readonly #api = inject(SamplesApi);
  readonly #readings = signal<readonly Reading[]>([]);
  #subscription: Subscription | null = null;
  protected readonly trace = TRACE;
  protected readonly running = signal(false);
  protected readonly message = signal<string | null>(null);
  protected readonly last = computed(() => this.#readings().at(-1) ?? null);
  protected readonly shown = computed(() => formatNumber(this.last()?.value ?? 0, this.decimals()));
  protected readonly seconds = computed(() => Math.round(this.last()?.second ?? 0));

  protected readonly path = computed(() => {
    const readings = this.#readings();
    const values = readings.map((one) => one.value);
    const [low, high] = [Math.min(...values), Math.max(...values)];
    const end = Math.max(1, readings.at(-1)?.second ?? 1);
    const at = ({ second, value }: Reading): string =>
      `${((second / end) * TRACE.width).toFixed(1)} ${(TRACE.height - 4 - ((value - low) / (high - low || 1)) * (TRACE.height - 8)).toFixed(1)}`;
    return readings.length ? `M${readings.map(at).join('L')}` : '';
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.#subscription?.unsubscribe());
  }

  protected start(unplug: boolean): void {
    const query = this.query();
    if (!query) return;
    this.#readings.set([]);
    this.message.set(null);
    this.running.set(true);
    this.#subscription = this.#api.readings(this.device(), { ...query, ...(unplug ? { unplug: 'yes' } : {}) }).subscribe({
      next: (reading) => this.#readings.update((all) => [...all, reading]),
      error: (error: unknown) => {
        this.running.set(false);
        this.message.set(error instanceof Error ? error.message : String(error));
      },
      complete: () => {
        this.running.set(false);
        const last = this.last();
        if (last) this.taken.emit(last.value);
      },
    });
  }

  protected stop(): void {
    this.#subscription?.unsubscribe();
    this.running.set(false);
  }
}
