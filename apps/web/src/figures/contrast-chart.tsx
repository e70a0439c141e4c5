import { LineChart } from 'echarts/charts';
import { GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import { useOwn } from '../evaluation/own';
import { contrastCurve, type ContrastCurve } from './contrast-curve';

register([LineChart, GridComponent, MarkLineComponent, TooltipComponent, SVGRenderer]);

const leastPercent = 0.05;

const optionsOf = ({ eye, contrastPercent, readingM }: ContrastCurve, ink: string, signal: string) => ({
  animation: false,
  grid: { left: 56, right: 20, top: 16, bottom: 44 },
  textStyle: { fontFamily: 'Overpass Variable', color: ink },
  tooltip: { trigger: 'axis', valueFormatter: (value: unknown) => `${Number(value).toFixed(2)} %` },
  xAxis: {
    type: 'log',
    name: 'distance, m',
    nameLocation: 'middle',
    nameGap: 28,
    min: 0.5,
    max: 300,
    axisLabel: { color: ink },
  },
  yAxis: {
    type: 'log',
    name: 'contrast, %',
    nameLocation: 'middle',
    nameGap: 40,
    min: leastPercent,
    max: 100,
    axisLabel: { color: ink },
  },
  series: [
    {
      name: 'least the eye sees',
      type: 'line',
      data: eye.map(([x, y]) => [x, y]),
      showSymbol: false,
      lineStyle: { color: ink, width: 2 },
      itemStyle: { color: ink },
      markLine: {
        symbol: 'none',
        silent: true,
        label: { color: ink, position: 'insideEndTop' },
        data: [
          {
            yAxis: Math.max(leastPercent * 1.05, contrastPercent),
            lineStyle: { color: signal, width: 2, type: 'solid' },
            label: { formatter: `on this face ${contrastPercent.toFixed(2)} %` },
          },
          {
            xAxis: readingM,
            lineStyle: { color: ink, type: 'dashed' },
            label: { formatter: `read from ${readingM} m` },
          },
        ],
      },
    },
  ],
});

/** The ripple on the face against the eye: below the curve nobody sees it. */
export const ContrastChart = () => {
  const holder = useRef<HTMLDivElement>(null);
  const own = useOwn();
  useEffect(() => {
    if (holder.current === null || own === null) return undefined;
    const style = getComputedStyle(document.documentElement);
    const chart = init(holder.current, null, { renderer: 'svg' });
    chart.setOption(optionsOf(contrastCurve(own), style.getPropertyValue('--ink'), style.getPropertyValue('--signal')));
    return () => chart.dispose();
  }, [own]);
  if (own === null) return null;
  return (
    <figure className="mb-4">
      <div
        ref={holder}
        className="h-64 w-full"
        role="img"
        aria-label="Contrast on the face against the least contrast the eye sees, over distance"
      />
      <figcaption className="text-xs text-soft">
        Curve: the least contrast an average eye sees at this pitch (Barten 2004). Where the line of this face lies
        below the curve, dots and bands have vanished.
      </figcaption>
    </figure>
  );
};
