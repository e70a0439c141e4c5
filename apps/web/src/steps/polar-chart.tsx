import type { PhotometricFile } from '@vitrum/core';
import { LineChart } from 'echarts/charts';
import { PolarComponent, TooltipComponent } from 'echarts/components';
import { init, use as register } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';
import { polarCurve } from './polar-curve';

register([LineChart, PolarComponent, TooltipComponent, SVGRenderer]);

const optionsOf = (table: PhotometricFile['table'], ink: string, lamp: string) => ({
  animation: false,
  textStyle: { fontFamily: 'Overpass Variable', color: ink },
  // Only the lower half is of use; the upper one lies outside the drawing.
  polar: { center: ['50%', 24], radius: 112 },
  angleAxis: {
    type: 'value',
    min: -180,
    max: 180,
    startAngle: 90,
    interval: 30,
    axisLabel: { color: ink, formatter: (value: number) => (Math.abs(value) <= 90 ? `${value}°` : '') },
  },
  radiusAxis: { axisLabel: { color: ink, fontSize: 10 }, axisLine: { show: false } },
  series: [
    { name: 'along the strip', azimuth: 0, type: 'solid' as const },
    { name: 'across', azimuth: 90, type: 'dashed' as const },
  ].map(({ name, azimuth, type }) => ({
    name,
    type: 'line',
    coordinateSystem: 'polar',
    showSymbol: false,
    lineStyle: { color: azimuth === 0 ? lamp : ink, width: 2, type },
    // The axis has 0° at the bottom: straight ahead points down, as light falls from a ceiling.
    data: polarCurve(table, azimuth).map(([angle, candela]) => [candela, angle]),
  })),
});

/** Intensity by direction, along and across the strip. */
export const PolarChart = ({ table }: { readonly table: PhotometricFile['table'] }) => {
  const holder = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (holder.current === null) return undefined;
    const style = getComputedStyle(document.documentElement);
    const chart = init(holder.current, null, { renderer: 'svg' });
    chart.setOption(optionsOf(table, style.getPropertyValue('--ink'), style.getPropertyValue('--lamp')));
    return () => chart.dispose();
  }, [table]);
  return (
    <div ref={holder} className="h-44 w-full" role="img" aria-label="Intensity by direction, candela for a kilolumen" />
  );
};
