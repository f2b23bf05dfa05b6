import type { Film } from '@obra/core/proof';
import { lazy, Suspense, useEffect, useState } from 'react';
import { download, fileName } from '../../shell/download';
import { tell } from '../../shell/says';
import { standardHeight } from '../../small';
import { askFilm } from '../../work/usePlan';
import type { JobView } from './view';

// the film comes when somebody wants to see it
const Making = lazy(() => import('../../film').then((m) => ({ default: m.Making })));

export interface Played {
  /** there is a route to be played */
  readonly may: boolean;
  readonly asked: boolean;
  readonly film: Film | undefined;
  readonly ask: () => void;
  readonly leave: () => void;
}

/** The making of a job, worked out apart from the page when it is asked for, and anew when the plan is another. */
export function useFilm({ plan, job, shop }: JobView, held: boolean): Played {
  const may = held && (plan?.routes.length ?? 0) > 0;
  const [asked, setAsked] = useState(false);
  const [made, setMade] = useState<{ readonly of: unknown; readonly film: Film }>();
  const shown = asked && may;
  useEffect(() => {
    if (!shown) return undefined;
    let here = true;
    askFilm(job, shop).then(
      (film) => {
        if (!here) return;
        if (film) setMade({ of: plan, film });
        else setAsked(false);
      },
      () => {
        if (!here) return;
        setAsked(false);
        tell('The film could not be worked out. The plan is as it was; play it again.');
      },
    );
    return () => {
      here = false;
    };
  }, [shown, plan, job, shop]);
  return { may, asked: shown, film: made?.film, ask: () => setAsked(true), leave: () => setAsked(false) };
}

/** The film in the place of the picture; until it has come, room for it. */
export function PlayedHere({ film: { film, leave }, view }: { readonly film: Played; readonly view: JobView }) {
  const height = standardHeight();
  const room = (
    <div className="bar" style={{ height }} role="status">
      <p className="quiet p-3">the making is worked out</p>
    </div>
  );
  if (!film) return room;
  const still = (picture: string | Blob, as: 'svg' | 'png') => {
    if (picture instanceof Blob) download(fileName(view.job.name, 'png'), picture, 'image/png');
    else if (as === 'svg') download(fileName(view.job.name, 'svg'), picture, 'image/svg+xml');
    else
      void toPng(picture).then(
        (png) => download(fileName(view.job.name, 'png'), png, 'image/png'),
        () => tell('This browser did not draw the picture as PNG; take it as SVG.'),
      );
  };
  return (
    <Suspense fallback={room}>
      <Making
        film={film}
        units={view.units}
        height={height}
        from={view.step?.id ?? view.setup?.steps[0]?.id}
        onStep={view.choose}
        onStill={still}
        onClose={leave}
      />
    </Suspense>
  );
}

/** Pixels of a picture for one of its own. */
const FINE = 2;

/** A picture as PNG. */
async function toPng(svg: string): Promise<Blob> {
  const image = new Image();
  image.src = URL.createObjectURL(new Blob([svg], { type: 'image/svg+xml' }));
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = FINE * image.width;
  canvas.height = FINE * image.height;
  const context = canvas.getContext('2d');
  if (!context) throw new Error('no canvas');
  context.fillStyle = '#ffffff';
  context.fillRect(0, 0, canvas.width, canvas.height);
  context.drawImage(image, 0, 0, canvas.width, canvas.height);
  URL.revokeObjectURL(image.src);
  return new Promise((resolve, reject) => canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new Error('no picture'))), 'image/png'));
}
