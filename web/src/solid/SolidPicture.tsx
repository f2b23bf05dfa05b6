import './solid.css';
import type { Part } from '@obra/core/drawing';
import { type Units, writeWithUnit } from '@obra/core/quantity';
import { useEffect, useRef, useState } from 'react';
import { Button, ButtonGroup } from 'react-bootstrap';
import { memoSteady } from '../shell/useSteady';
import { type Section, turnedSolid } from './cutOut';
import { makeSolid } from './makeSolid';
import { FIRST, type Stage, type View } from './stage';
import { stageOn } from './stageOn';
import { turning } from './turning';

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
    const still = turning(element, view.current, () => made.stage.draw(view.current));
    return () => {
      still();
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
  const long = writeWithUnit({ is: 'length', value: part.length }, units);
  return (
    <div className="bar solid" style={{ height }} data-testid="solid">
      <canvas
        ref={canvas}
        tabIndex={0}
        role="img"
        aria-label={`The part as a solid, ${long} long. Arrows turn it, plus and minus bring it nearer, Home puts it back.`}
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
