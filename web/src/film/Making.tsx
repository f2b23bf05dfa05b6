import './film.css';
import type { Film } from '@obra/core/proof';
import { verbs } from '@obra/core/operations';
import { type Units, writeMinutes, writeWithUnit } from '@obra/core/quantity';
import { Box, Image, Pause, Play, X } from 'lucide-react';
import { lazy, Suspense, useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { Button, Form } from 'react-bootstrap';
import { pictureFile } from '../bar';
import { useKeys } from '../shell/keys';
import { beginsOf, type Moment, momentAt, touchTimes } from './moments';
import { type Canvas, Painter } from './paint';
import { solidOrSection } from '../words/keys';
import { theTailstock } from '../words/places';

// the solid comes when somebody wants to see it
const FilmSolid = lazy(() => import('./FilmSolid').then((m) => ({ default: m.FilmSolid })));

interface Props {
  readonly film: Film;
  readonly units: Units;
  readonly height: number;
  /** the step that it begins at */
  readonly from: string | undefined;
  /** the step in hand goes with the film when it stops */
  readonly onStep: (step: string) => void;
  readonly onStill: (picture: string | Blob, as: 'svg' | 'png') => void;
  readonly onClose: () => void;
}

const SPEEDS = ['1', '10', '60', '200', '500', 'steps'] as const;
type Speed = (typeof SPEEDS)[number];
/** Where all steps last alike, each lasts so long, ms; and where motion is not wanted each stands so long. */
const [EACH, STANDS] = [1500, 900];
const standing: Readonly<Record<string, string>> = {
  jaws: 'the jaws',
  chuck: 'the chuck',
  centre: 'the centre',
  tailstock: theTailstock,
  steady: 'the steady',
  part: 'the work',
  bar: 'the bar',
};

const calm = (): boolean => window.matchMedia('(prefers-reduced-motion: reduce)').matches;

/** What of the picture is painted into; undefined while it does not stand yet. */
function canvasOf(root: SVGSVGElement): Canvas | undefined {
  const [groups, paths, rects, lines] = (['g', 'path', 'rect', 'line'] as const).map((tag) => [...root.querySelectorAll(`${tag}[data-film]`)]);
  const of = (all: readonly Element[] | undefined, name: string) => (all ?? []).filter((e) => e.getAttribute('data-film') === name);
  const group = (name: string) => of(groups, name)[0] as SVGGElement | undefined;
  const some = (name: string) => of(paths, name) as SVGPathElement[];
  const [piece, tool, ring, end] = [group('piece'), group('tool'), group('ring'), group('end')];
  const [standing] = some('standing');
  const [axis] = of(lines, 'axis') as SVGLineElement[];
  if (!piece || !tool || !ring || !end || !standing || !axis) return undefined;
  return {
    piece,
    tool,
    ring,
    end,
    standing,
    axis,
    stays: some('stays'),
    waits: some('waits'),
    bodies: some('body'),
    clips: of(rects, 'clip') as SVGRectElement[],
  };
}

/** The making, played: every pass on its way, metal coming off; to and fro by the scrubber. It stops where two bodies touch. */
export function Making({ film, units, height, from, onStep, onStill, onClose }: Props) {
  const box = useRef<HTMLDivElement>(null);
  const svg = useRef<SVGSVGElement>(null);
  const slider = useRef<HTMLInputElement>(null);
  const said = useRef<HTMLSpanElement>(null);
  const clock = useRef<HTMLSpanElement>(null);
  const [width, setWidth] = useState(1280);
  const [playing, setPlaying] = useState(false);
  const [speed, setSpeed] = useState<Speed>('60');
  const alike = speed === 'steps';
  const begins = useMemo(() => beginsOf(film, alike), [film, alike]);
  const touches = useMemo(() => touchTimes(film, begins, alike), [film, begins, alike]);
  const end = begins.at(-1) ?? 0;
  // where the film stands, apart from the page: a frame changes nothing that the page is drawn from
  const state = useRef({ time: 0, reel: -1, begun: false });
  const painter = useRef<Painter>(undefined);
  const [solid, setSolid] = useState(false);
  const canvas = useRef<HTMLCanvasElement>(null);
  const inSolid = useRef<(moment: Moment) => void>(undefined);

  useLayoutEffect(() => {
    const element = box.current;
    if (!element) return undefined;
    const observer = new ResizeObserver(() => setWidth(Math.max(element.clientWidth, 320)));
    observer.observe(element);
    setWidth(Math.max(element.clientWidth, 320));
    return () => observer.disconnect();
  }, []);

  const show = useCallback(() => {
    const moment = momentAt(film, begins, state.current.time, alike);
    const touch = painter.current?.paint(moment);
    inSolid.current?.(moment);
    if (slider.current) slider.current.value = String(state.current.time);
    const reel = film.reels[moment.reel];
    if (!reel) return;
    if (clock.current) clock.current.textContent = alike ? '' : `${writeMinutes(state.current.time)} of ${writeMinutes(end)}`;
    const words = touch
      ? `${touch.moving === 'tool' ? 'the tool' : touch.moving === 'holder' ? 'its holder' : 'the tool post'} would meet ${standing[touch.standing] ?? touch.standing} by ${writeWithUnit({ is: 'length', value: touch.by, step: 0.1 }, units)}`
      : reel.move === 'away' && moment.way === undefined
        ? 'away from the lathe'
        : '';
    const line = `${String(moment.reel + 1)} ${verbs[reel.verb]}${words === '' ? '' : `: ${words}`}`;
    if (said.current && said.current.textContent !== line) {
      said.current.textContent = line;
      said.current.classList.toggle('out', touch !== undefined);
      slider.current?.setAttribute('aria-valuetext', `step ${line}, of ${String(film.reels.length)}`);
    }
    state.current.reel = moment.reel;
  }, [film, begins, alike, end, units]);

  useLayoutEffect(() => {
    const root = svg.current;
    if (!root) return;
    const on = canvasOf(root);
    if (!on) return;
    painter.current = new Painter(film, on, { width, height });
    show();
  }, [film, width, height, show]);

  const takeSolid = useCallback(
    (paint: ((moment: Moment) => void) | undefined) => {
      inSolid.current = paint;
      if (paint) show();
    },
    [show],
  );

  // the step in hand was changed on the sheet: the film goes there
  useEffect(() => {
    const nth = film.reels.findIndex((r) => r.step === from);
    if (nth < 0 || nth === state.current.reel) {
      if (state.current.begun) return;
    } else state.current.time = begins[nth] ?? 0;
    state.current.begun = true;
    show();
  }, [film, begins, from, show]);

  // another measure of time keeps the step in hand
  const measure = (to: Speed) => {
    const nth = Math.max(0, state.current.reel);
    if ((to === 'steps') !== alike) state.current.time = beginsOf(film, to === 'steps')[nth] ?? 0;
    setSpeed(to);
  };

  useEffect(() => {
    if (!playing) return undefined;
    if (calm()) {
      const tick = setInterval(() => {
        const next = begins[state.current.reel + 1] ?? end;
        if (next >= end) setPlaying(false);
        state.current.time = next;
        show();
      }, STANDS);
      return () => clearInterval(tick);
    }
    let [frame, last] = [0, performance.now()];
    const draw = (now: number) => {
      // the first frame may be of a moment before it was asked for
      const gone = Math.max(0, Math.min(100, now - last));
      last = now;
      const before = state.current.time;
      const after = before + (alike ? gone / EACH : (gone / 60_000) * Number(speed));
      const met = touches.find((t) => t > before + 1e-6 && t <= after);
      state.current.time = met ?? Math.min(after, end);
      show();
      if (met !== undefined || after >= end) {
        setPlaying(false);
        return;
      }
      frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    return () => cancelAnimationFrame(frame);
  }, [playing, speed, alike, begins, touches, end, show]);

  const stepNow = () => {
    const reel = film.reels[Math.max(0, state.current.reel)];
    if (reel) onStep(reel.step);
  };
  const play = () => {
    if (!playing && state.current.time >= end) state.current.time = 0;
    if (playing) stepNow();
    setPlaying(!playing);
  };
  useKeys('picture', {
    // a button that has the focus is pressed by it
    space: { says: 'play the making, or stop it', act: (e) => (e.target instanceof HTMLButtonElement ? false : play()) },
    v: { says: solidOrSection, act: () => setSolid(!solid) },
    escape: { says: 'leave the film', act: onClose },
  });
  const still = (as: 'svg' | 'png') => {
    if (as === 'png' && solid) canvas.current?.toBlob((picture) => picture && onStill(picture, 'png'));
    else if (svg.current) onStill(pictureFile(svg.current), as);
  };
  return (
    <div className="film" data-testid="film">
      <div className={solid ? 'bar solid' : 'bar'} ref={box} style={{ height }}>
        {solid && (
          <Suspense fallback={null}>
            <FilmSolid film={film} canvas={canvas} onPainter={takeSolid} />
          </Suspense>
        )}
        <svg
          ref={svg}
          className={solid ? 'd-none' : undefined}
          viewBox={`0 0 ${String(width)} ${String(height)}`}
          role="img"
          aria-label="The making as it goes by">
          <defs>
            <pattern id="film-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <line x1="0" y1="0" x2="0" y2="7" stroke="var(--hatch)" strokeWidth="1" />
            </pattern>
            <clipPath id="film-waits">
              <rect data-film="clip" />
              <rect data-film="clip" />
            </clipPath>
          </defs>
          <g data-film="piece">
            <g clipPath="url(#film-waits)" fill="var(--brass)" fillRule="evenodd">
              <path data-film="waits" />
              <path data-film="waits" />
            </g>
            <path data-film="stays" fill="var(--steel)" fillRule="evenodd" />
            <path data-film="stays" fill="var(--steel)" fillRule="evenodd" />
            <path data-film="stays" fill="url(#film-hatch)" fillRule="evenodd" stroke="var(--ink)" strokeWidth={0.8} />
          </g>
          <line data-film="axis" x1={0} x2={width} stroke="var(--ink)" strokeWidth={0.8} strokeDasharray="14 3 3 3" />
          <path data-film="standing" fill="var(--holding)" stroke="var(--holding-line)" />
          <g data-film="tool" fill="var(--holding)" stroke="var(--ink)" strokeWidth={1.2} strokeLinejoin="round">
            <path data-film="body" />
            <path data-film="body" />
            <path data-film="body" />
          </g>
          <g data-film="ring" visibility="hidden" fill="none" stroke="var(--oxide)" strokeWidth={2.5}>
            <circle r={16} />
          </g>
          <g data-film="end">
            <circle r={11} fill="var(--paper)" stroke="var(--ink)" strokeWidth={1.6} />
            <text textAnchor="middle" dy="4.5" fontSize={13} fontWeight={700} fill="var(--ink)" />
          </g>
        </svg>
      </div>
      <div className="film-rule noprint">
        <Button variant="outline-dark" aria-label={playing ? 'stop' : 'play'} aria-keyshortcuts="space" onClick={play}>
          {playing ? <Pause size={17} aria-hidden /> : <Play size={17} aria-hidden />}
        </Button>
        <div className="way">
          <input
            ref={slider}
            type="range"
            aria-label="the making"
            min={0}
            max={end}
            step="any"
            defaultValue={0}
            onChange={(e) => {
              setPlaying(false);
              state.current.time = Number(e.target.value);
              show();
            }}
            onPointerUp={stepNow}
            onKeyDown={(e) => {
              if (e.key !== ' ') return;
              e.preventDefault();
              if (!e.repeat) play();
            }}
          />
          <svg className="ticks" aria-hidden preserveAspectRatio="none" viewBox={`0 0 ${String(Math.max(end, 1e-6))} 10`}>
            {film.reels.map((reel, i) => (
              <line
                key={`${reel.setup} ${reel.step}`}
                x1={begins[i]}
                x2={begins[i]}
                y1={reel.move ? 0 : 4}
                y2={10}
                vectorEffect="non-scaling-stroke"
              />
            ))}
            {touches.map((t, i) => (
              <line key={`touch ${String(i)}`} className="touch" x1={t} x2={t} y1={0} y2={10} vectorEffect="non-scaling-stroke" />
            ))}
          </svg>
        </div>
        <span ref={said} className="film-said" role="status" data-testid="film-said" />
        <span ref={clock} className="fig quiet" />
        <Form.Select aria-label="how fast" className="wide-150" value={speed} onChange={(e) => measure(e.target.value as Speed)}>
          {SPEEDS.map((s) => (
            <option key={s} value={s}>
              {s === 'steps' ? 'steps alike' : `${s} times as fast`}
            </option>
          ))}
        </Form.Select>
        <Button variant="outline-dark" aria-pressed={solid} active={solid} aria-keyshortcuts="v" onClick={() => setSolid(!solid)}>
          <Box size={15} aria-hidden /> solid
        </Button>
        <Button variant="outline-dark" disabled={solid} onClick={() => still('svg')}>
          <Image size={15} aria-hidden /> SVG
        </Button>
        <Button variant="outline-dark" onClick={() => still('png')}>
          PNG
        </Button>
        <Button variant="outline-dark" aria-label="leave the film" onClick={onClose}>
          <X size={17} aria-hidden />
        </Button>
      </div>
    </div>
  );
}
