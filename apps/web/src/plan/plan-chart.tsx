import { CustomChart } from 'echarts/charts';
import { DataZoomComponent, GraphicComponent, GridComponent, TooltipComponent } from 'echarts/components';
import { init, use as register, type EChartsType } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import { timeOf } from '@vitrum/core';
import type { ChartRows, DrawnBar } from './chart-rows';
import { spanWords, timeWords } from './time-words';

register([CustomChart, DataZoomComponent, GraphicComponent, GridComponent, TooltipComponent, SVGRenderer]);

const rowPx = 30;
/** Few rows have room for more. */
const fewRows = 4;
const fewRowPx = 52;
const abovePx = 26;
const belowPx = 40;
const namesPx = 168;
/** As much is seen at first: a week of work. */
const firstSeen = 5 * 510;
const snapMinutes = 15;

const pxOf = ({ names }: Pick<ChartRows, 'names'>): number => (names.length <= fewRows ? fewRowPx : rowPx);

interface Inks {
  readonly ink: string;
  readonly soft: string;
  readonly line: string;
  readonly signal: string;
  readonly lamp: string;
  readonly sheet: string;
}

const inksOf = (): Inks => {
  const style = getComputedStyle(document.documentElement);
  const of = (name: string): string => style.getPropertyValue(`--${name}`).trim();
  return {
    ink: of('ink'),
    soft: of('soft'),
    line: of('line'),
    signal: of('signal'),
    lamp: of('lamp'),
    sheet: of('sheet'),
  };
};

interface Api {
  readonly value: (dimension: number) => number;
  readonly coord: (point: readonly [number, number]) => readonly [number, number];
}

/** Work as a bar, its wait as a line behind it, a pin as a dot on it. */
const drawBar =
  (bars: readonly DrawnBar[], high: number, chosen: string | null, inks: Inks) => (_params: unknown, api: Api) => {
    const each = bars[api.value(4)];
    if (each === undefined) return undefined;
    const [x, y] = api.coord([each.from, each.row]);
    const [end] = api.coord([each.to, each.row]);
    const [until] = api.coord([each.until, each.row]);
    const wide = Math.max(2, end - x - 1);
    const isChosen = chosen === `${each.bar.jobId} ${each.bar.stepId}`;
    const fill = each.late ? inks.signal : inks.ink;
    return {
      type: 'group',
      children: [
        ...(until > end + 1
          ? [
              {
                type: 'line',
                shape: { x1: end, y1: y, x2: until, y2: y },
                style: { stroke: fill, lineWidth: 2, lineDash: [2, 3] },
              },
            ]
          : []),
        {
          type: 'rect',
          shape: { x, y: y - high / 2, width: wide, height: high, r: 2 },
          style: { fill, stroke: isChosen ? inks.lamp : inks.sheet, lineWidth: isChosen ? 3 : 1 },
          ...(wide > 46
            ? {
                textContent: {
                  style: {
                    text: each.words,
                    fill: inks.sheet,
                    fontSize: 11,
                    fontFamily: 'Overpass Variable',
                    overflow: 'truncate',
                    width: wide - 10,
                  },
                },
                textConfig: { position: 'insideLeft', distance: 5 },
              }
            : {}),
        },
        ...(each.pinned
          ? [
              {
                type: 'circle',
                shape: { cx: x + 4, cy: y - high / 2, r: 4 },
                style: { fill: inks.lamp, stroke: inks.ink, lineWidth: 1 },
              },
            ]
          : []),
      ],
    };
  };

/** A mark at the hour by which a job is due. */
const drawDue = (late: (index: number) => boolean, inks: Inks) => (_params: unknown, api: Api) => {
  const [x, y] = api.coord([api.value(1), api.value(0)]);
  const ink = late(api.value(2)) ? inks.signal : inks.soft;
  return {
    type: 'group',
    children: [
      { type: 'line', shape: { x1: x, y1: y - 13, x2: x, y2: y + 13 }, style: { stroke: ink, lineWidth: 2 } },
      {
        type: 'polygon',
        shape: {
          points: [
            [x, y - 13],
            [x + 8, y - 10],
            [x, y - 7],
          ],
        },
        style: { fill: ink },
      },
    ],
  };
};

const optionsOf = (rows: ChartRows, fromDay: string, chosen: string | null, inks: Inks) => {
  const starts = rows.days.map(({ at }) => at);
  return {
    animation: false,
    textStyle: { fontFamily: 'Overpass Variable', color: inks.ink },
    grid: { left: namesPx, right: 12, top: abovePx, bottom: belowPx },
    tooltip: {
      confine: true,
      formatter: ({ seriesIndex, value }: { readonly seriesIndex: number; readonly value: readonly number[] }) => {
        const each = seriesIndex === 0 ? rows.bars[value[4]!] : undefined;
        if (each === undefined) return '';
        const { start, end, until } = each.bar;
        const wait = until > end ? `<br>then it waits ${spanWords(until - end)}` : '';
        return `${each.words.replace(/[<&]/g, '')}<br>${timeWords(fromDay, start)} to ${timeWords(fromDay, end)}${wait}`;
      },
    },
    xAxis: {
      type: 'value',
      position: 'top',
      min: 0,
      max: Math.max(rows.scale.end, 1),
      axisLine: { show: false },
      splitLine: { show: false },
      axisTick: {
        show: true,
        inside: true,
        length: pxOf(rows) * Math.max(1, rows.names.length),
        customValues: starts,
        lineStyle: { color: inks.line },
      },
      axisLabel: {
        customValues: starts,
        color: inks.ink,
        hideOverlap: true,
        align: 'left',
        formatter: (at: number) => rows.days.find((day) => Math.abs(day.at - at) < 0.5)?.words ?? '',
      },
    },
    yAxis: {
      type: 'category',
      inverse: true,
      data: [...rows.names],
      axisLine: { show: false },
      axisTick: { show: false },
      axisLabel: { color: inks.ink, width: namesPx - 16, overflow: 'truncate', align: 'left', margin: namesPx - 8 },
      splitLine: { show: true, lineStyle: { color: inks.line } },
    },
    dataZoom: [
      {
        type: 'slider',
        xAxisIndex: 0,
        filterMode: 'none',
        height: 20,
        bottom: 8,
        startValue: 0,
        endValue: Math.min(rows.scale.end, firstSeen),
        labelFormatter: (at: number) => timeWords(fromDay, rows.scale.minute(at)),
        textStyle: { color: inks.ink },
        borderColor: inks.line,
        fillerColor: 'rgba(128,120,100,0.18)',
        showDataShadow: false,
        brushSelect: false,
      },
    ],
    series: [
      {
        type: 'custom',
        clip: true,
        renderItem: drawBar(rows.bars, pxOf(rows) - 12, chosen, inks),
        encode: { x: [1, 2, 3], y: 0 },
        data: rows.bars.map((each, at) => [each.row, each.from, each.to, each.until, at]),
        cursor: 'grab',
      },
      {
        type: 'custom',
        clip: true,
        silent: true,
        renderItem: drawDue((index) => rows.due[index]?.late ?? false, inks),
        encode: { x: 1, y: 0 },
        data: rows.due.map(({ row, at }, index) => [row, at, index]),
      },
    ],
  };
};

interface PlanChartProps {
  readonly rows: ChartRows;
  readonly fromDay: string;
  readonly chosen: { readonly jobId: string; readonly stepId: string } | null;
  readonly theme: string;
  readonly onChoose: (bar: DrawnBar['bar']) => void;
  /** A bar was dragged to that time. */
  readonly onPin: (bar: DrawnBar['bar'], at: string) => void;
}

/** Lets a bar be dragged along its row; it is pinned where it is let go. */
const withDrag = (chart: EChartsType, read: () => Pick<PlanChartProps, 'rows' | 'fromDay' | 'onChoose' | 'onPin'>) => {
  let held: { readonly each: DrawnBar; readonly x: number; moved: number } | null = null;
  const zr = chart.getZr();
  const place = (x: number): number => chart.convertFromPixel({ xAxisIndex: 0 }, x) ?? 0;
  chart.on('mousedown', (event) => {
    const value = event.value as readonly number[];
    const each = event.seriesIndex === 0 ? read().rows.bars[value[4]!] : undefined;
    if (each !== undefined) held = { each, x: event.event?.offsetX ?? 0, moved: 0 };
  });
  zr.on('mousemove', ({ offsetX }) => {
    if (held === null) return;
    held.moved = offsetX - held.x;
    const { each } = held;
    const by = place(offsetX) - place(held.x);
    const [[x, y], [end]] = [each.from + by, each.to + by].map(
      (at) => chart.convertToPixel({ seriesIndex: 0 }, [at, each.row]) as unknown as [number, number],
    ) as [[number, number], [number, number]];
    chart.setOption({
      graphic: [
        {
          id: 'ghost',
          type: 'rect',
          silent: true,
          z: 100,
          shape: { x, y: y - 9, width: Math.max(3, end - x), height: 18 },
          style: { fill: 'transparent', stroke: inksOf().lamp, lineWidth: 2 },
        },
      ],
    });
  });
  const letGo = (): void => {
    if (held === null) return;
    const { each, moved, x } = held;
    held = null;
    chart.setOption({ graphic: [{ id: 'ghost', $action: 'remove' }] });
    const { rows, fromDay, onChoose, onPin } = read();
    onChoose(each.bar);
    if (Math.abs(moved) < 4) return;
    const minute = rows.scale.minute(each.from + place(x + moved) - place(x));
    onPin(each.bar, timeOf(fromDay, Math.round(minute / snapMinutes) * snapMinutes));
  };
  zr.on('mouseup', letGo);
  zr.on('globalout', letGo);
};

/** Who does what when: a row for each job or person, work as bars, waits as broken lines, due days as flags. */
export const PlanChart = (props: PlanChartProps) => {
  const { rows, fromDay, chosen, theme } = props;
  const holder = useRef<HTMLDivElement>(null);
  const chart = useRef<EChartsType | null>(null);
  const latest = useRef(props);
  const scrolled = useRef(false);
  useEffect(() => {
    latest.current = props;
  });
  const height = abovePx + belowPx + pxOf(rows) * Math.max(1, rows.names.length);
  useEffect(() => {
    if (holder.current === null) return undefined;
    const made = init(holder.current, null, { renderer: 'svg' });
    chart.current = made;
    withDrag(made, () => latest.current);
    made.on('datazoom', () => {
      scrolled.current = true;
    });
    const resized = new ResizeObserver(() => made.resize());
    resized.observe(holder.current);
    return () => {
      resized.disconnect();
      made.dispose();
      chart.current = null;
    };
  }, []);
  const key = chosen === null ? null : `${chosen.jobId} ${chosen.stepId}`;
  useEffect(() => {
    const made = chart.current;
    if (made === null) return;
    const [zoom] =
      (made.getOption() as { dataZoom?: readonly { startValue: number; endValue: number }[] } | undefined)?.dataZoom ??
      [];
    const options = optionsOf(rows, fromDay, key, inksOf());
    // Where one has scrolled to stays in sight.
    const kept =
      zoom === undefined || !scrolled.current
        ? options.dataZoom
        : [{ ...options.dataZoom[0]!, startValue: zoom.startValue, endValue: zoom.endValue }];
    made.setOption({ ...options, dataZoom: kept }, { replaceMerge: ['series'] });
    made.resize();
  }, [rows, fromDay, key, theme]);
  return (
    <div
      ref={holder}
      style={{ height }}
      className="w-full touch-none"
      role="img"
      aria-label="The plan as bars: who does what when; the list of days says the same in words"
    />
  );
};
