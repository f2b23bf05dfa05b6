import { renderToStaticMarkup } from 'react-dom/server';
import { StaticRouter } from 'react-router';
import { STILL } from '../shell/stillName';
import { Frame, Inside } from './App';
import { pages } from './pages';

/** The opening page as markup, for a browser of which nothing is known; made in the build. @param app the script that is begun when it is painted */
export async function stillOpening(app: string): Promise<string> {
  await pages.Opening.load();
  const page = renderToStaticMarkup(
    <Frame>
      <StaticRouter location="/">
        <Inside />
      </StaticRouter>
    </Frame>,
  );
  return `<div id="${STILL}" data-app="${app}">${page}</div>`;
}
