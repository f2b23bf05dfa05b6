import './solid.css';
import type { Part } from '@obra/core/drawing';
import { type Units, writeWithUnit } from '@obra/core/quantity';
import { useEffect, useRef, useState } from 'react';
import { Button, ButtonGroup } from 'react-bootstrap';
import { memoSteady } from '../shell/useSteady';
import { type Section, turnedSolid } from './cutOut';
import { makeSolid } from './makeSolid';
import { painted } from './painted';
import { type Colours, FIRST, type Stage, type View } from './stage';
import { onWebGL } from './webgl';

interface Props {
  readonly part: Part;
  readonly units: Units;
  readonly height: number;
  /** a still of it as it stands, as a picture file */
  readonly onStill: (picture: Blob) => void;
}

const sections: readonly (readonly [Section, string])[] = [
  ['whole', 'whole'],
  ['quarter', 'quarter out'],
  ['half', 'half'],
];

/** Degrees of one press of an arrow. */
const PRESS = 15;

/** The part as a solid, flats and holes really cut: turned by dragging or the arrows, a section taken out of it at will. */
export const SolidPicture = memoSteady(function SolidPicture({ part, units, height, onStill }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const stage = useRef<Stage>(undefined);
  const view = useRef<View>({ ...FIRST });
  const [section, setSection] = useState<Section>('whole');
  const [failed, setFailed] = useState(false);
  const [plain, setPlain] = useState(false);
  const draw = () => stage.current?.draw(view.current);
  useEffect(() => {
    const element = canvas.current;
    if (!element) return undefined;
    const made = stageOn(element);
    stage.current = made.stage;
    setPlain(made.plain);
    const observer = new ResizeObserver(() => {
      made.stage.size(Math.max(element.clientWidth, 1), Math.max(element.clientHeight, 1));
      made.stage.draw(view.current);
    });
    observer.observe(element);
    return () => {
      observer.disconnect();
      made.stage.end();
      stage.current = undefined;
    };
  }, []);
  useEffect(() => {
    let here = true;
    setFailed(false);
    // the turned solid at once, then the one that is cut
    if (section === 'whole') {
      stage.current?.show(turnedSolid(part));
      draw();
      canvas.current?.setAttribute('data-shown', 'turned');
    }
    makeSolid(part, section).then(
      (cut) => {
        if (!here) return;
        stage.current?.show(cut);
        draw();
        canvas.current?.setAttribute('data-shown', section);
      },
      () => here && setFailed(true),
    );
    return () => {
      here = false;
    };
  }, [part, section]);
  const turn = (by: number, tip: number) => {
    const at = view.current;
    at.turn += by;
    at.tip = Math.min(90, Math.max(-90, at.tip + tip));
    draw();
  };
  const zoom = (by: number) => {
    view.current.zoom = Math.min(12, Math.max(0.5, view.current.zoom * by));
    draw();
  };
  const keys: Readonly<Record<string, () => void>> = {
    ArrowLeft: () => turn(-PRESS, 0),
    ArrowRight: () => turn(PRESS, 0),
    ArrowUp: () => turn(0, PRESS),
    ArrowDown: () => turn(0, -PRESS),
    '+': () => zoom(1.25),
    '-': () => zoom(0.8),
    Home: () => {
      view.current = { ...FIRST };
      draw();
    },
  };
  const long = writeWithUnit({ is: 'length', value: part.length }, units);
  return (
    <div className="bar solid" style={{ height }} data-testid="solid">
      <canvas
        ref={canvas}
        tabIndex={0}
        role="img"
        aria-label={`The part as a solid, ${long} long. Arrows turn it, plus and minus bring it nearer, Home puts it back.`}
        onKeyDown={(e) => {
          const act = keys[e.key];
          if (!act || e.ctrlKey || e.metaKey || e.altKey) return;
          e.preventDefault();
          act();
        }}
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          let [x, y] = [e.clientX, e.clientY];
          const move = (m: PointerEvent) => {
            turn((m.clientX - x) * 0.5, (m.clientY - y) * 0.5);
            [x, y] = [m.clientX, m.clientY];
          };
          const element = e.currentTarget;
          element.addEventListener('pointermove', move);
          element.addEventListener('pointerup', () => element.removeEventListener('pointermove', move), { once: true });
          element.addEventListener('pointercancel', () => element.removeEventListener('pointermove', move), { once: true });
        }}
        onWheel={(e) => zoom(e.deltaY < 0 ? 1.1 : 1 / 1.1)}
      />
      <div className="ways noprint">
        <ButtonGroup size="sm" aria-label="Section">
          {sections.map(([name, says]) => (
            <Button key={name} variant="outline-dark" aria-pressed={section === name} active={section === name} onClick={() => setSection(name)}>
              {says}
            </Button>
          ))}
        </ButtonGroup>
        <Button size="sm" variant="outline-dark" onClick={() => canvas.current?.toBlob((picture) => picture && onStill(picture))}>
          still as PNG
        </Button>
      </div>
      {failed && <p role="alert">The solid could not be cut here; the section drawing shows the part as it is.</p>}
      {plain && <p className="quiet">This browser has no WebGL: it is drawn plainly.</p>}
    </div>
  );
});

function stageOn(element: HTMLCanvasElement): { readonly stage: Stage; readonly plain: boolean } {
  const style = getComputedStyle(element);
  const colour = (name: string) => style.getPropertyValue(name).trim();
  const colours: Colours = { metal: colour('--steel'), section: colour('--solid-section'), ink: colour('--ink'), paper: colour('--opening') };
  try {
    // asked for by hand first: without it the library prints a page of its own
    const probe = document.createElement('canvas').getContext('webgl2');
    if (!probe) throw new Error('no WebGL');
    probe.getExtension('WEBGL_lose_context')?.loseContext();
    return { stage: onWebGL(element, colours), plain: false };
  } catch {
    return { stage: painted(element, colours), plain: true };
  }
}
