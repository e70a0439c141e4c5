import type { TryPoint, TryStanding } from '@vitrum/core';
import { ScatterChart } from 'echarts/charts';
import { GridComponent, LegendComponent, MarkAreaComponent } from 'echarts/components';
import { init, use as register, type EChartsType } from 'echarts/core';
import { CanvasRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import { evenEnough } from '@vitrum/core';
import { clouds, heightOf, upwardNames, type Upward } from './chart-points';

register([ScatterChart, GridComponent, LegendComponent, MarkAreaComponent, CanvasRenderer]);

interface Colours {
  readonly ink: string;
  readonly soft: string;
  readonly sound: string;
  readonly line: string;
  readonly paper: string;
}

/** Where a point must lie, as far as the chart’s own axis tells. */
const feasible = (upward: Upward): readonly [number, number] | null =>
  upward === 'visibility' ? [0, 1] : upward === 'evenness' ? [evenEnough, 1] : null;

/** The design as it is, ringed among what was tried. */
const ringOf = (now: TryStanding, upward: Upward, { ink, paper }: Colours) => ({
  name: 'the design now',
  type: 'scatter',
  silent: true,
  symbol: 'circle',
  symbolSize: 20,
  z: 5,
  data: [[Math.round(now.costPerSign * 100) / 100, heightOf(now, upward)]],
  itemStyle: { color: 'transparent', borderColor: ink, borderWidth: 2.5 },
  label: {
    show: true,
    formatter: 'now',
    position: 'right',
    color: ink,
    fontWeight: 700,
    backgroundColor: paper,
    padding: [2, 4],
  },
});

const optionsOf = (
  points: readonly TryPoint[],
  now: TryStanding | null,
  upward: Upward,
  currency: string,
  colours: Colours,
) => {
  const { ink, soft, sound, line } = colours;
  const region = feasible(upward);
  return {
    animation: false,
    textStyle: { fontFamily: 'Overpass Variable', color: ink },
    legend: { bottom: 0, textStyle: { color: ink }, itemHeight: 11, itemWidth: 11, type: 'scroll' },
    grid: { left: 66, right: 24, top: 20, bottom: 78 },
    xAxis: {
      type: 'value',
      scale: true,
      name: `a sign, ${currency}`,
      nameLocation: 'middle',
      nameGap: 26,
      axisLabel: { color: ink },
      splitLine: { lineStyle: { color: line } },
    },
    yAxis: {
      type: upward === 'visibility' ? 'log' : 'value',
      scale: upward === 'depth',
      name: upwardNames[upward],
      nameLocation: 'middle',
      nameGap: 44,
      axisLabel: { color: ink },
      splitLine: { lineStyle: { color: line } },
    },
    series: [
      ...clouds(points, upward).map(({ face, symbol, points: cloud }, index) => ({
        name: face,
        type: 'scatter',
        symbol,
        symbolSize: 11,
        data: cloud.map(({ id, value, willDo }) => ({
          id,
          value,
          itemStyle: willDo ? { color: sound, borderColor: ink } : { color: 'transparent', borderColor: soft },
        })),
        itemStyle: { color: sound, borderColor: ink, borderWidth: 1.2 },
        ...(index === 0 && region !== null
          ? {
              markArea: {
                silent: true,
                itemStyle: { color: sound, opacity: 0.1 },
                label: { show: true, position: 'insideTopLeft', color: sound, fontWeight: 700 },
                data: [
                  [
                    {
                      name: upward === 'visibility' ? 'not seen' : 'even',
                      yAxis: upward === 'visibility' ? 0.01 : region[0],
                    },
                    { yAxis: region[1] },
                  ],
                ],
              },
            }
          : {}),
      })),
      ...(now === null ? [] : [ringOf(now, upward, colours)]),
    ],
  };
};

interface SweepChartProps {
  readonly points: readonly TryPoint[];
  /** The design as it is; null while it is not known. */
  readonly now: TryStanding | null;
  readonly upward: Upward;
  readonly currency: string;
  readonly onHover: (id: number | null) => void;
  readonly onTake: (id: number) => void;
}

/** Every combination tried: price to the right, the chosen measure upward. */
export const SweepChart = ({ points, now, upward, currency, onHover, onTake }: SweepChartProps) => {
  const holder = useRef<HTMLDivElement>(null);
  const chart = useRef<EChartsType | null>(null);
  const handlers = useRef({ onHover, onTake });
  useEffect(() => {
    handlers.current = { onHover, onTake };
  }, [onHover, onTake]);
  useEffect(() => {
    if (holder.current === null) return undefined;
    const made = init(holder.current);
    chart.current = made;
    const idOf = (event: { readonly data?: unknown }): number => (event.data as { readonly id: number }).id;
    made.on('mouseover', { seriesType: 'scatter' }, (event) => handlers.current.onHover(idOf(event)));
    made.on('mouseout', { seriesType: 'scatter' }, () => handlers.current.onHover(null));
    made.on('click', { seriesType: 'scatter' }, (event) => handlers.current.onTake(idOf(event)));
    const watch = new ResizeObserver(() => made.resize());
    watch.observe(holder.current);
    return () => {
      watch.disconnect();
      made.dispose();
    };
  }, []);
  useEffect(() => {
    const style = getComputedStyle(document.documentElement);
    const colour = (name: string): string => style.getPropertyValue(name);
    chart.current?.setOption(
      optionsOf(points, now, upward, currency, {
        ink: colour('--ink'),
        soft: colour('--soft'),
        sound: colour('--sound'),
        line: colour('--line'),
        paper: colour('--paper'),
      }),
      { notMerge: true },
    );
  }, [points, now, upward, currency]);
  return (
    <div
      ref={holder}
      className="absolute inset-0"
      role="img"
      aria-label={`Try-outs: ${points.length} combinations by price and ${upwardNames[upward]}`}
      data-testid="sweep-chart"
    />
  );
};
