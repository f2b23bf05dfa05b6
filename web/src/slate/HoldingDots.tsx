import { type Units, write } from '@obra/core/quantity';
import { ScatterChart } from 'echarts/charts';
import { AriaComponent, GridComponent, TooltipComponent } from 'echarts/components';
import * as charts from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';

charts.use([ScatterChart, GridComponent, TooltipComponent, AriaComponent, SVGRenderer]);

interface Dot {
  readonly name: string;
  /** TIR, mm */
  readonly runout: number;
  /** of a piece; undefined where it cannot hold it */
  readonly minutes: number | undefined;
  readonly taken: boolean;
}

const token = (name: string): string => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** Ways of holding as dots: how true against how long; the one taken filled, those that cannot hold it crossed. */
export function HoldingDots({ dots, units }: { readonly dots: readonly Dot[]; readonly units: Units }) {
  const host = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!host.current) return undefined;
    const inch = units === 'in' ? 25.4 : 1;
    const chart = charts.init(host.current, undefined, { renderer: 'svg' });
    const font = { fontFamily: token('--text'), color: token('--ink'), fontSize: 14 };
    const can = dots.filter((d) => d.minutes !== undefined);
    const [least, most] = [Math.min(...can.map((d) => d.minutes ?? 0)), Math.max(...can.map((d) => d.minutes ?? 0))];
    const room = Math.max(1, (most - least) * 0.25);
    const at = (d: Dot) => [d.runout / inch, d.minutes ?? most + room];
    const series = (name: string, own: readonly Dot[], look: object) => ({
      type: 'scatter',
      name,
      ...look,
      data: own.map((d) => ({ name: d.name, value: at(d) })),
    });
    chart.setOption({
      animation: false,
      aria: { enabled: true },
      textStyle: font,
      grid: { left: 58, right: 24, top: 20, bottom: 46 },
      tooltip: { formatter: (p: { readonly name: string }) => p.name },
      xAxis: {
        type: 'value',
        name: `runout, TIR, ${units}`,
        nameLocation: 'middle',
        nameGap: 28,
        min: 0,
        nameTextStyle: font,
        axisLabel: { ...font, formatter: (v: number) => write({ is: 'length', value: v * inch, step: 0.01 }, units).text },
        splitLine: { lineStyle: { color: token('--rule') } },
      },
      yAxis: {
        type: 'value',
        name: 'minutes a piece',
        nameTextStyle: { ...font, align: 'left' },
        min: Math.max(0, Math.floor(least - room)),
        max: Math.ceil(most + 2 * room),
        axisLabel: font,
        splitLine: { lineStyle: { color: token('--rule') } },
      },
      series: [
        series(
          'can hold it',
          can.filter((d) => !d.taken),
          { symbolSize: 13, itemStyle: { color: token('--card'), borderColor: token('--ink'), borderWidth: 1.5 } },
        ),
        series(
          'taken',
          can.filter((d) => d.taken),
          { symbolSize: 15, itemStyle: { color: token('--blue') } },
        ),
        series(
          'cannot hold it',
          dots.filter((d) => d.minutes === undefined),
          {
            symbol: 'path://M0,0L10,10M10,0L0,10',
            symbolSize: 12,
            itemStyle: { color: 'transparent', borderColor: token('--oxide'), borderWidth: 2 },
          },
        ),
      ],
    });
    return () => chart.dispose();
  }, [dots, units]);
  return <div className="high-240" ref={host} data-testid="dots" />;
}
