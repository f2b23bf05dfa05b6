import type { Limits } from '@obra/core/drawing';
import { type Units, write } from '@obra/core/quantity';
import { LineChart } from 'echarts/charts';
import { AriaComponent, GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components';
import * as charts from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useRef } from 'react';

charts.use([LineChart, GridComponent, MarkLineComponent, TooltipComponent, AriaComponent, SVGRenderer]);

interface Props {
  readonly of: string;
  readonly run: readonly { readonly piece: number; readonly value: number }[];
  readonly limits: Limits;
  readonly mean: number | undefined;
  readonly units: Units;
}

/** What a token of the look is here: the chart takes no variables. */
const token = (name: string): string => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** The readings of one size piece after piece between their limits. */
export function RunChart({ of, run, limits, mean, units }: Props) {
  const host = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (!host.current) return undefined;
    const inch = units === 'in' ? 25.4 : 1;
    const said = (mm: number) => write({ is: 'length', value: mm, step: 0.001 }, units).text;
    const chart = charts.init(host.current, undefined, { renderer: 'svg' });
    const font = { fontFamily: token('--text'), color: token('--ink'), fontSize: 14 };
    const values = run.map((r) => r.value);
    const [low, high] = [Math.min(limits.min, ...values), Math.max(limits.max, ...values)];
    const room = 0.15 * (high - low);
    const line = (value: number, name: string, color: string, type: 'solid' | 'dashed') => ({
      yAxis: value / inch,
      label: { formatter: `${name} ${said(value)}`, ...font, position: 'insideEndTop' as const },
      lineStyle: { color: token(color), type, width: 1.5 },
    });
    chart.setOption({
      animation: false,
      aria: { enabled: true, label: { description: `${of}: ${run.map((r) => `piece ${String(r.piece)} ${said(r.value)}`).join(', ')}` } },
      textStyle: font,
      grid: { left: 84, right: 24, top: 16, bottom: 44 },
      tooltip: { trigger: 'axis', valueFormatter: (v: unknown) => (typeof v === 'number' ? `${said(v * inch)} ${units}` : '') },
      xAxis: {
        type: 'category',
        data: run.map((r) => String(r.piece)),
        name: 'piece',
        nameLocation: 'middle',
        nameGap: 28,
        nameTextStyle: font,
        axisLabel: font,
      },
      yAxis: {
        type: 'value',
        min: (low - room) / inch,
        max: (high + room) / inch,
        axisLabel: { ...font, showMaxLabel: false, formatter: (v: number) => said(v * inch) },
        splitLine: { show: false },
      },
      series: [
        {
          type: 'line',
          data: values.map((v) => v / inch),
          symbol: 'circle',
          symbolSize: 8,
          lineStyle: { color: token('--quiet'), width: 1 },
          itemStyle: { color: token('--ink') },
          markLine: {
            symbol: 'none',
            silent: true,
            data: [
              line(limits.max, 'most', '--verdigris', 'solid'),
              line(limits.min, 'least', '--verdigris', 'solid'),
              ...(mean === undefined ? [] : [line(mean, 'mean', '--blue', 'dashed')]),
            ],
          },
        },
      ],
    });
    const fit = () => chart.resize();
    window.addEventListener('resize', fit);
    return () => {
      window.removeEventListener('resize', fit);
      chart.dispose();
    };
  }, [of, run, limits, mean, units]);
  return <div ref={host} className="high-240" data-testid="run-chart" role="img" aria-label={`Run of ${of}`} />;
}
