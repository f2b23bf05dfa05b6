import { type CutAsked, type CutWindow, windowOf } from '@obra/core/cutting';
import { type Units, write } from '@obra/core/quantity';
import { LineChart, ScatterChart } from 'echarts/charts';
import { AriaComponent, GridComponent, LegendComponent, TooltipComponent } from 'echarts/components';
import * as charts from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import { useEffect, useMemo, useRef } from 'react';
import { Button, Modal } from 'react-bootstrap';

charts.use([LineChart, ScatterChart, GridComponent, LegendComponent, TooltipComponent, AriaComponent, SVGRenderer]);

interface Props {
  readonly title: string;
  readonly asked: CutAsked;
  readonly feed: number;
  readonly depth: number;
  readonly units: Units;
  readonly onHide: () => void;
}

const words: Readonly<Record<CutWindow['lines'][number]['rule'], string>> = {
  'stick-out': 'stick-out, rule of thumb',
  'short-grip': 'a short grip',
  power: 'power',
  spring: 'spring',
  grip: 'grip',
  chips: 'chips break up to',
  'least-depth': 'cuts from',
};
const looks: Readonly<Record<CutWindow['lines'][number]['rule'], { readonly color: string; readonly type: 'solid' | 'dashed' | 'dotted' }>> = {
  'stick-out': { color: '--quiet', type: 'dashed' },
  'short-grip': { color: '--quiet', type: 'dashed' },
  power: { color: '--oxide', type: 'solid' },
  spring: { color: '--blue', type: 'solid' },
  grip: { color: '--brass-text', type: 'solid' },
  chips: { color: '--verdigris', type: 'dashed' },
  'least-depth': { color: '--verdigris', type: 'dotted' },
};

/** What a token of the look is here: the chart takes no variables. */
const token = (name: string): string => getComputedStyle(document.documentElement).getPropertyValue(name).trim();

/** Depth against feed: every limit as a line, the cut that is planned as a point. */
export function CutChart({ title, asked, feed, depth, units, onHide }: Props) {
  const host = useRef<HTMLDivElement>(null);
  const inch = units === 'in' ? 25.4 : 1;
  const shown = useMemo(() => windowOf(asked, Math.max(feed, 0.1) * 1.5), [asked, feed]);
  useEffect(() => {
    if (!host.current) return undefined;
    const chart = charts.init(host.current, undefined, { renderer: 'svg' });
    const font = { fontFamily: token('--text'), color: token('--ink'), fontSize: 14 };
    chart.setOption({
      animation: false,
      aria: { enabled: true },
      textStyle: font,
      grid: { left: 62, right: 24, top: 64, bottom: 48 },
      legend: { top: 0, textStyle: font, itemWidth: 34 },
      tooltip: {
        trigger: 'axis',
        valueFormatter: (v: unknown) => (typeof v === 'number' ? `${write({ is: 'length', value: v * inch }, units).text} ${units}` : ''),
      },
      xAxis: {
        type: 'value',
        name: units === 'in' ? 'feed, in/rev' : 'feed, mm/rev',
        nameLocation: 'middle',
        nameGap: 30,
        min: 0,
        nameTextStyle: font,
        axisLabel: font,
        splitLine: { lineStyle: { color: token('--rule') } },
      },
      yAxis: {
        type: 'value',
        name: `depth on radius, ${units}`,
        nameTextStyle: { ...font, align: 'left' },
        min: 0,
        max: Number((shown.cap / inch).toPrecision(2)),
        axisLabel: font,
        splitLine: { lineStyle: { color: token('--rule') } },
      },
      series: [
        ...shown.lines.map((line) => ({
          type: 'line',
          name: words[line.rule],
          showSymbol: false,
          lineStyle: { width: 2, type: looks[line.rule].type, color: token(looks[line.rule].color) },
          itemStyle: { color: token(looks[line.rule].color) },
          data: line.depths.map((d, i) => [(shown.feeds[i] ?? 0) / inch, d / inch]),
        })),
        {
          type: 'scatter',
          name: 'this cut',
          symbol: 'diamond',
          symbolSize: 16,
          itemStyle: { color: token('--brass'), borderColor: token('--ink'), borderWidth: 1.5 },
          data: [[feed / inch, depth / inch]],
        },
      ],
    });
    return () => chart.dispose();
  }, [shown, feed, depth, inch, units]);
  return (
    <Modal show onHide={onHide} animation={false} size="lg" aria-labelledby="chart-title">
      <Modal.Body>
        <div className="d-flex align-items-baseline mb-2">
          <h2 id="chart-title" className="me-auto">
            {title}: depth against feed
          </h2>
          <Button variant="outline-dark" onClick={onHide}>
            close
          </Button>
        </div>
        <div className="high-340" ref={host} data-testid="chart" />
        <p className="quiet m-0">
          A cut under every line holds; between “cuts from” and the lowest of the others is the window. Forces by Kienzle, unsure by a fifth.
        </p>
      </Modal.Body>
    </Modal>
  );
}
