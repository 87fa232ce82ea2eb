import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  type ElementRef,
  inject,
  input,
  output,
  viewChild,
} from '@angular/core';
import { formatAmount, formatTenths, minorDigits, type Minor } from '@iunctus/core';
import type ApexCharts from 'apexcharts';
import type { ApexOptions } from 'apexcharts';
import { ThemeService } from '../theme/theme.service';

/** Amounts of one thing in a picture, or what else is counted. */
export interface PictureSeries {
  readonly name: string;
  /** A colour of the theme that means something; by its order where none is said. */
  readonly colour?: string;
  readonly amounts: readonly Minor[];
}

/** What is drawn: money in minor units, tenths of a per cent, or a count. */
export type PictureUnit = 'money' | 'tenths' | 'count';

/** A point of a picture that was chosen: which series, and which of its amounts. */
export interface PicturePoint {
  readonly series: number;
  readonly at: number;
}

/** A point as the library tells of it. */
interface DrawnPoint {
  readonly seriesIndex?: number;
  readonly dataPointIndex?: number;
}

/** How amounts are drawn: beside one another, on one another, as lines, lying. */
export type PictureSort = 'columns' | 'stacked' | 'lines' | 'bars';

/** The colours of series, in their order; each stands apart from its neighbours in light and dark. */
const COLOURS = [
  '--amount-full',
  '--amber',
  '--asset',
  '--expense',
  '--revenue',
  '--liability',
  '--ink-3',
];

/** “Jan ’26” with the year below, where the year begins and at the start. */
const inTwoLines = (label: string, at: number): string[] => {
  const [month = '', year = ''] = label.split(' ');
  return [month, at === 0 || month === 'Jan' ? year : ''];
};

const HEIGHT = 220;
const LYING_ROW = 44;
/** Room for the years below the months, in pixels. */
const YEARS = 14;
/** A whole in per cent, and over how much of it an axis reaches at least. */
const WHOLE = 100;
const STEEPEST = 10;

/** Amounts as a picture; a point opens what it is made of. Its figures stand beside it for those who do not see it. */
@Component({
  selector: 'iu-picture',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `<div #place></div>`,
  styles: `
    :host {
      display: block;
      min-width: 0;
    }
  `,
  host: { role: 'img', '[attr.aria-label]': 'label()' },
})
export class PictureComponent {
  private readonly theme = inject(ThemeService);
  private readonly place = viewChild.required<ElementRef<HTMLElement>>('place');
  readonly label = input.required<string>();
  readonly sort = input.required<PictureSort>();
  readonly series = input.required<readonly PictureSeries[]>();
  readonly labels = input.required<readonly string[]>();
  /** Of money. */
  readonly currency = input('USD');
  readonly unit = input<PictureUnit>('money');
  readonly chosen = output<PicturePoint>();
  private chart: ApexCharts | null = null;

  private readonly options = computed<ApexOptions>(() => {
    const sort = this.sort();
    const dark = this.theme.dark();
    const lying = sort === 'bars';
    const height = lying ? 60 + LYING_ROW * Math.max(this.labels().length, 2) : HEIGHT;
    return {
      chart: {
        type: sort === 'lines' ? 'line' : 'bar',
        stacked: sort === 'stacked',
        height,
        animations: { enabled: false },
        toolbar: { show: false },
        parentHeightOffset: 0,
        zoom: { enabled: false },
        background: 'transparent',
        fontFamily: 'inherit',
        foreColor: this.colour('--ink-2'),
        events: {
          dataPointSelection: (_event, _chart, point: DrawnPoint) => this.choose(point),
          markerClick: (_event, _chart, point: DrawnPoint) => this.choose(point),
        },
      },
      theme: { mode: dark ? 'dark' : 'light' },
      colors: COLOURS.map((name, at) => this.colour(this.series()[at]?.colour ?? name)),
      series: this.series().map(({ name, amounts }) => ({
        name,
        data: amounts.map((amount) => this.major(amount)),
      })),
      xaxis: {
        categories: lying ? [...this.labels()] : this.labels().map(inTwoLines),
        axisTicks: { show: false },
        labels: lying
          ? { formatter: (value) => this.short(Number(value)) }
          : { rotate: 0, hideOverlappingLabels: false, style: { fontSize: '11px' } },
      },
      yaxis: lying ? {} : { ...this.reach(), labels: { formatter: (value) => this.short(value) } },
      plotOptions: { bar: { horizontal: lying, columnWidth: '62%', barHeight: '66%' } },
      stroke: sort === 'lines' ? { width: 2.5, curve: 'straight' } : { width: 0 },
      markers: { size: sort === 'lines' ? 4 : 0 },
      dataLabels: { enabled: false },
      grid: {
        borderColor: this.colour('--rule-soft'),
        // Without a legend below, years below the months would be cut off.
        padding: { bottom: this.series().length > 1 ? 0 : YEARS },
      },
      legend: { position: 'bottom', show: this.series().length > 1 },
      tooltip: { y: { formatter: (value) => this.long(value) } },
    };
  });

  constructor() {
    inject(DestroyRef).onDestroy(() => this.chart?.destroy());
    afterNextRender(() => void this.draw());
    effect(() => {
      const options = this.options();
      void this.chart?.updateOptions(options, true, false);
    });
  }

  private async draw(): Promise<void> {
    const { default: Chart } = await import('apexcharts');
    const { nativeElement } = this.place();
    // Whoever went on meanwhile sees no picture, and the library cannot draw where nothing is.
    if (!nativeElement.isConnected) return;
    this.chart = new Chart(nativeElement, this.options());
    await this.chart.render();
  }

  private choose({ seriesIndex: series = -1, dataPointIndex: at = -1 }: DrawnPoint): void {
    if (series >= 0 && at >= 0) this.chosen.emit({ series, at });
  }

  private colour(name: string): string {
    return getComputedStyle(document.documentElement).getPropertyValue(name).trim();
  }

  private readonly digits = computed(
    () => ({ money: minorDigits(this.currency()), tenths: 1, count: 0 })[this.unit()],
  );

  /** How far the axis reaches: parts of a whole never look steeper than ten of a hundred do. */
  private reach(): { readonly min?: number; readonly max?: number; readonly tickAmount?: number } {
    if (this.unit() !== 'tenths') return {};
    const least = Math.min(
      ...this.series().flatMap(({ amounts }) => amounts.map((one) => this.major(one))),
    );
    return {
      min: Math.max(0, Math.min(Math.floor(least / STEEPEST) * STEEPEST, WHOLE - STEEPEST)),
      max: WHOLE,
      tickAmount: 5,
    };
  }

  private major(amount: Minor): number {
    return amount / 10 ** this.digits();
  }

  private short(value: number): string {
    const written = new Intl.NumberFormat('en', { notation: 'compact' }).format(value);
    return this.unit() === 'tenths' ? `${written} %` : written;
  }

  private long(value: number): string {
    const amount = Math.round(value * 10 ** this.digits());
    if (this.unit() === 'count') return String(amount);
    if (this.unit() === 'tenths') return `${formatTenths(amount, 'sign')} %`;
    return formatAmount(amount, { currency: this.currency(), zero: '–' });
  }
}
