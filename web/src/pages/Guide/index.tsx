import './guide.css';
import { marked } from 'marked';
import { useMemo } from 'react';
import { Link } from 'react-router';
// one home: the same text stands in the repository
import text from '../../../../docs/guide.md?raw';
import { Head } from '../../shell/Head';
import { useTitle } from '../../shell/useTitle';

/** The guide: three jobs from a sketch to the box. It is our own text, built in; nothing that is typed comes into it. */
export function Guide() {
  useTitle('Guide');
  const html = useMemo(() => marked.parse(text.replaceAll(/!\[[^\]]*\]\([^)]*\)\n/g, ''), { async: false }), []);
  return (
    <div className="page">
      <Head>
        <Link to="/">type a part</Link>
      </Head>
      <main className="scroll guide" tabIndex={0} dangerouslySetInnerHTML={{ __html: html }} />
    </div>
  );
}
